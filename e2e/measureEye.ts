import type { CDPSession, Page } from '@playwright/test';
import { launchBrowser } from './browser.ts';
import { openSite, signIn } from './setup/site.ts';
import throwAwayCluster from './setup/throwAwayCluster.ts';

/**
 * What the eye waits for, with the processor slowed four times, as a phone in a van is; printed as JSON rows for the benchmark
 * (`npm run bench -- eye`), which runs this as a process of its own.
 */
const SLOWER = 4;
const RUNS = 5;
/** Of the demo workshop, in the middle of its diagnosis. */
const PLATE = 'GT 73 WV';

/** What the page notes of itself from its first line on: paints, shifts, long tasks, from a tap to its paint. */
const WATCH = `
  globalThis.seen = { shift: 0, tasks: [], taps: [], tappedAt: 0 };
  addEventListener('pointerdown', () => { globalThis.seen.tappedAt = performance.now(); }, true);
  const watch = (type, each, more) =>
    new PerformanceObserver((list) => list.getEntries().forEach(each)).observe({ type, buffered: true, ...more });
  watch('layout-shift', (one) => { if (!one.hadRecentInput) globalThis.seen.shift += one.value; });
  watch('longtask', (one) => globalThis.seen.tasks.push(one.duration));
  watch('event', (one) => {
    if (one.name === 'click' || one.name === 'keydown') globalThis.seen.taps.push(one.duration);
  }, { durationThreshold: 16 });
  // When something is first there, by what the page draws.
  globalThis.drawn = (selector, text) => new Promise((done) => {
    const look = () => {
      const there = [...document.querySelectorAll(selector)].some(
        (one) => one.getClientRects().length > 0 && one.textContent.includes(text));
      if (there) requestAnimationFrame(() => done(performance.now()));
      else if (performance.now() > 60000) done(NaN);
      else requestAnimationFrame(look);
    };
    look();
  });
`;

interface Seen {
  readonly shift: number;
  readonly tasks: readonly number[];
  readonly taps: readonly number[];
}

interface Look {
  readonly listMs: number;
  readonly scriptKb: number;
  readonly jobMs: number;
  readonly likelyMs: number;
  readonly seen: Seen;
}

const drawn = (page: Page, selector: string, text: string): Promise<number> =>
  page.evaluate<number>(`drawn(${JSON.stringify(selector)}, ${JSON.stringify(text)})`);

/** Counts the script that comes over the wire, as it comes: packed. */
async function countScript(session: CDPSession): Promise<() => number> {
  let bytes = 0;
  const scripts = new Set<string>();
  session.on('Network.responseReceived', ({ requestId, type }) => {
    if (type === 'Script') scripts.add(requestId);
  });
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) bytes += encodedDataLength;
  });
  await session.send('Network.enable');
  await session.send('Network.setCacheDisabled', { cacheDisabled: true });
  return () => bytes;
}

/** One person opens the list with nothing kept, and a job from it. */
async function look(page: Page, address: string, plate: string): Promise<Look> {
  const session = await page.context().newCDPSession(page);
  const script = await countScript(session);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  await page.addInitScript(WATCH);
  await page.goto(address, { waitUntil: 'commit' });
  const listMs = await drawn(page, 'li', plate);
  const scriptKb = script() / 1000;
  // The eye finds the plate in the meantime, and the page makes the next one ready.
  await page.waitForTimeout(3000);
  const row = page.getByRole('link', { name: new RegExp(plate) }).first();
  const [jobAt, likelyAt] = await Promise.all([
    drawn(page, '[aria-label="Exhaust line"]', ''),
    drawn(page, '[aria-label="Likely causes"]', '%'),
    row.click(),
  ]);
  const began = await page.evaluate<number>('seen.tappedAt');
  await page.waitForTimeout(1000);
  await page
    .getByRole('navigation', { name: 'Stages' })
    .getByRole('button', { name: /Baseline/ })
    .click();
  await page.waitForTimeout(700);
  const seen = await page.evaluate<Seen>('seen');
  await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  await session.detach();
  return { listMs, scriptKb, jobMs: jobAt - began, likelyMs: likelyAt - began, seen };
}

const middle = (list: readonly number[]): number => {
  const sorted = list.toSorted((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? Number.NaN;
};
const most = (list: readonly number[]): number => Math.max(0, ...list);

const closeCluster = await throwAwayCluster();
const site = await openSite();
const browser = await launchBrowser();
try {
  const looks: Look[] = [];
  for (let run = 0; run < RUNS; run++) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await signIn(page, site);
    looks.push(await look(page, `${site.address}/`, PLATE));
    await page.close();
  }
  const row = (what: string, value: number, limit: number, unit: string, digits = 0) => ({
    what: `${what}, the processor slowed ${SLOWER} times`,
    measured: `${value.toFixed(digits)}${unit}`,
    against: `at most ${limit}${unit}`,
    ratio: value / limit,
  });
  const rows = [
    row('List of jobs drawn, nothing kept', middle(looks.map(({ listMs }) => listMs)), 1200, ' ms'),
    row(
      'Script that came over the wire until then',
      middle(looks.map(({ scriptKb }) => scriptKb)),
      180,
      ' KB',
    ),
    row('A job opened from the list', middle(looks.map(({ jobMs }) => jobMs)), 600, ' ms'),
    row('Its likely causes', middle(looks.map(({ likelyMs }) => likelyMs)), 500, ' ms'),
    row('Longest task', middle(looks.map(({ seen }) => most(seen.tasks))), 150, ' ms'),
    row('From a tap to its paint', middle(looks.map(({ seen }) => most(seen.taps))), 100, ' ms'),
    row('Shift of what stands', middle(looks.map(({ seen }) => seen.shift)), 0.02, '', 3),
  ];
  process.stdout.write(`${JSON.stringify(rows)}\n`);
} finally {
  await browser.close();
  await site.close();
  await closeCluster();
}
