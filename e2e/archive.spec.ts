import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, openSite, signIn, test } from './setup/site.ts';
import { chooseOwnPassword } from './setup/acts.ts';

test('a whole workshop goes out, and in again on another installation, where its people get passwords', async ({
  page,
  site,
  browser,
}, info) => {
  test.setTimeout(240_000);
  const other = await openSite({}, { demo: false });
  try {
    await signIn(page, site, 'Imke');
    await page.goto(`${site.address}/people`);
    const data = page.getByRole('region', { name: 'The workshop’s data' });
    const download = page.waitForEvent('download');
    await data.getByRole('link', { name: 'Export the whole workshop' }).click();
    const archive = join(info.outputDir, 'workshop.zip');
    await (await download).saveAs(archive);
    expect((await download).suggestedFilename()).toMatch(
      /^quillfeather-aftertreatment-\d{4}-\d\d-\d\d\.zip$/,
    );
    expect(readFileSync(archive).subarray(0, 2).toString()).toBe('PK');

    // A new workshop somewhere else, with nothing in it.
    const there = await (await browser.newContext()).newPage();
    await there.goto(other.address);
    await there.getByLabel('Workshop', { exact: true }).fill('Moved');
    await there.getByLabel('Your name').fill('Wren Halloran');
    await there.getByLabel('Sign-in name').fill('Tobin');
    await there.getByLabel('Password').fill('a long enough word');
    await there.getByRole('button', { name: 'Make the workshop' }).click();
    await expect(there.getByText('No jobs here.')).toBeVisible();
    await there.goto(`${other.address}/people`);
    const into = there.getByRole('region', { name: 'The workshop’s data' });
    const file = into.getByLabel('Import an archive');
    await file.setInputFiles({
      name: 'letter.zip',
      mimeType: 'application/zip',
      buffer: Buffer.from('a letter'),
    });
    await expect(into.getByRole('alert')).toContainText('This file cannot be read as an archive');
    await file.setInputFiles(archive);
    const taken = into.getByText(/^workshop\.zip imported$/);
    await expect(taken).toBeVisible({ timeout: 180_000 });
    // Whose sign-in name somebody has there already gets another one.
    await expect(
      into.getByText(/^Tobin Ashgrove signs in as tobin-[0-9a-f]{6}, as the name was taken/),
    ).toBeVisible();
    await expect(into.getByText(/\d+ vehicles, 3\d jobs/)).toBeVisible();

    await there.getByRole('button', { name: /Set a password for Tobin Ashgrove/ }).click();
    await there.getByLabel('Password', { exact: true }).last().fill('tobin is here now');
    await there.getByRole('button', { name: 'Set the password' }).click();
    const tobin = there.getByRole('listitem').filter({ hasText: 'Tobin Ashgrove' });
    await expect(tobin).toContainText(/signs in as tobin-/);
    const signInName = /tobin-[0-9a-f]{6}/.exec((await tobin.textContent()) ?? '')?.[0] ?? '';
    const phone = await (await browser.newContext()).newPage();
    await phone.goto(other.address);
    await phone.getByLabel('Sign-in name').fill(signInName);
    await phone.getByLabel('Password').fill('tobin is here now');
    await phone.getByRole('button', { name: 'Sign in', exact: true }).click();
    await chooseOwnPassword(phone, 'tobin is here now', 'grey paper, orange ember');
    await expect(phone.getByText('Quillfeather Aftertreatment')).toBeVisible();
    await phone.getByRole('button', { name: 'All' }).click();
    await expect(phone.getByRole('link', { name: /^HW 52 NB/ })).toContainText('Proved');
  } finally {
    await other.close();
  }
});
