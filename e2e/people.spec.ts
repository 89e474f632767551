import type { RunningClocks } from '@white-ember/core/contract';
import { Secret, TOTP } from 'otpauth';
import pg from 'pg';
import { addEntries, expect, openJob, openSite, signIn, stage, test } from './setup/site.ts';
import { chooseOwnPassword } from './setup/acts.ts';

test('the first run makes a workshop of its own beside the demo, and its lead adds people', async ({
  page,
  browser,
}) => {
  const site = await openSite();
  try {
    await page.goto(site.address);
    await page.getByRole('button', { name: 'Set up your own workshop' }).click();
    await page.getByRole('button', { name: 'Make the workshop' }).click();
    await expect(page.getByText('Password: at least 10 characters')).toBeVisible();
    await page.getByLabel('Workshop', { exact: true }).fill('Reedmere Filters');
    await page.getByLabel('Your name').fill('Wren Halloran');
    await page.getByLabel('Sign-in name').fill('wren');
    await page.getByLabel('Password').fill('a long enough word');
    await page.getByRole('button', { name: 'Make the workshop' }).click();
    await expect(page.getByText('Reedmere Filters')).toBeVisible();
    await expect(page.getByText('No jobs here.')).toBeVisible();

    await page.goto(`${site.address}/people`);
    await page.getByLabel('Name', { exact: true }).fill('Bracken Lisle');
    await page.getByLabel('Sign-in name').fill('bracken');
    await page.getByLabel('Password').fill('another long word');
    await page.getByRole('button', { name: /Add/ }).last().click();
    await expect(page.getByText('Bracken Lisle', { exact: true }).first()).toBeVisible();

    // In which money the workshop counts: the limits say it at once.
    await page.getByLabel('Currency of the workshop').selectOption('SEK');
    await page.goto(`${site.address}/limits`);
    await expect(page.getByText(/kr|SEK/).first()).toBeVisible();
    await page.goto(`${site.address}/people`);
    await expect(page.getByLabel('Currency of the workshop')).toHaveValue('SEK');

    // The new person signs in on another device, sees this workshop only, and no lead's pages.
    const other = await (await browser.newContext()).newPage();
    await other.goto(site.address);
    await expect(other.getByRole('button', { name: 'Set up your own workshop' })).toBeHidden();
    await other.getByLabel('Sign-in name').fill('Bracken');
    await other.getByLabel('Password').fill('wrong word entirely');
    await other.getByRole('button', { name: 'Sign in', exact: true }).click();
    await expect(other.getByRole('alert')).toContainText('Sign-in name or password is not right');
    await other.getByLabel('Password').fill('another long word');
    await other.getByRole('button', { name: 'Sign in', exact: true }).click();
    // The password that a lead set is exchanged before anything else.
    await chooseOwnPassword(other, 'another long word', 'password1234', /too easy to guess/);
    await chooseOwnPassword(other, 'another long word', 'rainy kerbs need chocks');
    await expect(other.getByText('Reedmere Filters')).toBeVisible();
    await other.getByRole('button', { name: 'All' }).click();
    await expect(other.getByText('KE 417 QR')).toBeHidden();
    await other.goto(`${site.address}/people`);
    await expect(other.getByRole('alert')).toContainText('Your role does not allow this');

    // Suspended: out at once, and told so.
    await page.getByRole('button', { name: 'Suspend Bracken Lisle' }).click();
    await expect(page.getByRole('listitem').filter({ hasText: 'Bracken Lisle' })).toContainText('suspended');
    await other.reload();
    await other.getByLabel('Sign-in name').fill('bracken');
    await other.getByLabel('Password').fill('rainy kerbs need chocks');
    await other.getByRole('button', { name: 'Sign in', exact: true }).click();
    await expect(other.getByRole('alert')).toContainText('You are suspended in this workshop');

    // The lead wants a code beside the password: set up by the key, asked for at the next sign-in.
    await page.goto(`${site.address}/account`);
    await page.getByRole('button', { name: 'Set it up' }).click();
    const key = page.getByRole('region', { name: 'Second factor' }).locator('p.font-mono');
    const secret = ((await key.textContent()) ?? '').replaceAll(' ', '');
    const code = (steps: number): string =>
      new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp: Date.now() + 30_000 * steps });
    // The code of the step before is taken for as long as this one lasts: not begun just before its end.
    const leftMs = 30_000 - (Date.now() % 30_000);
    if (leftMs < 12_000) await page.waitForTimeout(leftMs);
    await page.getByLabel('Code').fill(code(-1));
    await page.getByRole('button', { name: 'Confirm' }).click();
    await expect(page.getByText('Write these down now: they are not shown again')).toBeVisible();
    await page.getByRole('button', { name: 'I have written them down' }).click();
    await page.getByRole('button', { name: /Menu of Wren/ }).click();
    await page.getByRole('menuitem', { name: 'Sign out' }).click();
    await page.getByLabel('Sign-in name').fill('wren');
    await page.getByLabel('Password').fill('a long enough word');
    await page.getByRole('button', { name: 'Sign in', exact: true }).click();
    await expect(page.getByRole('alert')).toContainText('A code is needed, too');
    await page.getByLabel('Code').fill(code(0));
    await page.getByRole('button', { name: 'Sign in', exact: true }).click();
    await expect(page.getByText('Reedmere Filters')).toBeVisible();
  } finally {
    await site.close();
  }
});

test('signing out ends the session, and a job’s address asks to sign in again', async ({ page, site }) => {
  await signIn(page, site);
  await openJob(page, site, 'KE 417 QR');
  const address = page.url();
  await page.getByRole('button', { name: /Menu of Tobin/ }).click();
  await page.getByRole('menuitem', { name: 'Sign out' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await page.goto(address);
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await page.getByRole('button', { name: /Tobin/ }).click();
  await expect(page.getByRole('heading', { name: 'KE 417 QR', level: 1 })).toBeVisible();
});

test('units and theme are a person’s choice: kept, and used in every sentence', async ({ page, site }) => {
  await signIn(page, site);
  await openJob(page, site, 'KE 417 QR', 'prove');
  await page.getByRole('button', { name: /Menu of Tobin/ }).click();
  await page.getByRole('menuitem', { name: /Units: mbar/ }).click();
  await page.getByLabel('Pressure', { exact: true }).selectOption({ label: 'kPa' });
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: /ΔP \d\.\d+\skPa/ })).toBeVisible();
  await page.getByText('Why', { exact: true }).click();
  await expect(page.getByText(/went from \d+(\.\d+)?\skPa to \d\.\d+\skPa/)).toBeVisible();
  await expect(page.getByText('ΔP in kPa, zero removed', { exact: false })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: /ΔP \d\.\d+\skPa/ })).toBeVisible();
});

test('a running dwell stands on every page with its time left, and leads to its job', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  // What earlier tests left running on other vehicles is ended: one that is over stands before one that runs.
  const answer = await page.request.get(`${site.address}/api/clocks`);
  const { clocks } = (await answer.json()) as RunningClocks;
  for (const { jobId, entryId, plate } of clocks)
    if (plate !== 'FL 007 TX') await addEntries(page, site, jobId, [{ kind: 'clock-ended', entry: entryId }]);
  for (const path of ['/jobs', '/vehicles', '/limits']) {
    await page.goto(site.address + path);
    await expect(page.getByRole('timer')).toContainText(/^\d\d:\d\d/);
  }
  const shown = await page.getByRole('timer').textContent();
  await page.waitForTimeout(2100);
  expect(await page.getByRole('timer').textContent()).not.toBe(shown);
  await page.getByRole('timer').getByRole('link').click();
  await expect(page.getByRole('heading', { name: 'FL 007 TX', level: 1 })).toBeVisible();
});

test('a long list of jobs comes in pages, and every one of them can be reached', async ({ page }) => {
  const site = await openSite();
  try {
    const db = new pg.Client({ connectionString: site.databaseUrl });
    await db.connect();
    await db.query(`INSERT INTO job (id, workshop_id, vehicle_id, number, opened_at, last_entry_at, summary, content_hash)
      SELECT gen_random_uuid(), workshop_id, vehicle_id, 1000 + n, opened_at, opened_at, summary, ''
        FROM (SELECT * FROM job LIMIT 1) one, generate_series(1, 128 - (SELECT count(*)::int FROM job)) n`);
    await db.end();
    await signIn(page, site);
    await page.goto(`${site.address}/jobs?show=all`);
    const rows = page.getByRole('main').getByRole('listitem');
    await expect(rows).toHaveCount(50);
    await page.getByRole('button', { name: 'Show older jobs' }).click();
    await expect(rows).toHaveCount(100);
    await page.getByRole('button', { name: 'Show older jobs' }).click();
    await expect(rows).toHaveCount(128);
    await expect(page.getByRole('button', { name: 'Show older jobs' })).toBeHidden();
  } finally {
    await site.close();
  }
});

test('a part is found wrong, then replaced: line, list and what we know say so by word and shape', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await openJob(page, site, 'QP 308 LM', 'checks&part=dp-sensor');
  await page.getByText('Record a finding at a part').click();
  await page.getByText('failed', { exact: true }).click();
  await page.getByRole('button', { name: /Enter for/ }).click();
  await expect(page.getByText('The reason must not be empty')).toBeVisible();
  await page.getByLabel('How you know').fill('Reads 14 mbar with both hoses off');
  await page.getByRole('button', { name: /Enter for/ }).click();
  await expect(page.getByRole('button', { name: /differential pressure sensor: failed/ })).toBeVisible();
  const known = page.getByRole('complementary', { name: 'What we know' });
  await known.getByRole('tab', { name: 'Likely' }).click();
  await expect(known).toContainText('Reads 14 mbar with both hoses off');
  await stage(page, 'Treat');
  await page.getByRole('combobox', { name: 'Work', exact: true }).selectOption({ label: 'Sensor replaced' });
  await page.getByRole('button', { name: 'I have read this' }).click();
  await page.getByLabel('What exactly').fill('New sensor, same part number');
  await page.getByLabel('Part', { exact: true }).first().selectOption({ label: 'ΔP sensor' });
  await page.getByRole('button', { name: 'Save the work' }).click();
  await expect(page.getByRole('button', { name: /differential pressure sensor: replaced/ })).toBeVisible();
  // The reading from before the new sensor proves nothing about it.
  await known.getByRole('tab', { name: /^Evidence/ }).click();
  await expect(
    page.getByText('The after reading is older than the last work on filter or sensor: read again'),
  ).toBeVisible();
});
