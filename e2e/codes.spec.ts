import { expect, newJob, signIn, stage, test } from './setup/site.ts';

test('a scan in any notation is sorted as it is typed, kept, and set against the next one', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await newJob(page, site, 'HW 52');
  await stage(page, 'Codes');
  const scan = page.getByLabel('Scan of every module, before anything is cleared');
  await scan.fill('Engine\nP2463-00 confirmed\n0x010100\n18434\nBrakes\nC0040 stored\nLamp flickers at 3');
  const sorted = page.getByRole('main');
  await expect(sorted.getByRole('region', { name: 'May be the cause' })).toContainText('P0101-00');
  await expect(sorted.getByRole('region', { name: 'Consequences of another fault' })).toContainText(
    'P2463-00',
  );
  await expect(sorted.getByRole('region', { name: 'Unrelated' })).toContainText('C0040');
  await expect(sorted.getByRole('region', { name: 'Not in the tables' })).toContainText('18434');
  await expect(sorted).toContainText('Not read as codes, kept as they are: Lamp flickers at 3.');
  await page.getByRole('button', { name: 'Save the codes' }).click();
  // What is known now: the MAF sensor's code holds a regeneration off while it is active.
  await expect(page.getByRole('heading', { name: 'Inhibits regeneration' })).toBeVisible();
  await stage(page, 'Codes');
  await page
    .getByRole('region', { name: 'Consequences of another fault' })
    .getByText(/Too much soot in the filter/)
    .click();
  await expect(page.getByText(/Consequence: find what caused it first.*look at P0101 first/)).toBeVisible();

  const likely = page.getByRole('list', { name: 'Likely causes' }).getByRole('listitem');
  await expect(page.getByRole('heading', { name: 'Most likely on arrival' })).toBeVisible();
  await expect(likely.first()).toContainText(/\d+\s%/);
  await likely.first().click();
  await expect(likely.first()).toContainText('For it: Code: soot load or pressure too high');
  await expect(page.getByRole('region', { name: 'Next step' }).getByRole('button').first()).toBeVisible();

  await page.getByLabel('Scanned').selectOption({ label: 'After unplugging' });
  await page.getByLabel('Another scan').fill('P2463\nP2454');
  await page.getByRole('button', { name: 'Save the codes' }).click();
  await stage(page, 'Codes');
  await expect(
    page.getByText(/^Gone: P0101, 18434, C0040, .* · Still there: P2463 · New: P2454$/),
  ).toBeVisible();
});
