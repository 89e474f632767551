import { mkdirSync } from 'node:fs';
import { US_CUSTOMARY } from '@white-ember/core/words';
import { join, resolve } from 'node:path';
import type { Page } from '@playwright/test';
import { launchBrowser } from './browser.ts';
import throwAwayCluster from './setup/throwAwayCluster.ts';
import {
  addEntries,
  chosenJob,
  openJob,
  openSite,
  prefer,
  signIn,
  type Person,
  type Site,
} from './setup/site.ts';

/** One current picture of each main view, from the demo data, into docs/screenshots. Names given on the line renew only those. */
interface Shot {
  readonly name: string;
  readonly who?: Person;
  readonly theme?: 'daylight' | 'bay';
  readonly width?: number;
  readonly height?: number;
  readonly open: (page: Page, site: Site) => Promise<unknown>;
}

const root = resolve(import.meta.dirname, '..');
const folder = join(root, 'docs/screenshots');

const job = (plate: string, stage: string) => (page: Page, site: Site) => openJob(page, site, plate, stage);

/** The desk of logs with a sample on it and one of its findings looked at. */
async function logDesk(page: Page, site: Site, file: string, finding: RegExp): Promise<void> {
  await page.goto(`${site.address}/jobs/${await openJob(page, site, 'KE 417 QR')}/logs`);
  await page.getByLabel('Recorded log files').setInputFiles(join(root, 'samples', file));
  await page.getByRole('button', { name: finding }).click();
  await page.getByRole('img', { name: /^Traces of/ }).waitFor();
  await page.waitForTimeout(800);
}

/** A simulated vehicle with a fault, connected, recorded and idling, at fifteen times the pace of the clock. */
async function liveBench(page: Page, site: Site, fault: string): Promise<void> {
  await page.goto(`${site.address}/jobs/${await openJob(page, site, 'KE 417 QR')}/live`);
  await page.getByLabel('What is wrong with it').selectOption({ label: fault });
  await page.getByRole('button', { name: 'Set up the simulated vehicle' }).click();
  await page.keyboard.press('k');
  await page.getByText('Ignition on, engine off', { exact: true }).waitFor();
  for (const key of ['c', '3', 'r']) {
    await page.keyboard.press(key);
    await page.waitForTimeout(600);
  }
  await page.keyboard.press('s');
  await page.waitForTimeout(2600);
}

/** A standing burn on the bench, in the middle of it. */
async function watchedBurn(page: Page, site: Site): Promise<void> {
  const id = await chosenJob(page, site, 'standing');
  await addEntries(page, site, id, [
    {
      kind: 'made-ready',
      treatment: 'standing',
      answers: {
        outdoors: true,
        clear: true,
        extinguisher: true,
        parked: true,
        watched: true,
        fuelPercent: 55,
        oilPercent: 60,
      },
    },
    { kind: 'caution-acknowledged', caution: 'burn', act: 'burn-1' },
  ]);
  await page.goto(`${site.address}/jobs/${id}/live`);
  await page.getByRole('button', { name: 'Set up the simulated vehicle' }).click();
  await page.keyboard.press('k');
  await page.getByText('Ignition on, engine off', { exact: true }).waitFor();
  await page.keyboard.press('c');
  await page.getByText(/The tool takes it for/).waitFor();
  await page.keyboard.press('s');
  await page.getByText(/^Engine at 8\d0\srpm/).waitFor();
  await page.getByRole('link', { name: 'Regeneration, standing: get it ready' }).click();
  await page.getByRole('button', { name: 'Start the regeneration' }).click({ timeout: 30_000 });
  await page.getByText('Key, pedal and road').click();
  await page.getByRole('button', { name: '×15' }).click();
  await page.locator('[aria-label="Now"]').getByText('Burning').waitFor({ timeout: 60_000 });
  await page.waitForTimeout(6000);
  await page.getByRole('button', { name: '×1', exact: true }).click();
  await page.getByText('Key, pedal and road').click();
  await page.waitForTimeout(2500);
}

const SHOTS: readonly Shot[] = [
  { name: 'jobs', open: (page, site) => page.goto(`${site.address}/jobs?show=all`) },
  { name: 'prove', open: job('KE 417 QR', 'prove') },
  { name: 'prove-phone', width: 390, height: 844, open: job('KE 417 QR', 'prove') },
  { name: 'codes', open: job('GT 73 WV', 'codes') },
  { name: 'not-believed', open: job('MF 66 PL', 'prove') },
  { name: 'reading-by-hand', open: job('BC 91 HV', 'baseline') },
  {
    name: 'log-desk',
    open: (page, site) => logDesk(page, site, 'sample2-soot-blocked.csv', /^4 ΔP at/),
  },
  {
    name: 'live',
    open: async (page, site) => {
      await liveBench(page, site, 'Low pipe of the ΔP sensor blocked');
      await page.keyboard.press('j');
      await page.waitForTimeout(3500);
    },
  },
  {
    name: 'arms-length',
    open: async (page, site) => {
      await liveBench(page, site, 'Filter loaded with soot');
      await page.keyboard.press('j');
      await page.waitForTimeout(2500);
      await page.keyboard.press('f');
      await page.keyboard.press('h');
      await page.waitForTimeout(1800);
      await page.keyboard.press('1');
      await page.waitForTimeout(600);
    },
  },
  {
    name: 'check',
    open: async (page, site) => {
      await openJob(page, site, 'BC 91 HV', 'checks&check=dp-ladder');
      await page.getByRole('button', { name: 'I have read this' }).click();
      await page.getByLabel('Full scale of the sensor').fill('500');
      const ladder = [
        [0, 4, 6],
        [100, 103, 108],
        [200, 201, 207],
        [300, 299, 306],
        [400, 396, 401],
        [500, 492, 493],
      ];
      for (const [i, [applied, up, down]] of ladder.entries()) {
        await page.getByLabel(`Pump, mbar, row ${i + 1}`, { exact: true }).fill(String(applied));
        await page.getByLabel(`Value, going up, mbar, row ${i + 1}`, { exact: true }).fill(String(up));
        await page.getByLabel(`Value, going down, mbar, row ${i + 1}`, { exact: true }).fill(String(down));
      }
      await page.getByLabel('Value with the pump on the low port').fill('-1');
      await page.getByRole('heading', { name: 'What it says' }).scrollIntoViewIfNeeded();
    },
  },
  {
    name: 'learn',
    theme: 'bay',
    open: async (page, site) => {
      await page.goto(`${site.address}/learn/dp-sensor?state=low-blocked&rpm=3000`);
      await page.getByRole('region', { name: 'Try it' }).getByRole('status').waitFor();
    },
  },
  {
    name: 'decide',
    height: 1100,
    open: async (page, site) => {
      await openJob(page, site, 'GT 73 WV', 'decide');
      const planner = page.getByText('What a regeneration of this filter would do');
      await planner.click();
      await page.getByRole('checkbox', { name: 'The engine drops to idle in it' }).check();
      await page.getByText('Too hot for this bed').waitFor();
      // Only what scrolls is scrolled, so that line and tape stay where they are.
      await planner.evaluate((element) => {
        const main = element.closest('main');
        if (main)
          main.scrollTop += element.getBoundingClientRect().top - main.getBoundingClientRect().top - 8;
      });
    },
  },
  { name: 'treat', open: job('FL 007 TX', 'treat') },
  { name: 'burn', theme: 'bay', height: 1040, open: watchedBurn },
  {
    name: 'off-vehicle',
    height: 1100,
    open: async (page, site) => {
      const id = await chosenJob(page, site, 'off-vehicle');
      await addEntries(page, site, id, [
        {
          kind: 'made-ready',
          treatment: 'off-vehicle',
          answers: { stands: true, supported: true, runOff: true, filterC: 24 },
        },
        { kind: 'caution-acknowledged', caution: 'hot', act: 'off-vehicle-clean' },
        {
          kind: 'part-off',
          what: 'Engine mount',
          fasteners: { count: 3, size: 'M12 × 60' },
          torqueNm: 90,
          safetyCritical: true,
        },
        {
          kind: 'part-off',
          what: 'Front pipe',
          fasteners: { count: 2, size: 'M10' },
          torqueNm: 45,
          singleUse: [{ what: 'seal', count: 1, number: 'QF-118' }],
        },
        {
          kind: 'part-off',
          what: 'EGT before the filter',
          part: 'egt3',
          connectors: ['EGT 3'],
          torqueNm: 35,
        },
        { kind: 'filter-off', when: 'before', massKg: 9.42, dry: true, inlet: 'black', outlet: 'clean' },
        { kind: 'work', work: 'off-vehicle-clean', what: 'Soaked, rinsed against the working direction' },
        { kind: 'filter-off', when: 'after', massKg: 9.3, dry: true, inlet: 'grey', outlet: 'clean' },
      ]);
      await page.goto(`${site.address}/jobs/${id}?stage=treat`);
      await page.getByRole('region', { name: 'On the scales, after' }).evaluate((element) => {
        const main = element.closest('main');
        if (main)
          main.scrollTop += element.getBoundingClientRect().top - main.getBoundingClientRect().top - 8;
      });
    },
  },
  {
    name: 'report',
    width: 900,
    height: 1500,
    open: async (page, site) =>
      page.goto(`${site.address}/jobs/${await openJob(page, site, 'HW 52 NB')}/report`),
  },
  {
    name: 'vehicle',
    height: 1400,
    open: async (page, site) => {
      await page.goto(`${site.address}/vehicles`);
      await page.getByRole('link', { name: /FL 003 TX/ }).click();
      await page.getByRole('img', { name: /^Restriction over distance/ }).waitFor();
      await page.waitForTimeout(600);
    },
  },
  {
    name: 'fleet',
    open: async (page, site) => {
      await page.goto(`${site.address}/fleet`);
      await page.getByText(/no forecast yet/).waitFor({ timeout: 60_000 });
      await page.waitForTimeout(400);
    },
  },
  {
    name: 'limits',
    who: 'Imke',
    open: (page, site) => page.goto(`${site.address}/limits?family=Orrin%2012.8`),
  },
];

const wanted = process.argv.slice(2);
const into = process.env['SHOTS_TO'] ?? folder;
mkdirSync(into, { recursive: true });
const closeCluster = await throwAwayCluster();
const site = await openSite();
const browser = await launchBrowser();
try {
  for (const shot of SHOTS.filter(({ name }) => wanted.length === 0 || wanted.includes(name))) {
    const context = await browser.newContext({
      viewport: { width: shot.width ?? 1280, height: shot.height ?? 800 },
      locale: 'en-GB',
    });
    const page = await context.newPage();
    page.on('pageerror', (error) => process.stderr.write(`${shot.name}: ${error.message}\n`));
    await prefer(page, {
      theme: shot.theme ?? 'daylight',
      ...(process.env['SHOTS_UNITS'] === 'us' ? { units: US_CUSTOMARY } : {}),
    });
    await signIn(page, site, shot.who);
    await shot.open(page, site);
    await page.waitForLoadState('networkidle');
    await page.getByText('Working out the next step').waitFor({ state: 'hidden' });
    await page.waitForTimeout(700);
    await page.screenshot({ path: join(into, `${shot.name}.png`) });
    await context.close();
  }
} finally {
  await browser.close();
  await site.close();
  await closeCluster();
}
