import { defineConfig } from '@playwright/test';
import { launch } from './launch';

/** Two files at a time, each with a server of its own. The limits find hangs; a busy machine may be slow. */
export default defineConfig({
  testDir: './tests',
  globalSetup: './seeded.ts',
  timeout: 300_000,
  expect: { timeout: 30_000 },
  workers: 2,
  fullyParallel: false,
  reporter: [['list'], ['json', { outputFile: 'test-results/report.json' }]],
  outputDir: 'test-results/files',
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'UTC',
    colorScheme: 'light',
    trace: 'off',
    launchOptions: launch,
  },
});
