import { join, resolve } from 'node:path';
import type { Page } from '@playwright/test';
import type { EntryBody, Treatment } from '@white-ember/core/ledger';
import type { Job } from '@white-ember/core/contract';
import { TOPIC_IDS } from '@white-ember/core/learn';
import { addEntries, chosenJob, expect, goTo, idOfJob, openJob, type Person, type Site } from './site.ts';

export interface Screen {
  readonly name: string;
  readonly who?: Person;
  readonly open: (page: Page, site: Site) => Promise<unknown>;
}

const job = (plate: string, stage: string) => (page: Page, site: Site) => openJob(page, site, plate, stage);

const samples = resolve(import.meta.dirname, '../../samples');

async function logDesk(page: Page, site: Site): Promise<void> {
  await goTo(page, site, `/jobs/${await idOfJob(page, site, 'KE 417 QR')}/logs`);
  await page.getByLabel('Recorded log files').setInputFiles(join(samples, 'sample2-soot-blocked.csv'));
  await page.getByRole('button', { name: /^4 ΔP at/ }).click();
  await page.getByText(/^Columns: /).click();
  await page.getByText('The traces as a table').click();
}

/** The simulated vehicle on the link, its engine idling; on a page of its own, as a vehicle stays on the link. */
async function live(page: Page, site: Site): Promise<void> {
  await page.goto(`${site.address}/jobs/${await idOfJob(page, site, 'KE 417 QR')}/live`);
  await page.getByRole('button', { name: 'Set up the simulated vehicle' }).click();
  await page.keyboard.press('k');
  await expect(page.getByText('Ignition on, engine off', { exact: true })).toBeVisible();
  await page.keyboard.press('c');
  await expect(page.getByText(/The tool takes it for/)).toBeVisible();
  await page.keyboard.press('s');
  await expect(page.getByText(/^Engine at/)).toBeVisible();
}

/** A burn that has ended, with its course. */
async function endedBurn(page: Page, site: Site): Promise<void> {
  const id = await chosenJob(page, site, 'standing', {
    more: [{ kind: 'work', work: 'standing-regeneration', what: 'Commanded by another tool', begun: true }],
  });
  const stored = (await (await page.request.get(`${site.address}/api/jobs/${id}`)).json()) as Job;
  const burn = stored.entries.find(({ body }) => body.kind === 'work')?.id ?? '';
  await addEntries(page, site, id, [
    {
      kind: 'burn-ended',
      burn,
      how: 'by-itself',
      source: 'hand',
      minutes: 18,
      peakInletC: 612,
      counterBeforeG: 21,
      counterAfterG: 4,
      course: [0, 300, 600, 900].map((atS) => ({
        atS,
        egt3C: 240 + 0.4 * atS,
        egt4C: 200 + 0.4 * atS,
        sootG: 21 - 0.018 * atS,
      })),
    },
  ]);
  await goTo(page, site, `/jobs/${id}/burn`);
  await page.getByText('The figures').click();
}

/** A job with a treatment chosen, at its treatment. */
const chosen = (treatment: Treatment) => async (page: Page, site: Site) =>
  goTo(page, site, `/jobs/${await chosenJob(page, site, treatment)}?stage=treat`);

/** What a job can stand in the middle of, by the heading that says so. */
export const IN_THE_MIDDLE: readonly {
  readonly heading: string;
  readonly treatment: Treatment;
  readonly more: readonly EntryBody[];
}[] = [
  {
    heading: 'A regeneration runs',
    treatment: 'standing',
    more: [{ kind: 'work', work: 'standing-regeneration', what: 'Commanded by another tool', begun: true }],
  },
  {
    heading: 'A regeneration drive runs',
    treatment: 'drive',
    more: [{ kind: 'work', work: 'drive-regeneration', what: 'Commanded on the drive', begun: true }],
  },
  {
    heading: 'Timer: Cooling down',
    treatment: 'chemical',
    more: [{ kind: 'clock-started', clock: 'cooling', minutes: 45, what: 'the filter' }],
  },
  {
    heading: 'The customer decides',
    treatment: 'chemical',
    more: [
      {
        kind: 'choice-offered',
        question: 'Clean it, or fit another one?',
        currency: 'EUR',
        options: [
          { id: 'clean', what: 'Clean in place', price: 1280.5, minutes: 210 },
          { id: 'renew', what: 'Another filter', price: 2490, remark: 'There in three days' },
        ],
      },
    ],
  },
  {
    heading: 'A part is on order',
    treatment: 'chemical',
    more: [
      {
        kind: 'temporary-repair',
        what: 'Hose bound with tape',
        part: 'high-pipe',
        order: { name: 'High-pressure hose', supplier: 'Kestrel Parts', due: '2031-03-14' },
      },
    ],
  },
];

/** A job that stands in the middle of something, as it opens where nobody asks for a stage. */
const inTheMiddle = ({ heading, treatment, more }: (typeof IN_THE_MIDDLE)[number]): Screen => ({
  name: `first screen: ${heading}`,
  open: async (page, site) => {
    await goTo(page, site, `/jobs/${await chosenJob(page, site, treatment, { more })}`);
    await expect(page.getByRole('heading', { name: heading, exact: true })).toBeVisible();
  },
});

/** Every screen there is, on demo data. */
export const SCREENS: readonly Screen[] = [
  { name: 'job list', open: (page, site) => goTo(page, site, '/jobs?show=all') },
  { name: 'intake', open: job('KE 417 QR', 'intake') },
  { name: 'codes', open: job('KE 417 QR', 'codes') },
  { name: 'baseline, typed in', open: job('KE 417 QR', 'baseline') },
  { name: 'baseline, from a log', open: job('KE 417 QR', 'baseline&way=log') },
  {
    name: 'logs, none open',
    open: async (page, site) => goTo(page, site, `/jobs/${await idOfJob(page, site, 'KE 417 QR')}/logs`),
  },
  { name: 'logs, one read', open: logDesk },
  {
    name: 'live, no vehicle yet',
    open: async (page, site) => goTo(page, site, `/jobs/${await idOfJob(page, site, 'KE 417 QR')}/live`),
  },
  { name: 'live, idling', open: live },
  {
    name: 'live, at arm’s length',
    open: async (page, site) => {
      await live(page, site);
      await page.keyboard.press('f');
      await expect(page.getByRole('dialog', { name: 'Arm’s-length view' })).toBeVisible();
    },
  },
  { name: 'checks', open: job('KE 417 QR', 'checks&part=high-pipe') },
  { name: 'decide', open: job('BC 91 HV', 'decide') },
  { name: 'treat', open: job('KE 417 QR', 'treat') },
  { name: 'treat, off the vehicle', open: chosen('off-vehicle') },
  { name: 'treat, clean in place', open: chosen('chemical') },
  {
    name: 'burn, before',
    open: async (page, site) => {
      await goTo(page, site, `/jobs/${await chosenJob(page, site, 'drive')}/burn`);
      await expect(page.getByRole('region', { name: 'Two people on the drive' })).toBeVisible();
    },
  },
  {
    name: 'burn, by hand',
    open: async (page, site) => {
      const id = await chosenJob(page, site, 'standing', {
        more: [
          { kind: 'work', work: 'standing-regeneration', what: 'Commanded by another tool', begun: true },
        ],
      });
      await goTo(page, site, `/jobs/${id}/burn`);
      await expect(page.getByRole('region', { name: 'What the tool shows' })).toBeVisible();
    },
  },
  { name: 'burn, ended', open: endedBurn },
  ...IN_THE_MIDDLE.map(inTheMiddle),
  { name: 'prove', open: job('KE 417 QR', 'prove') },
  { name: 'prove, not proved', open: job('MF 66 PL', 'prove') },
  { name: 'hand over', open: job('KE 417 QR', 'hand-over') },
  {
    name: 'report',
    open: async (page, site) => goTo(page, site, `/jobs/${await idOfJob(page, site, 'KE 417 QR')}/report`),
  },
  { name: 'vehicles', open: (page, site) => goTo(page, site, '/vehicles') },
  { name: 'add a vehicle', open: (page, site) => goTo(page, site, '/vehicles/new') },
  {
    name: 'vehicle',
    open: async (page, site) => {
      await goTo(page, site, '/vehicles');
      await page.getByRole('link', { name: /KE 417 QR/ }).click();
      await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
    },
  },
  {
    name: 'fleet',
    open: async (page, site) => {
      await goTo(page, site, '/fleet');
      await page.getByRole('button', { name: /^FL 003 TX/ }).click();
      await expect(page.getByRole('heading', { name: 'Causes by family' })).toBeVisible();
    },
  },
  { name: 'limits', who: 'Imke', open: (page, site) => goTo(page, site, '/limits') },
  { name: 'log headings', open: (page, site) => goTo(page, site, '/headings') },
  { name: 'people', who: 'Imke', open: (page, site) => goTo(page, site, '/people') },
  { name: 'learn', open: (page, site) => goTo(page, site, '/learn') },
  ...TOPIC_IDS.map((topic) => ({
    name: `learn: ${topic}`,
    open: async (page: Page, site: Site) => {
      await goTo(page, site, `/learn/${topic}`);
      await expect(page.getByRole('region', { name: 'Try it' }).getByRole('status')).toBeVisible();
      const table = page.getByText('The picture as a table');
      if (await table.isVisible()) await table.click();
    },
  })),
  { name: 'no such page', open: (page, site) => goTo(page, site, '/nowhere') },
];
