import { chromium, type Browser } from '@playwright/test';
import { CHROMIUM } from '../server/src/launch/debian.ts';

/** Debian’s Chromium with what it needs to run as root and without a network. */
export const LAUNCH = {
  executablePath: CHROMIUM,
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
