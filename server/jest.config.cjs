/** Server tests use a real SQLite file; the core is read from its source. */
module.exports = {
  // Hangs are found, speed is not judged here; every core works.
  testTimeout: 120_000,
  maxWorkers: '100%',
  testEnvironment: 'node',
  setupFilesAfterEnv: ['<rootDir>/../core/test/setup.ts'],
  roots: ['<rootDir>/test'],
  moduleNameMapper: {
    '^@einkorn/core$': '<rootDir>/../core/src/index.ts',
    '^@einkorn/devices$': '<rootDir>/../devices/src/index.ts',
  },
  transform: {
    '^.+\\.ts$': [
      '@swc/jest',
      { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'commonjs' } },
    ],
  },
};
