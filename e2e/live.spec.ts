import type { Locator, Page } from '@playwright/test';
import { expect, newJob, openSite, signIn, tabTo, test, type Site } from './setup/site.ts';

const jobOf = (page: Page): string => /jobs\/([0-9a-f-]{36})/.exec(page.url())?.[1] ?? '';

async function benchOn(page: Page, site: Site, plate: string): Promise<string> {
  await newJob(page, site, plate);
  const id = jobOf(page);
  await page.goto(`${site.address}/jobs/${id}/live`);
  await expect(page.getByLabel('What is wrong with it')).toBeVisible();
  return id;
}

const step = (page: Page, name: string): Locator =>
  page.getByRole('list', { name: 'Baseline' }).getByRole('listitem').filter({ hasText: name });

test('the guided baseline on a vehicle with a blocked pipe, by keyboard only', async ({ page, site }) => {
  test.setTimeout(120_000);
  // What the device would say is noted down, as no test can hear.
  await page.addInitScript(() => {
    const spoken: string[] = [];
    Object.assign(globalThis, { spoken });
    speechSynthesis.speak = ({ text }) => void spoken.push(text);
  });
  await signIn(page, site);
  await benchOn(page, site, 'HW 52');
  const fault = page.getByLabel('What is wrong with it');
  await tabTo(page, fault);
  await page.keyboard.type('High pipe');
  await expect(fault).toHaveValue('high-pipe-blocked');
  await tabTo(page, page.getByRole('button', { name: 'Set up the simulated vehicle' }));
  await page.keyboard.press('Enter');
  await expect(page.getByText('Ignition off', { exact: true }).first()).toBeVisible();

  // Connected too early the tool says what to do; nothing else is lost by it.
  await page.keyboard.press('c');
  await expect(page.getByText(/switch the ignition on, then connect again/)).toBeVisible();
  await page.keyboard.press('k');
  await expect(page.getByText('Ignition on, engine off', { exact: true })).toBeVisible();
  await page.keyboard.press('c');
  await expect(page.getByText(/The tool takes it for Harrow 3.0/)).toBeVisible();
  await page.keyboard.press('3');
  await page.keyboard.press('r');
  await expect(page.getByText(/^Recording, /)).toBeVisible();
  await expect(step(page, 'Key on')).toContainText('done');

  await page.keyboard.press('s');
  await expect(step(page, 'Warm idle')).toContainText('done');
  await expect(step(page, 'Cold idle')).toContainText('not needed');
  await page.keyboard.press('j');
  await expect(step(page, 'First hold')).toContainText('done');

  // At arm's length: the same drill, one large figure, a moment marked by the space bar.
  await page.keyboard.press('f');
  const far = page.getByRole('dialog', { name: 'Arm’s-length view' });
  await expect(far).toContainText('Hold 3000 rpm');
  await tabTo(page, far.getByRole('button', { name: 'Tone and speech' }));
  await page.keyboard.press('Enter');
  // With sound on, what is wanted next is spoken.
  await expect
    .poll(() => page.evaluate(() => (globalThis as unknown as { spoken: string[] }).spoken.at(-1)))
    .toMatch(/^Hold 3000\srpm/);
  await page.keyboard.press('h');
  await page.keyboard.press('Space');
  await expect(far.getByRole('button', { name: 'Mark 1' })).toBeVisible();
  await expect(far).toContainText('Three snaps');
  await expect(far.getByRole('status')).toContainText(/Taken: .* at 30\d\d\srpm|Taken: .* at 29\d\d\srpm/);
  await page.keyboard.press('f');
  await expect(far).toBeHidden();
  await page.keyboard.press('i');
  await expect(page.getByText(/^Engine at 7\d0\srpm/)).toBeVisible();
  await page.keyboard.press('2');
  for (let snap = 1; snap <= 3; snap++) {
    await page.keyboard.press('n');
    await expect(step(page, 'Snaps')).toContainText(snap < 3 ? `${snap} of 3` : 'done');
    await page.waitForTimeout(1500);
  }
  await page.keyboard.press('o');
  await expect(page.getByText('Ignition off', { exact: true }).first()).toBeVisible();
  await page.keyboard.press('k');
  await expect(step(page, 'Key off')).toContainText('done');

  // The recording is a log like any other: its findings are there, and it becomes the before reading.
  await page.keyboard.press('r');
  await page.waitForURL(/\/logs\?log=/);
  await expect(page.getByText(/ΔP falls to .* as the flow rises/)).toBeVisible();
  const use = page.getByRole('button', { name: 'Use these windows as the before reading' });
  await tabTo(page, use);
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Entered as the before reading/)).toBeVisible();
  await page.goto(`${site.address}/jobs/${jobOf(page)}/live`);
  await expect(page.getByRole('list', { name: 'Recordings on this device' })).toHaveCount(0);
});

test('a recording outlives the page: what was written is there after a crash, and is read', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await benchOn(page, site, 'FL 012');
  await page.getByLabel('Scan tool').selectOption({ label: 'Generic, speaks OBD only' });
  await page.getByRole('button', { name: 'Set up the simulated vehicle' }).click();
  await page.keyboard.press('k');
  await expect(page.getByText('Ignition on, engine off', { exact: true })).toBeVisible();
  await page.keyboard.press('c');
  await page.getByRole('button', { name: /^Record/ }).click();
  await page.keyboard.press('s');
  await expect(page.getByText(/^Engine at/)).toBeVisible();
  await expect(page.getByText(/^Recording, 0:(1\d|0[89])/)).toBeVisible({ timeout: 40_000 });
  await page.reload();
  const kept = page.getByRole('list', { name: 'Recordings on this device' });
  await expect(kept).toContainText(/A recording was cut off: .*, 0:(1\d|0[6-9])/);
  await kept.getByRole('button', { name: 'See the result' }).click();
  await expect(page.getByText(/\d+\ss, \d+ channels/)).toBeVisible();
});

test('the server stops while it records: the recording goes on, and is kept when the server is back', async ({
  page,
}) => {
  test.setTimeout(90_000);
  const own = await openSite();
  try {
    await signIn(page, own);
    await benchOn(page, own, 'FL 007');
    await page.getByLabel('Scan tool').selectOption({ label: 'Drops out after a minute' });
    await page.getByRole('button', { name: 'Set up the simulated vehicle' }).click();
    await page.keyboard.press('k');
    await expect(page.getByText('Ignition on, engine off', { exact: true })).toBeVisible();
    await page.keyboard.press('c');
    await page.keyboard.press('3');
    await page.getByRole('button', { name: /^Record/ }).click();
    await page.keyboard.press('s');
    await own.stop();
    // The link drops out as well: it says so, and goes on when it is connected again.
    await expect(page.getByText(/The link to the vehicle was lost/)).toBeVisible();
    await page.keyboard.press('c');
    await expect(page.getByText(/The link to the vehicle was lost/)).toBeHidden();
    await page.keyboard.press('j');
    await expect(step(page, 'First hold')).toContainText('done');
    await own.start();
    await page.getByRole('button', { name: /^End the recording/ }).click();
    await page.waitForURL(/\/logs\?log=/);
    await page.getByRole('button', { name: 'Use these windows as the before reading' }).click();
    await expect(page.getByText(/Entered as the before reading/)).toBeVisible();
    expect(await own.count('log_raw').catch(() => own.count('log'))).toBeGreaterThan(0);
  } finally {
    await own.close();
  }
});

test('the ECU: its codes kept, clearing held off until the load is known, hands at the vehicle', async ({
  page,
  site,
}) => {
  test.setTimeout(150_000);
  await signIn(page, site);
  await benchOn(page, site, 'FL 012');
  await page.getByLabel('What is wrong with it').selectOption({ label: 'EGT 3 failed' });
  await page.getByRole('button', { name: 'Set up the simulated vehicle' }).click();
  await page.keyboard.press('k');
  await expect(page.getByText('Ignition on, engine off', { exact: true })).toBeVisible();
  await page.keyboard.press('c');
  await expect(page.getByText(/The tool takes it for/)).toBeVisible();
  const computer = page.getByRole('region', { name: 'ECU' });

  // Nothing is cleared before the list is kept and the load is known.
  await expect(computer).toContainText('The codes are not saved with the job: scan and save them first.');
  await expect(computer).toContainText('take a baseline with a hold first');
  await expect(computer.getByRole('button', { name: 'Do it' })).toBeDisabled();
  await computer.getByRole('button', { name: 'Read codes' }).click();
  await computer.getByRole('button', { name: 'Keep this list with the job' }).click();
  await expect(computer).toContainText('Kept with the job.');
  await expect(computer).not.toContainText('codes are not saved');

  // A hand at the vehicle: what cannot be done says why.
  await page.getByText('At the vehicle, by hand', { exact: true }).click();
  await page.getByLabel('What to do').selectOption({ label: 'Pump on the high port' });
  await page.getByLabel(/Pressure of the pump/).fill('150');
  await page.getByRole('button', { name: 'Do it', exact: true }).first().click();
  await expect(page.getByText('150 mbar at the port.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Values' })).toContainText(/1[45]\d\smbar/);
  await page.getByLabel('What to do').selectOption({ label: 'Take the pump off the high port' });
  await page.getByRole('button', { name: 'Do it', exact: true }).first().click();
  await page.getByLabel('What to do').selectOption({ label: 'Put a known-good EGT 3 in' });
  await page.getByRole('button', { name: 'Do it', exact: true }).first().click();
  await expect(page.getByText('A known-good sensor is in its place.')).toBeVisible();
});

test('a device that slept says how long nothing was read, and the recording goes on with a gap', async ({
  page,
  site,
}) => {
  test.setTimeout(120_000);
  await signIn(page, site);
  const id = await benchOn(page, site, 'FL 007');
  await page.getByRole('button', { name: 'Set up the simulated vehicle' }).click();
  await page.keyboard.press('k');
  await expect(page.getByText('Ignition on, engine off', { exact: true })).toBeVisible();
  await page.keyboard.press('c');
  await expect(page.getByText(/The tool takes it for/)).toBeVisible();
  await page.keyboard.press('r');
  await expect(page.getByText(/^Recording, 0:0[2-9]/)).toBeVisible();

  // On another page the recording goes on, and says so.
  await page.getByRole('link', { name: 'Vehicles' }).click();
  await page.getByRole('link', { name: /^Recording, / }).click();
  await expect(page).toHaveURL(new RegExp(`${id}/live`));

  // As in a sleep: nothing that belongs to the recording runs for six seconds, while the clock goes on.
  const worker = page.workers().find((one) => one.url().includes('benchWorker'));
  await worker?.evaluate(() => {
    const until = Date.now() + 6000;
    while (Date.now() < until);
  });
  await expect(page.getByText(/The device slept for 0:0[4-9]: no values in that time/)).toBeVisible();
  await page.waitForTimeout(2000);
  await page.getByRole('button', { name: 'End the recording (R)' }).click();
  await expect(page).toHaveURL(/logs\?log=/);
});

test('a drive that recorded itself is read as a drive, not as a hold', async ({ page, site }) => {
  test.setTimeout(120_000);
  await signIn(page, site);
  await benchOn(page, site, 'HW 52');
  await page.getByRole('button', { name: 'Set up the simulated vehicle' }).click();
  await page.keyboard.press('k');
  await expect(page.getByText('Ignition on, engine off', { exact: true })).toBeVisible();
  await page.keyboard.press('c');
  await expect(page.getByText(/The tool takes it for/)).toBeVisible();
  await page.keyboard.press('r');
  await page.keyboard.press('s');
  await expect(page.getByText(/^Engine at [78]\d0\srpm/)).toBeVisible();
  await page.getByRole('button', { name: 'Drive, 70 km/h' }).click();
  await page.keyboard.press('3');
  await expect(page.getByText(/^Engine at \d+\srpm, (69|70|71)\skm\/h/)).toBeVisible({ timeout: 40_000 });
  await page.waitForTimeout(4000);
  // What was steady on the road is taken for no hold.
  await expect(page.getByText(/^hold \d+\srpm/)).toHaveCount(0);
  await page.getByRole('button', { name: 'End the recording (R)' }).click();
  await expect(page).toHaveURL(/logs\?log=/);
  // The road speed is in the log, by which its windows are told apart.
  await expect(page.getByLabel('Add a channel').getByText(/Vehicle speed/)).toHaveCount(1);
});

test('the simulated vehicle takes two faults, the first in a chosen form: its zero is off at key on', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await benchOn(page, site, 'FL 012');
  await page.getByLabel('What is wrong with it').selectOption({ label: 'ΔP sensor failed' });
  await page.getByText('Form, severity, time').click();
  await page.getByLabel('Form', { exact: true }).selectOption({ label: 'Zero offset' });
  await page.getByRole('button', { name: 'Add a fault' }).click();
  await page.getByLabel('Fault 2', { exact: true }).selectOption({ label: 'EGT 3 failed' });
  await page.getByText('Form, severity, time').nth(1).click();
  await page.getByLabel('Form', { exact: true }).nth(1).selectOption({ label: 'Open circuit' });
  // A third, thought better of.
  await page.getByRole('button', { name: 'Add a fault' }).click();
  await page.getByRole('button', { name: 'Remove fault 3' }).click();
  await page.getByRole('button', { name: 'Set up the simulated vehicle' }).click();
  await page.keyboard.press('k');
  await expect(page.getByText('Ignition on, engine off', { exact: true })).toBeVisible();
  await page.keyboard.press('c');
  await expect(page.getByText(/The tool takes it for/)).toBeVisible();
  const values = page.getByRole('list', { name: 'Values' });
  await expect(values).toContainText(/2[6-9](?:\.\d)?\smbar/);
  await expect(values).toContainText(/999\s°C/);
});
