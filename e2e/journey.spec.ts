import type { Locator, Page } from '@playwright/test';
import { v7 as uuidv7 } from 'uuid';
import type { Vehicle } from '@white-ember/core/contract';
import { expect, newJobByHand, proveSensorAndHoses, signIn, stage, test, type Site } from './setup/site.ts';

const PLATE = 'JY 70 RN';

/** Another vehicle of the family of a demo one, with its filter: nothing was ever read on it. */
async function freshVehicle(page: Page, site: Site): Promise<string> {
  const session = await page.request.get(`${site.address}/api/session`);
  const { csrfToken } = (await session.json()) as { csrfToken: string };
  const known = await page.request.get(`${site.address}/api/vehicles?find=HW%2052`);
  const [like] = (await known.json()) as [Vehicle];
  const { filter: _filter, customer: _customer, revision: _revision, ...rest } = like;
  const id = uuidv7();
  const added = await page.request.post(`${site.address}/api/vehicles`, {
    data: { ...rest, id, plate: PLATE },
    headers: { 'x-csrf-token': csrfToken },
  });
  expect(added.ok()).toBe(true);
  return id;
}

/** To another view of the application by its own finder: the vehicle stays on the bench. */
async function goTo(page: Page, command: string): Promise<void> {
  await page.keyboard.press('Control+k');
  const finder = page.getByRole('dialog', { name: 'Find' });
  await finder.getByPlaceholder(/Plate, customer/).fill(command);
  await finder.getByRole('option', { name: command }).click();
  await expect(finder).toBeHidden();
}
const toJob = (page: Page): Promise<void> =>
  page
    .getByRole('main')
    .getByRole('link', { name: new RegExp(PLATE) })
    .first()
    .click();

const step = (page: Page, name: string): Locator =>
  page.getByRole('list', { name: 'Baseline' }).getByRole('listitem').filter({ hasText: name });

/** Key on, idle, both holds and snaps of the guided baseline, recorded by the link; read as one side of the proof. */
async function record(page: Page, side: 'before' | 'after'): Promise<void> {
  await page.keyboard.press('r');
  await expect(page.getByText(/^Recording, /).first()).toBeVisible();
  await expect(step(page, 'Key on')).toContainText('done');
  await page.keyboard.press('s');
  await expect(step(page, 'Warm idle')).toContainText('done', { timeout: 60_000 });
  await page.keyboard.press('j');
  await expect(step(page, 'First hold')).toContainText('done', { timeout: 60_000 });
  await page.keyboard.press('h');
  await expect(step(page, 'Second hold')).toContainText('done', { timeout: 60_000 });
  await page.keyboard.press('o');
  await expect(page.getByText('Ignition off', { exact: true }).first()).toBeVisible();
  await page.keyboard.press('r');
  await page.waitForURL(/\/logs\?log=/);
  await page.getByRole('button', { name: `Use these windows as the ${side} reading` }).click();
  await expect(page.getByText(new RegExp(`Entered as the ${side} reading`))).toBeVisible();
}

async function byHand(page: Page, act: string, times = 1): Promise<void> {
  await page.getByLabel('What to do').selectOption({ label: act });
  for (let i = 0; i < times; i++)
    await page.getByRole('button', { name: 'Do it', exact: true }).first().click();
}

/** Off the form, so that the keys reach the vehicle again. */
const handsOff = (page: Page): Promise<void> => page.getByRole('heading', { name: 'Live values' }).click();

/** One fill and its dwell, then warmed up until the steam is out. */
async function fillAndDry(page: Page, stands: RegExp): Promise<void> {
  await byHand(page, 'Leave it parked for an hour');
  await expect(page.getByText('Parked only 1 h.')).toBeVisible();
  await byHand(page, 'Inject a dose of fluid through the high pipe', 4);
  await expect(page.getByText('450 g reach the filter.')).toBeVisible();
  await byHand(page, 'Leave it parked for an hour');
  await expect(page.getByText('Parked only 1 h.')).toBeVisible();
  await handsOff(page);
  await page.keyboard.press('k');
  await expect(page.getByText('Ignition on, engine off', { exact: true })).toBeVisible();
  await page.keyboard.press('s');
  await expect(page.getByText(/^Engine at/)).toBeVisible();
  await page.keyboard.press('h');
  await page.keyboard.press('4');
  const warmUp = page.getByRole('region', { name: 'Warm-up' });
  // What it stood at before is not what is waited for.
  await expect(warmUp).toContainText(stands, { timeout: 90_000 });
  await page.keyboard.press('3');
  await page.keyboard.press('o');
  await expect(page.getByText('Ignition off', { exact: true }).first()).toBeVisible();
}

async function enterClean(page: Page, what: string): Promise<void> {
  await stage(page, 'Treat');
  const caution = page.getByRole('button', { name: 'I have read this' });
  await page.getByLabel('What exactly').fill(what);
  if (await caution.count()) await caution.first().click();
  await page.getByRole('button', { name: 'Save the work' }).click();
  await expect(page.getByText(what).first()).toBeVisible();
}

test('the whole job on the simulated vehicle, from intake to PDF; and a second visit that shows the trend', async ({
  page,
  site,
}) => {
  test.setTimeout(420_000);
  await signIn(page, site);
  const vehicleId = await freshVehicle(page, site);

  // Intake.
  await newJobByHand(page, site, PLATE);
  await page.getByLabel('What the customer says').fill('Lamp on, power limited, told to buy a filter');
  await page.getByLabel('Distance').fill('120000');
  await page.getByLabel('Power').selectOption('yes');
  await page.getByRole('button', { name: 'Save the complaint' }).click();
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();

  // On the bench: codes read and kept, the baseline recorded.
  await goTo(page, 'Live values of this job');
  await page.getByLabel('What is wrong with it').selectOption({ label: 'Filter loaded with soot' });
  await page.getByRole('button', { name: 'Set up the simulated vehicle' }).click();
  await page.keyboard.press('k');
  await expect(page.getByText('Ignition on, engine off', { exact: true })).toBeVisible();
  await page.keyboard.press('c');
  await expect(page.getByText(/The tool takes it for Harrow 3.0/)).toBeVisible();
  const computer = page.getByRole('region', { name: 'ECU' });
  await computer.getByRole('button', { name: 'Read codes' }).click();
  await computer.getByRole('button', { name: 'Keep this list with the job' }).click();
  await expect(computer).toContainText('Kept with the job.');
  await handsOff(page);
  await page.keyboard.press('3');
  await record(page, 'before');
  await toJob(page);

  // Two fills, each with its dwell, at the vehicle and in the ledger.
  for (const [fill, stands] of [
    ['One fill through the high pipe, cold', /Steady at [1-9]\.\d\s× clean/],
    ['Another fill, as much again', /Steady at [12]\.\d\s× clean/],
  ] as const) {
    await enterClean(page, fill);
    await goTo(page, 'Live values of this job');
    const hands = page.getByLabel('What to do');
    if (!(await hands.isVisible())) await page.getByText('At the vehicle, by hand', { exact: true }).click();
    await fillAndDry(page, stands);
    await toJob(page);
  }

  // The sensor does not lie, and its hoses are on again after the work.
  await proveSensorAndHoses(page);

  // After, by the same recording.
  await goTo(page, 'Live values of this job');
  // Keys are heard from when the vehicle’s controls stand there.
  await expect(page.getByText('Ignition off', { exact: true }).first()).toBeVisible();
  await page.keyboard.press('k');
  await expect(page.getByText('Ignition on, engine off', { exact: true })).toBeVisible();
  await record(page, 'after');
  await toJob(page);
  await stage(page, 'Prove');
  await expect(
    page.getByRole('heading', { name: /Pressure drop at equal flow down [89]\d\s%/ }),
  ).toBeVisible();

  // The counter, the drive and no codes after it.
  const counter = page
    .getByRole('region', { name: 'Resets' })
    .getByRole('form', { name: 'Soot counter reset' });
  await counter.getByLabel('Soot before').fill('92');
  await counter.getByLabel('Soot now').fill('0');
  await counter.getByRole('button', { name: 'Save as done' }).click();
  await expect(page.getByRole('region', { name: 'Resets' })).toContainText(
    'It was at 92.0 g. At 0 g now: that proves nothing; the drive does.',
  );
  await page.getByLabel('Distance').fill('18');
  await page.getByLabel('Soot counter at the start').fill('0');
  await page.getByLabel('Soot counter at the end').fill('0.9');
  await page.getByLabel('Highest before the filter').fill('388');
  await page.getByRole('button', { name: 'Save the drive', exact: true }).click();
  await page.getByRole('button', { name: 'No codes stored' }).click();
  await expect(page.getByRole('heading', { name: /^Proved: pressure drop at equal flow/ })).toBeVisible();

  // Hand over: what is to be done, signed off, the PDF.
  await stage(page, 'Hand over');
  const followUps = page.getByRole('region', { name: 'Follow-ups' });
  await followUps.getByLabel('To be done').fill('Ring about the short trips');
  await followUps.getByLabel('Or at').fill('121000');
  await followUps.getByRole('button', { name: 'Set the follow-up' }).click();
  await expect(followUps.getByText('Ring about the short trips')).toBeVisible();
  await page.getByRole('button', { name: 'Sign off', exact: true }).click();
  await expect(page.getByText('Signed off by Tobin Ashgrove')).toBeVisible();
  await page.getByRole('link', { name: 'Open the report' }).click();
  const report = page.getByRole('main');
  await expect(report.getByText(/To do: ?Ring about the short trips/)).toBeVisible();
  await expect(report.getByText(/Limits used/)).toBeVisible();
  await expect(report.getByText(/White Ember 0\.1\.0/)).toBeVisible();
  await expect(page.getByText(/At its loading rate so far, due again in about/)).toBeVisible();
  const href = (await page.getByRole('link', { name: 'PDF' }).getAttribute('href')) ?? '';
  const pdf = await page.request.get(`${site.address}${href}`);
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  expect((await pdf.body()).toString('latin1').startsWith('%PDF')).toBe(true);

  // One visit is no trend yet.
  await page.goto(`${site.address}/vehicles/${vehicleId}`);
  const ahead = page.getByRole('region', { name: 'When it is due again' });
  await expect(ahead.getByText(/No distance between two readings yet/)).toBeVisible();

  // The second visit, 9000 km on, half full again.
  await newJobByHand(page, site, PLATE);
  await page.getByLabel('What the customer says').fill('Service; lamp not on');
  await page.getByLabel('Distance').fill('129000');
  await page.getByRole('button', { name: 'Save the complaint' }).click();
  await stage(page, 'Baseline');
  const rows: Record<string, Record<string, string>> = {
    'Key on, engine off': { ΔP: '0' },
    'Hold 1': { rpm: '2430', ΔP: '44', 'Air mass': '45.1', Filter: '215' },
    'Hold 2': { rpm: '2960', ΔP: '60', 'Air mass': '56.5', Filter: '231' },
  };
  for (const [row, figures] of Object.entries(rows))
    for (const [label, figure] of Object.entries(figures))
      await page.getByRole('group', { name: row, exact: true }).getByLabel(new RegExp(label)).fill(figure);
  await page.getByRole('button', { name: 'Enter the before reading' }).click();
  await expect(page.getByRole('heading', { name: 'Before reading' })).toBeVisible();
  await page.goto(`${site.address}/vehicles/${vehicleId}`);
  await expect(ahead.getByText(/By 1 stretch of its own road/)).toBeVisible();
  await ahead.getByText('The chart as a table').click();
  await expect(ahead.getByRole('row')).toHaveCount(3);
  const road = page.getByRole('region', { name: 'All jobs by distance' });
  await expect(road.getByRole('link')).toHaveCount(2);
  await expect(road.getByRole('link').first()).toHaveText(/clean \d+(\.\d)? → \d\.\d ×/);
});
