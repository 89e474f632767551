import { QUICK } from '@white-ember/core/learn';
import { launchBrowser } from './browser.ts';
import throwAwayCluster from './setup/throwAwayCluster.ts';
import { openJob, openSite, signIn } from './setup/site.ts';

/**
 * What pages promise of their speed, measured in the browser; printed as JSON rows for the benchmark (`npm run bench`),
 * which runs this as a process of its own.
 */
const FRAMES_S = 8;

/** Frames a second while the page goes on, and the longest gap between two. In the page's own words, uncompiled. */
const FRAMES = `new Promise((done) => {
  const gaps = [];
  const start = performance.now();
  let last = start;
  const each = () => {
    const now = performance.now();
    gaps.push(now - last);
    last = now;
    if (now - start < ${FRAMES_S * 1000}) requestAnimationFrame(each);
    else done({ perS: gaps.length / ((now - start) / 1000), longestMs: Math.max(...gaps) });
  };
  requestAnimationFrame(each);
})`;

/** How long each of sixty moves of the first slider takes until all that follows is laid out, ms. */
const MOVES = `(async () => {
  const slider = document.querySelector('main input[type=range]');
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
  const [low, high, step] = [slider.min, slider.max, slider.step].map(Number);
  const taken = [];
  for (let i = 0; i < 60; i++) {
    await new Promise(requestAnimationFrame);
    const from = performance.now();
    set.call(slider, String(low + step * (i % Math.round((high - low) / step + 1))));
    slider.dispatchEvent(new Event('input', { bubbles: true }));
    await Promise.resolve();
    document.body.getBoundingClientRect();
    taken.push(performance.now() - from);
  }
  return taken;
})()`;

const closeCluster = await throwAwayCluster();
const site = await openSite();
const browser = await launchBrowser();
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 1400 } });
  await signIn(page, site);
  // How many frames this machine draws of a page that stands still.
  const still = await page.evaluate<{ perS: number }>(FRAMES);
  await page.goto(`${site.address}/jobs/${await openJob(page, site, 'KE 417 QR')}/live`);
  await page.getByLabel('Scan tool').selectOption({ label: 'Fast, 280 values a second' });
  await page.getByRole('button', { name: 'Set up the simulated vehicle' }).click();
  await page.keyboard.press('k');
  await page.getByText('Ignition on, engine off', { exact: true }).waitFor();
  await page.keyboard.press('c');
  await page.getByText('each 20.0 times a second').waitFor();
  await page.keyboard.press('s');
  await page.waitForTimeout(2500);
  await page.keyboard.press('j');
  await page.getByRole('button', { name: '30 min' }).click();
  // Half an hour of readings in half a minute.
  await page.keyboard.press('4');
  await page.waitForTimeout(32_000);
  await page.keyboard.press('1');
  await page.waitForTimeout(1500);
  const { perS, longestMs } = await page.evaluate<{
    perS: number;
    longestMs: number;
  }>(FRAMES);
  const moved: { readonly topic: string; readonly ms: readonly number[] }[] = [];
  for (const topic of Object.keys(QUICK)) {
    await page.goto(`${site.address}/learn/${topic}`);
    await page.getByRole('region', { name: 'Try it' }).getByRole('status').waitFor();
    moved.push({ topic, ms: await page.evaluate<number[]>(MOVES) });
  }
  const frames = moved
    .map(({ topic, ms }) => ({ topic, ms: ms.toSorted((a, b) => a - b)[Math.floor(0.9 * ms.length)] ?? 0 }))
    .toSorted((a, b) => b.ms - a.ms);
  const slowest = frames[0] ?? { topic: 'none', ms: Number.NaN };
  const rows = [
    {
      what: `A slider of a Learn page moved until its figures and its picture are laid out, ${frames.length} models, nine of ten moves`,
      measured: `${slowest.ms.toFixed(1)} ms, ${slowest.topic}`,
      against: 'a frame: at most 16 ms',
      ratio: slowest.ms / 16,
    },
    {
      what: 'Live traces of 12 channels at 20 Hz, the last 30 min in view',
      measured: `${perS.toFixed(0)} frames/s, the longest ${longestMs.toFixed(0)} ms`,
      against: `at least 60 frames/s; a page that stands still: ${still.perS.toFixed(0)}`,
      // A screen of 60 frames a second is counted as 59 or 60 of them.
      ratio: 59 / perS,
    },
  ];
  process.stdout.write(`${JSON.stringify(rows)}\n`);
} finally {
  await browser.close();
  await site.close();
  await closeCluster();
}
