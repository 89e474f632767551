import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { expect, newJob, openSite, post, signIn, stage, test } from './setup/site.ts';
import { openTunnel } from './setup/tunnel.ts';

/** A log of a hold at 3000 rpm, long enough to be cut in the middle. */
function longLog(): string {
  const rows = [
    'Time (s),Engine speed (rpm),DPF differential pressure (mbar),Mass air flow (g/s),EGT pre-DPF (degC)',
  ];
  for (let i = 0; i < 60_000; i++) {
    const hold = i > 6000;
    rows.push(
      [
        (i / 50).toFixed(2),
        hold ? 3000 : 820,
        hold ? 61.5 : 9.25,
        hold ? 48.2 : 9.1,
        hold ? 262.4 : 171.3,
      ].join(','),
    );
  }
  return rows.join('\n');
}

test('a log whose way to the server breaks goes on where it stopped, and is kept whole', async ({
  page,
  site,
}) => {
  const text = longLog();
  const tunnel = await openTunnel(site.address, { breakAfterBytes: 700_000, darkMs: 1500 });
  try {
    const through = { ...site, address: tunnel.address };
    await signIn(page, through);
    await newJob(page, through, 'HW 52');
    const jobId = /jobs\/([0-9a-f-]{36})/.exec(page.url())?.[1] ?? '';
    await page.goto(`${tunnel.address}/jobs/${jobId}/logs`);
    await page
      .getByLabel('Recorded log files')
      .setInputFiles({ name: 'long-hold.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
    const before = tunnel.carried();
    await page.getByRole('button', { name: 'Use these windows as the before reading' }).click();
    await expect(page.getByText(/waits for the network at \d+\s%/)).toBeVisible();
    await expect(page.getByText('Entered as the before reading; the file is kept')).toBeVisible();
    // What had arrived was not sent again: less than one and a half files went through.
    expect(tunnel.carried() - before).toBeGreaterThan(text.length);
    expect(tunnel.carried() - before).toBeLessThan(1.5 * text.length);
    const job = (await (await page.request.get(`${site.address}/api/jobs/${jobId}`)).json()) as {
      logs: readonly { id: string; sizeBytes: number }[];
    };
    expect(job.logs.map(({ sizeBytes }) => sizeBytes)).toEqual([text.length]);
    const raw = await page.request.get(`${site.address}/api/logs/${job.logs[0]?.id}/raw`);
    expect((await raw.text()) === text).toBe(true);
  } finally {
    await tunnel.close();
  }
});

test('two tabs agree on what waits, and it is stored once', async ({ page, context }) => {
  const site = await openSite();
  try {
    await signIn(page, site);
    await newJob(page, site, 'KE 417');
    const other = await context.newPage();
    await other.goto(page.url());
    await expect(other.getByLabel('What the customer says')).toBeVisible();
    const before = await site.count('entry');
    await site.stop();
    await page.getByLabel('What the customer says').fill('Entered in one tab');
    await page.getByRole('button', { name: 'Save the complaint' }).click();
    for (const tab of [page, other])
      await expect(tab.getByRole('button', { name: '1 entry waiting to be sent' })).toBeVisible();
    await site.start();
    for (const tab of [page, other])
      await expect(tab.getByRole('button', { name: /^\d entr.* waiting to be sent/ })).toBeHidden({
        timeout: 40_000,
      });
    await expect.poll(() => site.count('entry')).toBe(before + 1);
  } finally {
    await site.close();
  }
});

test('a browser that keeps nothing says so, and an entry goes to the server at once', async ({ page }) => {
  const site = await openSite();
  try {
    await page.addInitScript(() => {
      IDBFactory.prototype.open = () => {
        throw new DOMException('Storage is not allowed here', 'SecurityError');
      };
    });
    await signIn(page, site);
    await newJob(page, site, 'KE 417');
    const before = await site.count('entry');
    await page.getByLabel('What the customer says').fill('Typed in a private window');
    await page.getByRole('button', { name: 'Save the complaint' }).click();
    await page.getByRole('button', { name: 'nothing is kept here' }).click();
    await expect(page.getByRole('dialog')).toContainText('This browser cannot store entries');
    await expect(page.getByRole('dialog')).toContainText('Storage is not allowed here');
    await page.keyboard.press('Escape');
    await expect.poll(() => site.count('entry')).toBe(before + 1);
    // Without a server it is not entered, and what was typed stays.
    await newJob(page, site, 'HW 52');
    await expect(page.getByLabel('What the customer says')).toBeVisible();
    await site.stop();
    await page.getByLabel('What the customer says').fill('Typed without a server');
    await page.getByRole('button', { name: 'Save the complaint' }).click();
    await expect(
      page.locator('#work').getByText(/Not entered\. This browser cannot keep entries/),
    ).toBeVisible();
    await expect(page.getByLabel('What the customer says')).toHaveValue('Typed without a server');
  } finally {
    await site.close();
  }
});

test('a session that ends while somebody is at work: they sign in again in place, by keyboard, and nothing is lost', async ({
  page,
}) => {
  const site = await openSite({}, { demo: false });
  try {
    const password = 'rainy kerbs need chocks';
    await post(page, site, '/first-run', {
      workshopId: uuidv7(),
      memberId: uuidv7(),
      workshopName: 'Reedmere Filters',
      name: 'Wren Halloran',
      signInName: 'wren',
      password,
    });
    await post(page, site, '/vehicles', {
      id: uuidv7(),
      plate: 'RM 204',
      model: 'Tarn 2.0',
      family: 'Tarn 2.0',
      fitted: ['engine', 'filter', 'dp-sensor'],
    });
    await page.goto(`${site.address}/jobs`);
    await newJob(page, site, 'RM 204');
    await page.getByLabel('What the customer says').fill('Loses power uphill');
    const db = new pg.Client({ connectionString: site.databaseUrl });
    await db.connect();
    await db.query('DELETE FROM session');
    await db.end();
    await page.getByRole('button', { name: 'Save the complaint' }).click();
    const dialog = page.getByRole('dialog', { name: 'Sign in again' });
    await expect(dialog).toBeVisible();
    await page.getByLabel('Password of wren').focus();
    await page.keyboard.type('a wrong word');
    await page.keyboard.press('Enter');
    await expect(dialog.getByRole('alert')).toContainText('Sign-in name or password is not right');
    await page.keyboard.press('Control+a');
    await page.keyboard.type(password);
    await page.keyboard.press('Enter');
    await expect(dialog).toBeHidden();
    await expect.poll(() => site.count('entry')).toBe(1);
    await stage(page, 'Codes');
  } finally {
    await site.close();
  }
});
