import { defineConfig } from '@playwright/test';
import { LAUNCH } from './browser.ts';

export default defineConfig({
  testDir: '.',
  globalSetup: './setup/throwAwayCluster.ts',
  outputDir: '../test-results',
  workers: 2,
  // A machine that is busy with other things may stall a page past its time; a real fault fails twice.
  retries: 1,
  timeout: 90_000,
  expect: { timeout: 10_000 },
  forbidOnly: true,
  use: {
    launchOptions: LAUNCH,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    acceptDownloads: true,
  },
});
