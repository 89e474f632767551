import { PROVEN_PATH } from '@white-ember/core/testing';
import {
  addEntries,
  expect,
  handReading,
  newJob,
  openJob,
  proveSensorAndHoses,
  signIn,
  stage,
  test,
} from './setup/site.ts';
import type { Page } from '@playwright/test';

async function enterReading(
  page: Page,
  rows: Record<string, Record<string, string>>,
  button: string,
): Promise<void> {
  for (const [row, figures] of Object.entries(rows)) {
    const group = page.getByRole('group', { name: row, exact: true });
    for (const [label, figure] of Object.entries(figures))
      await group.getByLabel(new RegExp(label)).fill(figure);
  }
  await page.getByRole('button', { name: button }).click();
}

test('a “blocked filter” that is a blocked pipe: found, cleared and proved without a treatment', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await newJob(page, site, 'HW 52');

  // Intake: words, chips, what others did.
  await page.getByLabel('What the customer says').fill('Filter lamp, told to buy a new filter');
  await page.getByLabel('Distance').fill('88000');
  await page.getByRole('button', { name: 'Mixed' }).click();
  await page.getByRole('button', { name: 'Filter lamp' }).click();
  await page.getByRole('button', { name: 'Black smoke: not asked' }).click();
  await page.getByRole('button', { name: 'Black smoke: yes' }).click();
  await expect(page.getByRole('button', { name: 'Black smoke: no' })).toBeVisible();
  await page.getByText('Add a part').click();
  await page.getByLabel('Part', { exact: true }).fill('ΔP sensor');
  await page.getByLabel('It was', { exact: true }).selectOption('pattern');
  await page.getByRole('button', { name: 'Save the part' }).click();
  await expect(page.getByText('pattern part · changed nothing')).toBeVisible();
  await page.getByRole('button', { name: 'Save the complaint' }).click();

  await stage(page, 'Codes');
  await page.getByLabel('Scan of every module, before anything is cleared').fill('P2453');
  await page.getByRole('button', { name: 'Save the codes' }).click();
  await expect(page.getByRole('region', { name: 'May be the cause' })).toContainText('P2453');

  await stage(page, 'Baseline');
  await enterReading(
    page,
    {
      'Key on, engine off': { ΔP: '2' },
      Idle: { rpm: '780', ΔP: '41', 'Air mass': '15', Filter: '140' },
      'Hold 1': { rpm: '2500', ΔP: '120', 'Air mass': '60', Filter: '210' },
      'Hold 2': { rpm: '3000', ΔP: '175', 'Air mass': '78', Filter: '230' },
    },
    'Enter the before reading',
  );

  // The pump at the pipe: it holds.
  await stage(page, 'Checks');
  const checks = page.getByRole('list', { name: 'Checks to do' });
  await expect(checks.getByText('Best next check')).toBeVisible();
  await checks.getByRole('button', { name: /Pipes: hand pump hold test/ }).click();
  await page.getByRole('button', { name: 'I have read this' }).click();
  await page.getByText('What if this check says').click();
  await expect(page.getByText(/The high pipe to the ΔP sensor is blocked \d+\s%/).first()).toBeVisible();
  await page.getByLabel('High pipe: pumped to').fill('400');
  await page.getByLabel('High pipe: after 2 s').fill('390');
  await expect(page.getByRole('status', { name: 'Judgement' })).toContainText('High pipe holds: blocked');
  await page.getByRole('button', { name: 'Save this check' }).click();
  await expect(page.getByText(/: entered/).first()).toBeVisible();
  await stage(page, 'Checks');
  await expect(page.getByRole('list', { name: 'Found by checks' })).toContainText('The high pipe holds');
  const likely = page.getByRole('list', { name: 'Likely causes' });
  await expect(likely.getByRole('listitem').first()).toContainText('The high pipe to the ΔP sensor');

  await stage(page, 'Decide');
  await page.getByLabel('It is', { exact: true }).selectOption('high-pipe-blocked');
  await page.getByLabel('How you know').fill('Holds 390 of 400 mbar');
  await page.getByRole('button', { name: 'Save the cause' }).click();
  await expect(page.getByRole('list', { name: 'Causes', exact: true })).toContainText(
    'confirmed. Holds 390 of 400 mbar',
  );

  // The repair: no fluid, no burn.
  await stage(page, 'Treat');
  await page.getByRole('combobox', { name: 'Work', exact: true }).selectOption('pipe-cleared');
  await page.getByRole('button', { name: 'I have read this' }).click();
  await page.getByLabel('What exactly').fill('Soaked, rodded through the bend, blown with the sensor off');
  await page.getByLabel('Part', { exact: true }).first().selectOption('high-pipe');
  await page.getByRole('button', { name: 'Save the work' }).click();

  // Put right: the panel leaves it out and wants what it hid read again; its check is open again.
  await stage(page, 'Decide');
  await page.getByRole('button', { name: 'Repaired: look for what it hid' }).click();
  await expect(page.getByRole('list', { name: 'Causes', exact: true })).toContainText('repaired. Holds');
  await expect(page.getByText('Repaired: The high pipe to the ΔP sensor')).toBeVisible();
  await expect(page.getByRole('link', { name: /Repeat codes and baseline/ })).toBeVisible();
  await expect(likely).not.toContainText('The high pipe to the ΔP sensor');
  await stage(page, 'Checks');
  await checks.getByRole('button', { name: /Pipes: hand pump hold test/ }).click();
  for (const [label, figure] of [
    ['High pipe: pumped to', '60'],
    ['High pipe: after 2 s', '0'],
    ['Low pipe: pumped to', '40'],
    ['Low pipe: after 2 s', '0'],
  ] as const)
    await page.getByLabel(label, { exact: false }).fill(figure);
  await expect(page.getByText('The pipes are open')).toBeVisible();
  await page.getByRole('button', { name: 'Save this check' }).click();

  await stage(page, 'Prove');
  await enterReading(
    page,
    {
      'Key on, engine off': { ΔP: '0' },
      Idle: { rpm: '780', ΔP: '3', 'Air mass': '15', Filter: '140' },
      'Hold 1': { rpm: '2500', ΔP: '16', 'Air mass': '60', Filter: '210' },
      'Hold 2': { rpm: '3000', ΔP: '24', 'Air mass': '78', Filter: '230' },
    },
    'Enter the after reading',
  );
  await expect(
    page.getByRole('heading', { name: 'Not the filter: correctly read, it is within limits' }),
  ).toBeVisible();
  await proveSensorAndHoses(page);
  await stage(page, 'Prove');
  await page.getByLabel('Distance').fill('11');
  await page.getByRole('button', { name: 'Save the drive', exact: true }).click();
  await page.getByRole('button', { name: 'No codes stored' }).click();
  await expect(
    page.getByRole('heading', { name: 'Proved: not the filter; it is within limits' }),
  ).toBeVisible();
});

test('an impossible value is asked back, decides nothing, and counts once it was measured again', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await newJob(page, site, 'HW 52');
  await page.goto(`${page.url().replace('stage=intake', 'stage=checks')}&check=dp-electrical`);
  await page.getByLabel('Battery, V').fill('12,6');
  await page.getByLabel('Supply pin').fill('12');
  await page.getByLabel('Battery positive to ground pin').fill('12,6');
  const judgement = page.getByRole('status', { name: 'Judgement' });
  await expect(judgement).toContainText('Is that possible?');
  await expect(judgement).toContainText('12 V on a 5 V line');
  await page.getByRole('button', { name: 'Save this check' }).click();
  const found = page.getByRole('list', { name: 'Found by checks' });
  await expect(found).toContainText('Not decided');
  await found.getByRole('button').click();
  await page.getByLabel('Battery, V').fill('12,6');
  await page.getByLabel('Supply pin').fill('12');
  await page.getByLabel('Battery positive to ground pin').fill('12,6');
  await page.getByLabel('Measured again').check();
  await expect(judgement).toContainText('Supply is not 5 V');
});

test('a check at the simulated vehicle answers by its physics, and its figures are taken over', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await newJob(page, site, 'HW 52');
  const job = page.url().replace(/\?.*/, '');
  await page.goto(`${job}/live`);
  await page
    .getByLabel('What is wrong with it')
    .selectOption({ label: 'High pipe of the ΔP sensor blocked' });
  await page.getByRole('button', { name: 'Set up the simulated vehicle' }).click();
  await page.getByText('Ignition off').first().waitFor();
  // The session lives as long as the page: go on inside it.
  await page
    .getByRole('main')
    .getByRole('link', { name: /^HW 52/ })
    .click();
  await stage(page, 'Checks');
  await page
    .getByRole('list', { name: 'Checks to do' })
    .getByRole('button', { name: /Pipes: hand pump hold test/ })
    .click();
  await page.getByRole('button', { name: 'Run this check on the simulated vehicle' }).click();
  await expect(page.getByRole('status', { name: 'Judgement' })).toContainText('High pipe holds: blocked');
  await expect(page.getByLabel('High pipe: after 2 s')).not.toHaveValue('');
});

test('a job waits for the customer’s choice and for a part, and says so in the list', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await newJob(page, site, 'FL 012');
  await page.getByLabel('What the customer says').fill('Lamp');
  await page.getByRole('button', { name: 'Save the complaint' }).click();
  // It leads to the codes by itself: who goes on before that is led back.
  await page.waitForURL(/stage=codes/);
  await stage(page, 'Decide');
  await page.getByText('Offer a choice with prices').click();
  await page.getByLabel('What is to be decided').fill('The filter:');
  await page.getByLabel('Price').nth(0).fill('180');
  await page.getByLabel('Price').nth(1).fill('420,50');
  await page.getByRole('button', { name: 'Offer it: the job waits' }).click();
  await expect(page.getByText('Waits for the customer: The filter:')).toBeVisible();
  await page.goto(`${site.address}/jobs?find=FL+012`);
  await expect(page.getByText('Waits for the customer’s choice').first()).toBeVisible();
  await openJob(page, site, 'FL 012', 'decide');
  await page.getByRole('radio', { name: /Send out to be cleaned/ }).check();
  await page.getByLabel('Approved by').fill('Dispatcher Orla Finn');
  await page.getByRole('button', { name: 'Record the approval' }).click();
  await expect(page.getByText(/€420\.50, approved by Dispatcher Orla Finn by phone/)).toBeVisible();

  await page.getByLabel('It may be').selectOption('limited');
  await page.getByLabel('Because').fill('Filter half full, no inhibitor');
  await page.getByLabel('Limited to').fill('No town work');
  await page.getByRole('button', { name: 'Enter it', exact: true }).click();
  await expect(page.getByText('Filter half full, no inhibitor · No town work')).toBeVisible();

  await stage(page, 'Treat');
  await page.getByText('Enter a temporary repair').click();
  await page.getByLabel('What was done for now').fill('Duct taped');
  await page.getByLabel('On order').fill('Intake duct');
  await page.getByRole('button', { name: 'Save, open until settled' }).click();
  await expect(page.getByText('on order: Intake duct', { exact: true })).toBeVisible();
  await page.getByLabel('Settled by').fill('New duct fitted');
  await page.getByRole('button', { name: 'Settled', exact: true }).click();
  await expect(page.getByText('None is open.')).toBeVisible();
});

test('what was confirmed on one vehicle is proposed on the customer’s others of the family, notes are kept', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  const other = await newJob(page, site, 'FL 007');
  await addEntries(page, site, other, [
    { kind: 'cause', cause: 'glow-plugs-failed', state: 'confirmed', why: 'Two plugs open' },
    { kind: 'family-note', topic: 'access', text: 'Plug 4 from below, wing liner off', minutes: 20 },
  ]);
  await openJob(page, site, 'FL 003', 'intake');
  await expect(page.getByText(/Plug 4 from below, wing liner off/)).toBeVisible();
  const proposed = page.getByRole('list', { name: 'Suggested for this vehicle' });
  // The latest of them is named.
  await expect(proposed).toContainText(/Confirmed on FL 0(07|19) TX .*: Glow plugs or their relay/);
  await proposed.getByRole('link', { name: 'Glow plugs and relay' }).click();
  await expect(page.getByRole('heading', { name: 'Glow plugs and relay' })).toBeVisible();
});

test('a photo is kept by its content, a file that only calls itself one is refused', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await newJob(page, site, 'HW 52');
  const dot = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  );
  await page.getByLabel('What it shows').fill('High pipe at its bend');
  await page
    .getByLabel('Take or choose a photo')
    .setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: dot });
  await expect(page.getByRole('img', { name: 'High pipe at its bend' })).toBeVisible();
  await page
    .getByLabel('Take or choose a photo')
    .setInputFiles({ name: 'b.png', mimeType: 'image/png', buffer: Buffer.from('not a picture at all') });
  await expect(page.getByText('This file is no photo')).toBeVisible();
});

test('a ΔP that never moves: nothing is offered for the filter, the sensor is found dead and confirmed by one tap; read again, cleaned, proved', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  const id = await newJob(page, site, 'FL 012');
  await stage(page, 'Baseline');
  await enterReading(
    page,
    {
      'Key on, engine off': { ΔP: '0' },
      Idle: { rpm: '800', ΔP: '0' },
      'Hold 1': { rpm: '2500', ΔP: '0' },
      'Hold 2': { rpm: '3000', ΔP: '0' },
    },
    'Enter the before reading',
  );

  // The sensor first, and the filter is left out of it.
  const next = page.getByRole('region', { name: 'Next step' });
  await expect(next.getByRole('button', { name: 'Start this check' })).toBeVisible();
  await stage(page, 'Decide');
  await expect(page.getByText('Cannot be decided yet')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Choose: chemical clean/ })).toBeHidden();
  await addEntries(page, site, id, [
    {
      kind: 'check',
      check: 'dp-electrical',
      values: { batteryV: 12.6, supplyV: 5, groundFromPlusV: 12.6, signalV: 0 },
    },
  ]);
  await page.reload();
  const likely = page.getByRole('list', { name: 'Likely causes' }).getByRole('listitem').first();
  await expect(likely).toContainText('The ΔP sensor has failed');
  await likely.click();
  await likely.getByRole('button', { name: 'Confirm this cause' }).click();
  await expect(next).toContainText('Repair: the ΔP sensor has failed');

  // A new one, and what it shows.
  await addEntries(page, site, id, [
    { kind: 'work', work: 'sensor-replaced', what: 'ΔP sensor', part: 'dp-sensor' },
    { kind: 'cause', cause: 'dp-sensor-failed', state: 'put-right', why: 'New sensor' },
    ...PROVEN_PATH,
    handReading(70),
  ]);
  await page.reload();
  await expect(page.getByText('Cannot be decided yet')).toBeHidden();
  await page.getByRole('button', { name: /^Choose: chemical clean/ }).click();
  await expect(next).toContainText('Chemical clean');
  await addEntries(page, site, id, [
    { kind: 'work', work: 'chemical-clean', what: 'One fill', by: 'high-pipe' },
    handReading(9, 'after'),
    ...PROVEN_PATH,
    { kind: 'drive', distanceKm: 12, powerLimitGone: true, reportedBy: 'technician' },
    { kind: 'code-scan', when: 'after-drive', codes: [] },
  ]);
  await page.goto(`${site.address}/jobs/${id}?stage=prove`);
  await expect(page.getByRole('heading', { name: /^Proved/ })).toBeVisible();
  await expect(next).toContainText('Hand over');
});
