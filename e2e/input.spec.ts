import { expect, newJob, openSite, signIn, stage, test } from './setup/site.ts';
import { chooseChannel } from './setup/acts.ts';

const csv = (...lines: string[]): { name: string; mimeType: string; buffer: Buffer } => ({
  name: 'log.csv',
  mimeType: 'text/csv',
  buffer: Buffer.from(lines.join('\n')),
});

test.describe('wrong files say what is wrong and leave nothing behind', () => {
  for (const [name, file, message] of [
    [
      'a picture',
      { name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from([0x89, 0x50, 0x4e, 0x47, 1, 2]) },
      /is a picture, not a recorded log/,
    ],
    ['an empty file', csv(''), /is empty/],
    ['prose', csv('Filter blocked', 'says the customer'), /not a table/],
    ['a heading alone', csv('Time (s),RPM (rpm),DPF dP (mbar)'), /fewer than two complete rows|not a table/],
  ] as const) {
    test(name, async ({ page, site }) => {
      await signIn(page, site);
      await newJob(page, site, 'HW 52');
      await page.goto(`${page.url().replace('stage=intake', 'stage=baseline')}&way=log`);
      const before = [await site.count('log'), await site.count('entry'), await site.count('blob')];
      await page.getByLabel('Recorded log file').setInputFiles(file);
      await expect(page.getByRole('alert')).toContainText(message);
      await expect(page.getByRole('alert')).toContainText('Nothing was kept');
      expect([await site.count('log'), await site.count('entry'), await site.count('blob')]).toEqual(before);
    });
  }

  test('one over the installation’s limit', async ({ page }) => {
    const site = await openSite({ WHITE_EMBER_MAX_UPLOAD_MB: '1' });
    try {
      await signIn(page, site);
      await newJob(page, site, 'HW 52');
      await page.goto(`${page.url().replace('stage=intake', 'stage=baseline')}&way=log`);
      await page
        .getByLabel('Recorded log file')
        .setInputFiles({ ...csv(), buffer: Buffer.alloc(1_200_000, 49) });
      await expect(page.getByRole('alert')).toContainText('larger than the 1 MB');
    } finally {
      await site.close();
    }
  });
});

test('an unknown unit is said and inferred, and a column can be set right', async ({ page, site }) => {
  await signIn(page, site);
  await newJob(page, site, 'HW 52');
  await page.goto(`${page.url().replace('stage=intake', 'stage=baseline')}&way=log`);
  const rows = Array.from({ length: 400 }, (_, i) => {
    const rpm = i < 150 ? 820 : 3000;
    return [
      (i * 0.2).toFixed(1),
      rpm + (i % 5),
      (rpm / 100 + (i % 3) * 0.1).toFixed(1),
      (rpm / 60).toFixed(1),
    ].join(',');
  });
  await page
    .getByLabel('Recorded log file')
    .setInputFiles(csv('Time (s),RPM (rpm),Channel 7,MAF (furlong)', ...rows));
  await expect(page.getByText('No ΔP column recognised.')).toBeVisible();
  await expect(page.getByText(/unit “furlong” is unknown/)).toBeVisible();
  await chooseChannel(page, 'Channel 7', 'ΔP across the filter');
  await expect(page.getByText('set by hand; no unit stated; mbar fits the values')).toBeVisible();
  await expect(page.getByRole('row', { name: /hold, / })).toContainText('30');
  await page.getByRole('button', { name: 'Use as the before reading' }).click();
  await expect(page.getByRole('heading', { name: 'Before reading' })).toBeVisible();
});

test('a negative rpm, text for a pressure: said at the row, and what was typed stays', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await newJob(page, site, 'FL 012');
  await stage(page, 'Baseline');
  const before = await site.count('entry');
  const hold = page.getByRole('group', { name: 'Hold 1', exact: true });
  await hold.getByLabel(/rpm/).fill('-2500');
  await hold.getByLabel(/ΔP/).fill('12');
  await page.getByRole('group', { name: 'Hold 2', exact: true }).getByLabel(/ΔP/).fill('much');
  await page.getByRole('button', { name: 'Enter the before reading' }).click();
  await expect(page.getByRole('alert')).toContainText('Row 3 · Engine speed: 0 to 8000 rpm');
  await expect(page.getByRole('alert')).toContainText('Row 4 · ΔP: enter a number');
  await expect(hold.getByLabel(/rpm/)).toHaveValue('-2500');
  await expect(hold.getByLabel(/rpm/)).toHaveAttribute('aria-invalid', 'true');
  expect(await site.count('entry')).toBe(before);
});

test('an HTML name is refused for a vehicle and shown as text where free text may hold it', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await page.goto(`${site.address}/vehicles/new`);
  await page.getByLabel('Plate').fill('<b>x</b>');
  await page.getByLabel('Vehicle', { exact: true }).fill('Van');
  await page.getByLabel('Engine family').fill('Tarn 2.0');
  const before = await site.count('vehicle');
  await page.getByRole('button', { name: 'Add the vehicle' }).click();
  await expect(page.getByLabel('Plate')).toHaveAccessibleDescription(/one line without < or >/);
  await expect(page.getByLabel('Plate')).toBeFocused();
  await expect(page.getByLabel('Plate')).toHaveValue('<b>x</b>');
  expect(await site.count('vehicle')).toBe(before);

  await newJob(page, site, 'FL 012');
  await page.getByLabel('What the customer says').fill('<img src=x onerror="document.title=\'owned\'">');
  await page.getByRole('button', { name: 'Save the complaint' }).click();
  await stage(page, 'Intake');
  await expect(page.getByText('<img src=x')).toBeVisible();
  expect(await page.title()).not.toBe('owned');
});
