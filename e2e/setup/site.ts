import { createRequire } from 'node:module';
import { readFileSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test as base, expect, type Page, type Locator } from '@playwright/test';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { pino } from 'pino';
import type { EntryBody, Treatment } from '@white-ember/core/ledger';
import type { Language, UnitChoice } from '@white-ember/core/words';
import { createDataSource } from '../../server/src/database/dataSource.ts';
import { freePort } from '../../server/src/launch/ports.ts';
import { MIGRATED, WITH_DEMO } from '../../server/src/testing/templates.ts';
import { startServer, stopServer, type ServerProcess } from '../../server/src/launch/serverProcess.ts';

/** An installation, with the demo workshop unless that is not wanted, on a database and a server process of its own. */
export interface Site {
  readonly address: string;
  readonly databaseUrl: string;
  /** Where letters of this installation lie. */
  readonly outbox: string;
  readonly stop: () => Promise<void>;
  readonly start: () => Promise<void>;
  /** Rows of a table, to see what was really stored. */
  readonly count: (table: string) => Promise<number>;
}

const wanted = (name: string): string => {
  const value = process.env[name];
  if (!value) throw new Error(`${name} is not set: the browser tests run by bin/test browser`);
  return value;
};

export async function openSite(
  env: Record<string, string> = {},
  { demo = true }: { readonly demo?: boolean } = {},
): Promise<Site & { close: () => Promise<void> }> {
  const clusterUrl = wanted('WHITE_EMBER_E2E_CLUSTER');
  const name = `e_${Date.now()}_${Math.round(performance.now())}_${process.pid}`;
  const admin = new pg.Client({ connectionString: clusterUrl.replace('DATABASE', 'postgres') });
  await admin.connect();
  await admin.query(`CREATE DATABASE ${name} TEMPLATE ${demo ? WITH_DEMO : MIGRATED}`);
  await admin.end();
  const databaseUrl = clusterUrl.replace('DATABASE', name);
  const db = await createDataSource(databaseUrl, pino({ level: 'silent' })).initialize();
  const outbox = await mkdtemp(join(tmpdir(), 'white-ember-outbox-'));
  const port = await freePort(20_000 + (process.pid % 400) * 25);
  let server: ServerProcess | undefined;
  const start = async (): Promise<void> => {
    server = await startServer(wanted('WHITE_EMBER_E2E_SERVER'), {
      DATABASE_URL: databaseUrl,
      WHITE_EMBER_PORT: String(port),
      WHITE_EMBER_WEB: wanted('WHITE_EMBER_E2E_WEB'),
      WHITE_EMBER_DEMO: demo ? '1' : '0',
      WHITE_EMBER_OUTBOX: outbox,
      WHITE_EMBER_URL: `http://127.0.0.1:${port}`,
      WHITE_EMBER_REQUESTS_PER_MINUTE: '100000',
      WHITE_EMBER_SIGN_IN_TRIES: '1000',
      WHITE_EMBER_READER_NICENESS: '0',
      ...env,
    });
  };
  const stop = async (): Promise<void> => {
    if (server) await stopServer(server.child);
  };
  await start();
  return {
    address: `http://127.0.0.1:${port}`,
    databaseUrl,
    outbox,
    start,
    stop,
    count: async (table) =>
      Number((await db.query<{ n: string }[]>(`SELECT count(*) AS n FROM ${table}`))[0]?.n),
    close: async () => {
      await stop();
      await db.destroy();
      await rm(outbox, { recursive: true });
    },
  };
}

export const test = base.extend<object, { site: Site }>({
  site: [
    // oxlint-disable-next-line no-empty-pattern -- Playwright reads the fixtures wanted from this pattern
    async ({}, use) => {
      const site = await openSite();
      await use(site);
      await site.close();
    },
    { scope: 'worker' },
  ],
});

export { expect };

export type Person = 'Tobin' | 'Imke' | 'Sorrel';

/** As a demo person, by the API; the sign-in page has tests of its own. */
export async function signIn(page: Page, site: Site, person: Person = 'Tobin'): Promise<void> {
  await post(page, site, '/session/demo', { signInName: person.toLowerCase() });
  await page.goto(`${site.address}/jobs`);
  await expect(page.getByRole('heading', { name: 'Jobs', level: 1 })).toBeVisible();
}

/** The latest job of a demo vehicle by its plate; how a person finds it has tests of its own. */
export async function idOfJob(page: Page, site: Site, plate: string): Promise<string> {
  const found = await page.request.get(`${site.address}/api/jobs`, { params: { show: 'all', find: plate } });
  const { jobs } = (await found.json()) as { jobs: readonly { id: string; plate: string }[] };
  const job = jobs.find((one) => one.plate.startsWith(plate));
  if (!job) throw new Error(`No job of ${plate}`);
  return job.id;
}

/** Goes to an address as a link of the page would: nothing is loaded again that is there. */
export async function goTo(page: Page, site: Site, path: string): Promise<void> {
  if (!page.url().startsWith(site.address)) {
    await page.goto(`${site.address}${path}`);
    return;
  }
  await page.evaluate((to) => {
    history.pushState({}, '', to);
    dispatchEvent(new PopStateEvent('popstate', { state: {} }));
  }, path);
}

/** Opens the latest job of a demo vehicle by its plate, at a stage; gives its id. */
export async function openJob(page: Page, site: Site, plate: string, stage?: string): Promise<string> {
  const id = await idOfJob(page, site, plate);
  await goTo(page, site, `/jobs/${id}${stage ? `?stage=${stage}` : ''}`);
  await expect(page.getByRole('heading', { name: plate, level: 1 })).toBeVisible();
  return id;
}

/** A new job on a vehicle, by the API. */
async function makeJob(page: Page, site: Site, plate: string): Promise<string> {
  const found = await page.request.get(`${site.address}/api/vehicles`, { params: { find: plate } });
  const [vehicle] = (await found.json()) as readonly { id: string }[];
  const id = uuidv7();
  await post(page, site, '/jobs', { id, vehicleId: vehicle?.id, openedAt: new Date().toISOString() });
  return id;
}

/** A new job on a vehicle, at its intake; as a person opens it: `newJobByHand`. */
export async function newJob(page: Page, site: Site, plate: string): Promise<string> {
  const id = await makeJob(page, site, plate);
  await goTo(page, site, `/jobs/${id}?stage=intake`);
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();
  return id;
}

/** A new job on a demo vehicle, by the buttons that a person uses. */
export async function newJobByHand(page: Page, site: Site, plate: string): Promise<void> {
  await page.goto(`${site.address}/jobs`);
  await page.getByRole('button', { name: 'New job' }).click();
  await page.getByLabel('Plate or vehicle').fill(plate);
  const found = page.getByRole('list', { name: 'Vehicles' }).getByRole('button');
  // While what does not match still goes away, the one that is meant moves from under the finger.
  await expect(found).toHaveCount(1);
  await expect(found).toContainText(plate);
  await found.click();
  await page.waitForURL(/jobs\/[0-9a-f-]{36}\?stage=intake/);
}

/** A write by the API, as whoever is signed in. */
export async function post(page: Page, site: Site, path: string, data: object): Promise<void> {
  const session = await page.request.get(`${site.address}/api/session`);
  const { csrfToken } = (await session.json()) as { csrfToken: string };
  const answer = await page.request.post(`${site.address}/api${path}`, {
    data,
    headers: { 'x-csrf-token': csrfToken },
  });
  expect(answer.ok(), `${path}: ${answer.status()}`).toBe(true);
}

/** Appends entries to a job by the API, as the signed-in person. */
export async function addEntries(
  page: Page,
  site: Site,
  jobId: string,
  bodies: readonly EntryBody[],
): Promise<void> {
  for (const body of bodies)
    await post(page, site, `/jobs/${jobId}/entries`, {
      id: uuidv7(),
      deviceTime: new Date().toISOString(),
      body,
    });
}

/**
 * A job of its own whose ΔP sensor is proven, with a before reading by hand, a treatment chosen, and more. Gives its id; no page
 * has seen it yet.
 */
export async function chosenJob(
  page: Page,
  site: Site,
  treatment: Treatment,
  { dpMbar = 21, more = [] }: { dpMbar?: number; more?: readonly EntryBody[] } = {},
): Promise<string> {
  const id = await makeJob(page, site, 'FL 012');
  await addEntries(page, site, id, [
    { kind: 'part-state', part: 'dp-sensor', state: 'sound', why: 'Pump ladder' },
    handReading(dpMbar),
    { kind: 'treatment-chosen', treatment },
    ...more,
  ]);
  return id;
}

/** A reading written down at a hold of 3000 rpm. */
export const handReading = (
  dpMbar: number,
  purpose: 'before' | 'between' | 'after' = 'before',
): EntryBody => ({
  kind: 'reading',
  purpose,
  origin: { type: 'hand' },
  samples: [
    { kind: 'key-off', rpm: 0, dpMbar: 0 },
    { kind: 'hold', rpm: 3000, dpMbar, airMassGPerS: 38, filterC: 210 },
  ],
});

/** What the proof asks of sensor and hoses, by the cards and buttons that a person uses. */
export async function proveSensorAndHoses(page: Page): Promise<void> {
  await stage(page, 'Checks');
  const checks = page.getByRole('list', { name: 'Checks to do' });
  await checks.getByRole('button', { name: /ΔP sensor against a known-good one/ }).click();
  await readCaution(page);
  for (const [row, speed, old, good] of [
    [1, '0', '0', '0'],
    [2, '2500', '19', '19.5'],
  ] as const) {
    await page.getByLabel(new RegExp(`^Engine speed.*row ${row}$`)).fill(speed);
    await page.getByLabel(new RegExp(`^Old.*row ${row}$`)).fill(old);
    await page.getByLabel(new RegExp(`^Known-good.*row ${row}$`)).fill(good);
  }
  await page.getByRole('button', { name: 'Save this check' }).click();
  // Saving leads on to what is next; here it goes on in an order of its own.
  await toFound(page, 'ΔP sensor against a known-good one');
  await checks.getByRole('button', { name: /Hoses and pipes/ }).click();
  await readCaution(page);
  await page.getByText('the high port', { exact: true }).click();
  await page.getByText('whole and tight', { exact: true }).click();
  await page.getByRole('button', { name: 'Save this check' }).click();
  await toFound(page, 'Hoses and pipes');
}

/** To the list of what was found, wherever saving has led meanwhile. */
async function toFound(page: Page, check: string): Promise<void> {
  const found = page.getByRole('list', { name: 'Found by checks' });
  await expect(async () => {
    await stage(page, 'Checks');
    await expect(found).toContainText(check, { timeout: 3000 });
  }).toPass({ timeout: 40_000 });
}

/** A caution at the step, if one still stands there. */
async function readCaution(page: Page): Promise<void> {
  const read = page.getByRole('button', { name: 'I have read this' });
  await expect(page.getByRole('button', { name: 'Save this check' })).toBeVisible();
  if (await read.isVisible()) await read.click();
}

/** Goes on with the Tab key until a control has the focus. */
export async function tabTo(page: Page, control: Locator): Promise<void> {
  for (let i = 0; i < 150; i++) {
    if (await control.evaluate((element) => element === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error('The control is not reached by the Tab key');
}

export const stage = (page: Page, name: string): Promise<void> =>
  page
    .getByRole('navigation', { name: 'Stages' })
    .getByRole('button', { name: new RegExp(name) })
    .click();

/** What this device’s person chose before: theme, units, language. */
export async function prefer(
  page: Page,
  preferences: {
    readonly theme?: 'daylight' | 'bay';
    readonly units?: UnitChoice;
    readonly language?: Language;
    readonly locale?: string;
  },
): Promise<void> {
  await page.addInitScript((chosen) => {
    localStorage.setItem('white-ember preferences', JSON.stringify(chosen));
  }, preferences);
}

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** What axe finds on the page; of the rules about colour only where just the theme has changed. */
export async function axeViolations(page: Page, rules: 'all' | 'colour' = 'all'): Promise<string[]> {
  // A message that fades has the contrast of neither of its states.
  await expect(page.locator('[data-sonner-toast]')).toHaveCount(0, { timeout: 20_000 });
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axeSource);
  return page.evaluate(async (wanted) => {
    const { axe } = window as unknown as {
      axe: {
        run: (options: object) => Promise<{
          violations: { id: string; help: string; nodes: { html: string; failureSummary: string }[] }[];
        }>;
      };
    };
    const { violations } = await axe.run({
      resultTypes: ['violations'],
      preload: false,
      iframes: false,
      runOnly:
        wanted === 'all'
          ? ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']
          : ['color-contrast', 'link-in-text-block'],
    });
    return violations.flatMap(({ id, help, nodes }) =>
      nodes.map(
        (node) =>
          `${id}: ${help}: ${node.html.slice(0, 140)} (${node.failureSummary.split('\n')[1]?.trim() ?? ''})`,
      ),
    );
  }, rules);
}
