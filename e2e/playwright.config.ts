import { defineConfig } from '@playwright/test';
import { LAUNCH } from './browser.ts';

export default defineConfig({
  testDir: '.',
  globalSetup: './setup/throwAwayCluster.ts',
  outputDir: '../test-results',
  // Half of a journey is waiting for a dwell, a drive, a server: three share two cores without standing in line.
  workers: 3,
  // Each test has its page and its job; those of one file need not wait for each other.
  fullyParallel: true,
  // A machine that is busy with other things may stall a page past its time; a real fault fails each time.
  retries: 2,
  // A hang ends here; how long a page takes is measured by the benchmark.
  timeout: 300_000,
  expect: { timeout: 45_000 },
  forbidOnly: true,
  use: {
    // A page that stands still is found out by this, not by the end of its test.
    actionTimeout: 45_000,
    navigationTimeout: 45_000,
    launchOptions: LAUNCH,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    acceptDownloads: true,
    // Sixty pictures a second of a trace cost a core; how smoothly it glides is measured by the benchmark.
    contextOptions: { reducedMotion: 'reduce' },
  },
});
