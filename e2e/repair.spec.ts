import type { EntryBody } from '@white-ember/core/ledger';
import { PROVEN_PATH } from '@white-ember/core/testing';
import { v7 as uuidv7 } from 'uuid';
import { addEntries, expect, handReading, newJob, post, signIn, stage, test } from './setup/site.ts';

const DRIVEN: readonly EntryBody[] = [
  { kind: 'drive', distanceKm: 12, powerLimitGone: true, reportedBy: 'technician' },
  { kind: 'code-scan', when: 'after-drive', codes: [] },
];

test('a blocked pipe behind a new sensor before the turbo: found by one reading, cleared, proved, and the filter never touched', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  const id = await newJob(page, site, 'FL 012');
  await addEntries(page, site, id, [
    {
      kind: 'part-changed',
      where: 'elsewhere',
      what: 'Sensor before the turbo',
      part: 'back-pressure-sensor',
      condition: 'new',
      effect: 'none',
    },
    { kind: 'code-scan', when: 'before', codes: [{ code: 'P0471' }] },
  ]);
  await page.reload();
  await stage(page, 'Baseline');
  await page.getByLabel(/^Barometer/).fill('1008');
  const rows: Record<string, Record<string, string>> = {
    'Key on, engine off': { ΔP: '0', 'Before turbo': '1009', Manifold: '1007' },
    Idle: { rpm: '820', ΔP: '3', 'Before turbo': '1010', Manifold: '1010' },
    'Hold 1': { rpm: '2500', ΔP: '14', 'Before turbo': '1012', Manifold: '1130' },
  };
  for (const [row, figures] of Object.entries(rows)) {
    const group = page.getByRole('group', { name: row, exact: true });
    for (const [label, figure] of Object.entries(figures))
      await group.getByLabel(new RegExp(label)).fill(figure);
  }
  await page.getByRole('button', { name: 'Enter the before reading' }).click();

  const next = page.getByRole('region', { name: 'Next step' });
  // Saving leads on by itself, to the check that is next.
  await expect(next).toContainText(/Pipes: |Hoses/);
  await expect(page).toHaveURL(/stage=checks&check=/);
  // One key leads to it from wherever the hands are.
  await stage(page, 'Decide');
  await page.keyboard.press('n');
  await expect(page).toHaveURL(/stage=checks/);
  await addEntries(page, site, id, [
    {
      kind: 'check',
      check: 'pipe-pump',
      values: {},
      outcome: 'back-pressure-holds',
    },
  ]);
  await page.reload();
  await expect(next).toContainText('Confirm and repair: the back-pressure pipe is blocked');
  await next.getByRole('button', { name: 'Confirm it' }).click();
  await expect(next).toContainText('Repair: the back-pressure pipe');

  await addEntries(page, site, id, [
    { kind: 'work', work: 'pipe-cleared', what: 'Soaked and rodded', part: 'back-pressure-sensor' },
    { kind: 'check', check: 'pipe-pump', values: {}, outcome: 'pipes-open' },
    { kind: 'cause', cause: 'back-pressure-pipe-blocked', state: 'put-right', why: 'Open by pump' },
    ...DRIVEN,
  ]);
  await page.goto(`${site.address}/jobs/${id}?stage=prove`);
  await expect(page.getByRole('heading', { name: /^Proved/ })).toBeVisible();
  await expect(next).toContainText('Hand over');
});

test('a filter whose size nobody knows goes from intake to proof', async ({ page, site }) => {
  await signIn(page, site);
  const vehicleId = uuidv7();
  const plate = 'UN 100 KN';
  await post(page, site, '/vehicles', {
    id: vehicleId,
    plate,
    model: 'Fenn 1.8 van',
    family: 'Fenn 1.8',
    displacementL: 1.8,
    fitted: ['engine', 'turbine', 'catalyst', 'filter', 'dp-sensor', 'high-pipe', 'low-pipe', 'silencer'],
  });
  const id = await newJob(page, site, plate);
  await addEntries(page, site, id, [
    { kind: 'code-scan', when: 'before', codes: [{ code: 'P2463' }] },
    ...PROVEN_PATH,
    handReading(190),
  ]);
  await page.goto(`${site.address}/jobs/${id}?stage=decide`);
  await page.getByRole('button', { name: /^Choose: chemical clean/ }).click();
  const next = page.getByRole('region', { name: 'Next step' });
  await expect(next).toContainText('Chemical clean');
  await addEntries(page, site, id, [
    { kind: 'work', work: 'chemical-clean', what: 'One fill', by: 'high-pipe' },
    handReading(24, 'after'),
    ...PROVEN_PATH,
    ...DRIVEN,
  ]);
  await page.goto(`${site.address}/jobs/${id}?stage=prove`);
  await expect(page.getByRole('heading', { name: /^Proved/ })).toBeVisible();

  // Whoever finds the can’s label later enters the size where it is asked for.
  await stage(page, 'Decide');
  const assumed = page.getByRole('status').filter({ hasText: /Filter size assumed: 2\.[23]\sL/ });
  await expect(assumed).toContainText('By the engine size.');
  await assumed.getByRole('combobox').selectOption({ index: 1 });
  await expect(assumed).toBeHidden();
  await expect(page.getByText('Filter size not known')).toBeHidden();
});
