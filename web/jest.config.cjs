/** Reducers, selectors and the few parts with logic, in a page of jsdom; the core is read from its source. */
const { createCjsPreset } = require('jest-preset-angular/presets');

module.exports = {
  // Hangs are found, speed is not judged here; every core works.
  testTimeout: 120_000,
  maxWorkers: '100%',
  ...createCjsPreset({ tsconfig: '<rootDir>/tsconfig.spec.json' }),
  testEnvironment: 'jest-preset-angular/environments/jest-jsdom-env',
  // The text catalogues come as ES modules with plain .js names.
  transformIgnorePatterns: ['node_modules/(?!.*\\.mjs$|@jsverse/)'],
  roots: ['<rootDir>/test'],
  setupFilesAfterEnv: ['<rootDir>/test/setup.ts'],
  moduleNameMapper: {
    '^@einkorn/core$': '<rootDir>/../core/src/index.ts',
    // Module workers do not exist here; the tests hand in a worker of their own.
    '^(\\.|.*/workers)/spawn$': '<rootDir>/test/spawn.ts',
  },
};
