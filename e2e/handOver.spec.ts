import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { axeViolations, expect, newJob, openJob, signIn, test } from './setup/site.ts';

test('a report is given away by a link and by a letter, seen without signing in, and taken back', async ({
  page,
  site,
  browser,
}) => {
  await signIn(page, site);
  const id = await openJob(page, site, 'KE 417 QR', 'hand-over');
  // Not signed off: the report says what the bar and the list say of now.
  const next = page.getByRole('region', { name: 'Next step' });
  await expect(next.getByRole('button').first()).toBeEnabled();
  const asked = (await next.locator('p').first().locator('span').nth(1).innerText()).trim();
  await page.goto(`${site.address}/jobs/${id}/report`);
  await expect(page.getByText(new RegExp(`Next: ?${asked.replace(/[.()?]/g, '\\$&')}`))).toBeVisible();
  await page.goBack();
  const away = page.getByRole('region', { name: 'Share the report' });
  await away.getByRole('button', { name: 'Make a link' }).click();
  const link = away.getByLabel(/^Link, made/);
  await expect(link).toHaveValue(new RegExp(`^${site.address}/shared/`));
  const address = await link.inputValue();
  await expect(away.getByText(/not opened yet/)).toBeVisible();

  // The customer, on a phone, who belongs to nothing here.
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const seen = await phone.newPage();
  await seen.goto(address);
  await expect(seen.getByRole('heading', { level: 1, name: /KE 417 QR/ })).toBeVisible();
  await expect(seen.getByRole('heading', { name: 'What was done' })).toBeVisible();
  await expect(seen.getByText(/This link is open until/)).toBeVisible();
  expect(await axeViolations(seen)).toEqual([]);
  const wide = await seen.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(wide).toBeLessThanOrEqual(0);
  const pdf = await seen.request.get(
    `${site.address}${(await seen.getByRole('link', { name: 'PDF' }).getAttribute('href')) ?? ''}`,
  );
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  await seen.getByLabel(/Sprache/).selectOption('de');
  await expect(seen.getByRole('heading', { name: 'Was gemacht wurde' })).toBeVisible();
  await expect(seen.getByText('Das Bild als Tabelle')).toBeVisible();
  await expect(seen.getByText(/Dieser Link ist bis zum/)).toBeVisible();
  await expect(seen.getByRole('main')).not.toContainText(/\b(?:before|after|outstanding)\b/);
  // Nothing else of the workshop opens by it.
  expect((await seen.request.get(`${site.address}/api/jobs/${id}`)).status()).toBe(401);

  await page.reload();
  await expect(away.getByText(/opened 1 ×/)).toBeVisible();
  await away.getByLabel('Send it by mail to').fill('wren');
  await away.getByRole('button', { name: 'Send the report' }).click();
  await expect(away.getByText('This is no mail address')).toBeVisible();
  await away.getByLabel('Send it by mail to').fill('wren@reed-barges.invalid');
  await away.getByLabel('Message').fill('As said on the phone.');
  await away.getByRole('button', { name: 'Send the report' }).click();
  await expect(away.getByRole('list', { name: 'Sent by mail' })).toContainText('wren@reed-barges.invalid');
  const letters = readdirSync(site.outbox);
  expect(letters).toHaveLength(1);
  expect(readFileSync(join(site.outbox, letters[0] ?? ''), 'utf8')).toContain('To: wren@reed-barges.invalid');

  const first = away
    .getByRole('list', { name: 'Links' })
    .getByRole('listitem')
    .filter({ hasText: 'opened 1 ×' });
  await first.getByRole('button', { name: 'Revoke' }).click();
  await expect(first).toContainText(/revoked by Tobin/);
  await seen.reload();
  await expect(seen.getByRole('heading', { name: 'This link shows nothing' })).toBeVisible();
  await expect(seen.getByText('KE 417 QR')).toHaveCount(0);
  await phone.close();
});

test('where a lead signs off, nobody else does, and no report leaves before', async ({ page, site }) => {
  await signIn(page, site, 'Imke');
  await page.goto(`${site.address}/people`);
  const choice = page.getByRole('region', { name: 'Signing off' });
  await choice.getByRole('button', { name: 'A lead only' }).click();
  await expect(choice.getByRole('button', { name: 'A lead only' })).toHaveAttribute('aria-pressed', 'true');

  await signIn(page, site);
  await newJob(page, site, 'FL 007');
  await page.goto(`${page.url().split('?')[0] ?? ''}?stage=hand-over`);
  await expect(page.getByText('A lead signs off in this workshop')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Sign off/ })).toHaveCount(0);
  const away = page.getByRole('region', { name: 'Share the report' });
  await expect(away.getByText(/a lead signs a job off before its report leaves/)).toBeVisible();
  await expect(away.getByRole('button', { name: 'Make a link' })).toHaveCount(0);

  const address = page.url();
  await signIn(page, site, 'Imke');
  await page.goto(address);
  await page.getByRole('button', { name: /^Sign off/ }).click();
  await expect(page.getByText(/^Signed off by Imke/)).toBeVisible();
  await expect(away.getByRole('button', { name: 'Make a link' })).toBeVisible();

  await page.goto(`${site.address}/people`);
  await choice.getByRole('button', { name: 'Any technician' }).click();
  await expect(choice.getByRole('button', { name: 'Any technician' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});
