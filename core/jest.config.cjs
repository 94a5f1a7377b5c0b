/** The core runs in plain Node: swc strips the types, nothing else is needed. */
module.exports = {
  // Hangs are found, speed is not judged here; every core works.
  testTimeout: 120_000,
  maxWorkers: '100%',
  testEnvironment: 'node',
  setupFilesAfterEnv: ['<rootDir>/test/setup.ts'],
  // Handed into the sandbox: the sums look Math up very often, and a lookup through the sandbox's global is slow.
  sandboxInjectedGlobals: ['Math'],
  roots: ['<rootDir>/src', '<rootDir>/test'],
  transform: {
    '^.+\\.ts$': [
      '@swc/jest',
      { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'commonjs' } },
    ],
  },
};
