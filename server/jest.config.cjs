/** Server tests use a real SQLite file; the core is read from its source. */
module.exports = {
  testEnvironment: 'node',
  setupFilesAfterEnv: ['<rootDir>/../core/test/setup.ts'],
  roots: ['<rootDir>/test'],
  testTimeout: 30000,
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
