import type { Page } from '@playwright/test';
import {
  addEntries,
  axeViolations,
  chosenJob,
  expect,
  goTo,
  handReading,
  signIn,
  tabTo,
  test,
  type Site,
} from './setup/site.ts';

async function answer(page: Page, yes: readonly RegExp[], no: readonly RegExp[] = []): Promise<void> {
  const asked = page.getByRole('region', { name: 'Before it begins' });
  for (const name of yes)
    await asked.getByRole('group', { name }).getByRole('button', { name: 'Yes' }).click();
  for (const name of no) await asked.getByRole('group', { name }).getByRole('button', { name: 'No' }).click();
}
const ALL = [/^Outdoors/, /^Nothing flammable/, /^Fire extinguisher/, /^Neutral or park/, /^Somebody stays/];

interface Stored {
  readonly id: string;
  readonly body: Record<string, unknown> & { readonly kind: string };
}
async function entriesOf(page: Page, site: Site, id: string): Promise<Stored[]> {
  const stored = await page.request.get(`${site.address}/api/jobs/${id}`);
  return ((await stored.json()) as { entries: Stored[] }).entries;
}

test('a standing burn on the simulated vehicle, from what is asked before it until the bed is cool', async ({
  page,
  site,
}) => {
  test.setTimeout(240_000);
  await signIn(page, site);
  const id = await chosenJob(page, site, 'standing');
  await goTo(page, site, `/jobs/${id}/live`);
  await page.getByRole('button', { name: 'Set up the simulated vehicle' }).click();
  await page.keyboard.press('k');
  await expect(page.getByText('Ignition on, engine off', { exact: true })).toBeVisible();
  await page.keyboard.press('c');
  await expect(page.getByText(/The tool takes it for/)).toBeVisible();
  await page.keyboard.press('s');
  await expect(page.getByText(/^Engine at 8\d0\srpm/)).toBeVisible();
  await page.getByRole('link', { name: 'Regeneration, standing: get it ready' }).click();

  // Nothing begins before it is answered, and a no holds it off with its reason.
  const start = page.getByRole('button', { name: 'Start the regeneration' });
  await expect(start).toBeDisabled();
  await expect(page.getByRole('list', { name: 'Preconditions' })).toContainText(/Engine running 8\d\d\srpm/);
  await expect(page.getByText(/g of soot: the bed comes to/)).toBeVisible({ timeout: 40_000 });
  await page.getByRole('button', { name: 'Enter the answers' }).click();
  await expect(page.getByText('✕ Yes or no?').first()).toBeVisible();
  await answer(
    page,
    [/^Outdoors/, /^Fire extinguisher/, /^Neutral or park/, /^Somebody stays/],
    [/^Nothing flammable/],
  );
  await page.getByLabel(/^Oil on the dipstick/).fill('60');
  await page.getByLabel(/^Fuel/).fill('50');
  await page.getByRole('button', { name: 'Enter the answers' }).click();
  await expect(
    page.getByText('Something flammable is near the exhaust: move it or the vehicle.'),
  ).toBeVisible();
  await expect(start).toBeDisabled();
  await answer(page, [/^Nothing flammable/]);
  await page.getByRole('button', { name: 'Enter the answers' }).click();
  await expect(page.getByText('Ready', { exact: true })).toBeVisible();
  await expect(start).toBeDisabled();
  await page.getByRole('button', { name: 'I have read this' }).click();
  await page.getByRole('button', { name: 'Read codes' }).click();
  await start.click();

  const now = page.getByRole('region', { name: 'Now' }).or(page.locator('[aria-label="Now"]'));
  await expect(now).toContainText('Heating');
  await page.getByText('Key, pedal and road').click();
  await page.getByRole('button', { name: '×15' }).click();
  await expect(now).toContainText('Burning', { timeout: 60_000 });
  const egts = page.getByRole('list', { name: 'Exhaust temperatures from the engine outward' });
  await expect(egts.getByRole('listitem').nth(2)).toContainText(/[56]\d\d\s°C/);
  await expect(page.getByText(/by the (burn model|sensor after it); limit \d+\s°C/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'The bed by the burn model' })).toBeVisible();
  expect(await axeViolations(page)).toEqual([]);

  // On another page it goes on, and leads back.
  await page.getByRole('link', { name: 'Vehicles' }).click();
  await page.getByRole('link', { name: /^Burn, (burning|cooling)/ }).click();
  await expect(now).toContainText(/Cooling|Cool/, { timeout: 90_000 });
  await expect(page.getByText(/Dosing off\. Keep the flow up|Cooled: the bed is at/)).toBeVisible();
  await page.getByRole('button', { name: 'Watch ended: see the result' }).click({ timeout: 90_000 });
  await expect(page.getByRole('article', { name: 'Burn 1' })).toContainText('finished by itself');
  await expect(page.getByText('Read first, then decide on another run.')).toBeVisible();
  expect(await axeViolations(page)).toEqual([]);

  // Stored: its beginning, its end with the course, and the wait in which the flow was kept up.
  await expect
    .poll(
      async () => (await entriesOf(page, site, id)).filter(({ body }) => body.kind === 'burn-ended').length,
    )
    .toBe(2);
  const entries = await entriesOf(page, site, id);
  const begun = entries.filter(({ body }) => body['work'] === 'standing-regeneration');
  expect(begun).toHaveLength(1);
  const end = entries.filter(({ body }) => body.kind === 'burn-ended').at(-1)?.body;
  expect(end).toMatchObject({ burn: begun[0]?.id, how: 'by-itself', source: 'live' });
  expect(end?.['peakBedC']).toBeGreaterThan(550);
  expect(end?.['peakBedC']).toBeLessThan(950);
  expect((end?.['course'] as unknown[]).length).toBeGreaterThan(40);
  expect(end?.['counterAfterG']).toBeLessThan(end?.['counterBeforeG'] as number);
  expect(entries.some(({ body }) => body.kind === 'clock-started' && body['clock'] === 'cooling')).toBe(true);

  // With soot left after it another run is offered, and everything is asked again.
  await addEntries(page, site, id, [handReading(19, 'between')]);
  await page.goto(`${site.address}/jobs/${id}/report`);
  await expect(
    page.getByText(/^Burn 1 finished by itself after \d+\smin, .* by the burn model, soot counter/),
  ).toBeVisible();
  await page.goto(`${site.address}/jobs/${id}/burn`);
  await expect(page.getByText('Another run is worthwhile.')).toBeVisible();
  await page.getByRole('button', { name: 'Prepare another run' }).click();
  await expect(page.getByRole('button', { name: 'I have read this' })).toBeVisible();
});

test('a burn by another tool is read by hand, judged by the same rules, and outlives a reload', async ({
  page,
  site,
}) => {
  test.setTimeout(120_000);
  await signIn(page, site);
  const id = await chosenJob(page, site, 'standing');
  await goTo(page, site, `/jobs/${id}?stage=treat`);
  await page.getByRole('link', { name: 'Prepare the regeneration' }).click();
  await answer(page, ALL);
  await page.getByLabel(/^Oil on the dipstick/).fill('60');
  await page.getByLabel(/^Fuel/).fill('50');
  await page.getByRole('button', { name: 'Enter the answers' }).click();
  await page.getByRole('button', { name: 'I have read this' }).click();
  await page.getByRole('button', { name: 'Started: read by hand' }).click();

  const tool = page.getByRole('region', { name: 'What the tool shows' });
  await tool.getByLabel(/^EGT 3/).fill('9999');
  await tool.getByRole('button', { name: 'Save these values' }).click();
  await expect(tool.getByText('✕ EGT 3: −60 to 1300 °C')).toBeVisible();
  await tool.getByLabel(/^EGT 3/).fill('590');
  await tool.getByLabel(/^EGT 4/).fill('520');
  await tool.getByRole('button', { name: 'Save these values' }).click();
  await expect(page.locator('[aria-label="Now"]')).toContainText('Burning');
  await page.reload();
  await expect(page.locator('[aria-label="Now"]')).toContainText('Burning');
  await tool.getByLabel(/^EGT 3/).fill('760');
  await tool.getByRole('button', { name: 'Save these values' }).click();
  await expect(
    page.getByRole('alert').filter({ hasText: 'Gas before the filter: 760 °C, at most 720 °C' }),
  ).toBeVisible();
  // Flames have a rule of their own, which stands before what a burn is stopped by.
  await page.getByRole('button', { name: 'Flames' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Everybody away from the vehicle' })).toContainText(
    'emergency services',
  );
  await page.getByRole('button', { name: 'I have stopped the dosing' }).click();
  await expect(page.getByRole('article', { name: 'Burn 1' })).toContainText(
    'ended in a fire, Flames outside',
  );
  const stored = async (kind: string): Promise<Stored[]> =>
    (await entriesOf(page, site, id)).filter(({ body }) => body.kind === kind);
  await expect.poll(async () => (await stored('burn-ended')).length).toBe(1);
  expect(await stored('burn-reading')).toHaveLength(2);
  expect((await stored('burn-ended'))[0]?.body).toMatchObject({
    how: 'fire',
    source: 'hand',
    peakInletC: 760,
  });
});

test('a drive wants a second person and fuel: got ready and begun by keyboard only', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  const id = await chosenJob(page, site, 'drive');
  await goTo(page, site, `/jobs/${id}/burn`);
  await expect(page.getByRole('region', { name: 'Two people on the drive' })).toContainText('50–80 km/h');
  const press = async (name: string): Promise<void> => {
    await tabTo(page, page.getByRole('button', { name, exact: true }));
    await page.keyboard.press('Enter');
  };
  await press('Yes');
  await tabTo(page, page.getByLabel(/^Fuel/));
  await page.keyboard.type('5');
  await tabTo(page, page.getByLabel(/^Oil on the dipstick/));
  await page.keyboard.type('60');
  await press('Enter the answers');
  await expect(page.getByText('✕ Who is the second person?')).toBeVisible();
  await tabTo(page, page.getByLabel(/^The second person/));
  await page.keyboard.type('Ida Brook');
  await press('Enter the answers');
  await expect(
    page.getByText(/^Fuel is at 5\s%; at least 12.5\s% for a regeneration: fill up first\.$/),
  ).toBeVisible();
  await press('I have read this');
  await expect(page.getByRole('button', { name: 'Started: read by hand' })).toBeDisabled();
  await tabTo(page, page.getByLabel(/^Fuel/));
  await page.keyboard.press('Control+a');
  await page.keyboard.type('50');
  await press('Enter the answers');
  // The burn model has its say first.
  await expect(page.getByRole('button', { name: 'Started: read by hand' })).toBeEnabled();
  await press('Started: read by hand');
  await tabTo(page, page.getByLabel(/^EGT 3/));
  await page.keyboard.type('580');
  await press('Save these values');
  await expect(page.locator('[aria-label="Now"]')).toContainText('Burning');
});
