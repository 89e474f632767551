import { expect, goTo, signIn, test } from './setup/site.ts';
import { chooseChannel } from './setup/acts.ts';

test('headings that were set right: added, changed, a word learned, handed on as a file and forgotten, by keyboard where it is typed', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await goTo(page, site, '/headings');
  await expect(page.getByText(/Nothing corrected yet/)).toBeVisible();
  await page.getByLabel('Heading', { exact: true }).fill('Tlaakcheck roetfilter');
  await expect(page.getByText('tlaakcheck ? · roetfilter = filter')).toBeVisible();
  await page.getByRole('button', { name: /^Is:/ }).press('Enter');
  const chooser = page.getByRole('dialog');
  // Filter was read; that it is a difference leads to one channel.
  await expect(chooser.getByRole('group', { name: /^Said so far/ })).toHaveText('filter');
  await chooser.getByRole('button', { name: 'difference' }).press('Enter');
  const channels = chooser.getByRole('group', { name: 'Channels' }).getByRole('button');
  await expect(channels).toHaveText(['ΔP across the filter', 'none of these']);
  await channels.first().press('Enter');
  await page.getByRole('button', { name: 'Remember' }).press('Enter');
  const list = page.getByRole('list', { name: 'Corrected headings' });
  await expect(list.getByRole('listitem')).toHaveCount(1);
  await expect(page.getByText('tlaakcheck: difference')).toBeVisible();

  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export to a file' }).click();
  const path = await (await saved).path();
  await page.getByRole('button', { name: 'Forget “Tlaakcheck roetfilter”' }).click();
  await expect(list).toHaveCount(0);
  await page.getByLabel('Import from a file').setInputFiles({
    name: 'broken.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"corrections":[{"heading":"A","role":"flux"}]}'),
  });
  await expect(page.getByRole('alert')).toContainText('broken.json was not imported');
  await expect(list).toHaveCount(0);
  await page.getByLabel('Import from a file').setInputFiles(path);
  await expect(list.getByRole('listitem')).toHaveCount(1);
  await expect(page.getByText('1 heading imported.')).toBeVisible();
  await chooseChannel(page, 'Tlaakcheck roetfilter', 'none of these');
  await expect(page.getByText('tlaakcheck: difference')).toHaveCount(0);
});
