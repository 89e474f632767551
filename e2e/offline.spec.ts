import { expect, newJob, openSite, signIn, stage, test } from './setup/site.ts';

test('a reading entered while the server is stopped is kept on the device, sent when it is back, and stored once', async ({
  page,
}) => {
  const site = await openSite();
  try {
    await signIn(page, site);
    await newJob(page, site, 'KE 417');
    await stage(page, 'Baseline');
    const before = await site.count('entry');
    await site.stop();

    const idle = page.getByRole('group', { name: 'Idle', exact: true });
    await idle.getByLabel(/rpm/).fill('820');
    await idle.getByLabel(/ΔP/).fill('26');
    const hold = page.getByRole('group', { name: 'Hold 2', exact: true });
    await hold.getByLabel(/ΔP/).fill('131');
    await page.getByRole('button', { name: 'Enter the before reading' }).click();
    // It counts at once, and the mark says what waits.
    await expect(page.getByRole('button', { name: /entr(y|ies) waiting/ })).toBeVisible();
    // Saving leads on to what is next, as soon as that is judged.
    await expect(async () => {
      await stage(page, 'Decide');
      await expect(page.getByRole('heading', { name: 'Before reading' })).toBeVisible({ timeout: 3000 });
    }).toPass();

    // A second entry, and the page closed and opened again while there is still no server.
    await stage(page, 'Intake');
    await page.getByLabel('What the customer says').fill('Entered without a server');
    await page.getByRole('button', { name: 'Save the complaint' }).click();
    await expect(page.getByRole('button', { name: /2 entries waiting/ })).toBeVisible();

    await site.start();
    await expect(page.getByRole('button', { name: /entr(y|ies) waiting/ })).toBeHidden({ timeout: 40_000 });
    expect(await site.count('entry')).toBe(before + 2);
    await page.reload();
    await stage(page, 'Intake');
    await expect(page.getByText('Entered without a server')).toBeVisible();
    await stage(page, 'Decide');
    await expect(page.getByRole('row', { name: /3000\srpm/ })).toContainText('131 mbar');
    expect(await site.count('entry')).toBe(before + 2);
  } finally {
    await site.close();
  }
});

test('what is queued outlives the page, and half-typed forms too', async ({ page, context }) => {
  const site = await openSite();
  try {
    await signIn(page, site);
    await newJob(page, site, 'KE 417');
    const address = page.url();
    await page.getByLabel('What the customer says').fill('Half a sent');
    await page.waitForTimeout(400);
    await page.goto(address);
    await expect(page.getByLabel('What the customer says')).toHaveValue('Half a sent');

    const before = await site.count('entry');
    await site.stop();
    await page.getByLabel('What the customer says').fill('Kept over a closed page');
    await page.getByRole('button', { name: 'Save the complaint' }).click();
    await expect(page.getByRole('button', { name: /1 entry waiting/ })).toBeVisible();
    await page.close();

    await site.start();
    const again = await context.newPage();
    await again.goto(address);
    await expect(again.getByText('Kept over a closed page')).toBeVisible({ timeout: 40_000 });
    await expect.poll(() => site.count('entry'), { timeout: 40_000 }).toBe(before + 1);
  } finally {
    await site.close();
  }
});

test('an entry that the server refuses is shown with the reason and kept until the person decides', async ({
  page,
  browser,
  site,
}) => {
  await signIn(page, site);
  await newJob(page, site, 'HW 52');
  const address = page.url();
  // The job is signed off on another device while this page still shows it open.
  const device = await browser.newContext();
  const other = await device.newPage();
  await signIn(other, site);
  await other.goto(address.replace('stage=intake', 'stage=hand-over'));
  await other.getByRole('button', { name: /^Sign off/ }).click();
  await expect(other.getByText(/Signed off by/)).toBeVisible();
  await device.close();

  await page.getByLabel('What the customer says').fill('Too late');
  await page.getByRole('button', { name: 'Save the complaint' }).click();
  await page.getByRole('button', { name: '1 refused' }).click();
  await expect(page.getByRole('dialog')).toContainText('This job is signed off');
  await page.getByRole('button', { name: 'Discard this entry' }).click();
  await expect(page.getByRole('button', { name: '1 refused' })).toBeHidden();
});
