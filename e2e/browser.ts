import { chromium, type Browser } from '@playwright/test';

/** Debian's Chromium with what it needs to run as root and without a network. */
export const LAUNCH = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-dev-shm-usage',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--disable-quic',
    '--no-first-run',
  ],
};

export const launchBrowser = (): Promise<Browser> => chromium.launch(LAUNCH);
