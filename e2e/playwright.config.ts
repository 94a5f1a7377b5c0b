import { defineConfig } from '@playwright/test';
import { launch } from './launch';

/** One worker: two cores also run the server and the browser. */
export default defineConfig({
  testDir: './tests',
  timeout: 120_000,
  expect: { timeout: 15_000 },
  workers: 1,
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
