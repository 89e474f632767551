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
    // Drawing in software and a process for each frame are a sixth of all work here, and nothing that is tested.
    '--in-process-gpu',
    '--disable-features=IsolateOrigins,site-per-process,PaintHolding,Translate',
    '--renderer-process-limit=1',
    '--disable-lcd-text',
    '--disable-partial-raster',
    // Pages live for seconds: the middle one of three compilers costs more than it saves.
    '--js-flags=--no-maglev',
  ],
};

export const launchBrowser = (): Promise<Browser> => chromium.launch(LAUNCH);
