import { join, resolve } from 'node:path';
import { expect, stage, test } from './setup/site.ts';

const samples = resolve(import.meta.dirname, '../samples');

test('the first half of a job: sign in, vehicle, before from a log, clean, after typed in, compared at equal flow', async ({
  page,
  site,
}) => {
  await page.goto(site.address);
  await page.getByRole('button', { name: 'Tobin Ashgrove, technician' }).click();

  // The vehicle with its filter.
  await page.getByRole('button', { name: 'New job' }).click();
  await page.getByLabel('Plate or vehicle').fill('GR 22');
  await page.getByRole('dialog').getByText('Add a vehicle').click();
  await expect(page.getByRole('heading', { name: 'Add a vehicle' })).toBeVisible();
  await page.getByLabel('Plate').fill('GR 22 PU');
  await page.getByLabel('Vehicle', { exact: true }).fill('Grell 2.2 pickup');
  await page.getByLabel('Engine family').fill('Grell 2.2');
  await page.getByLabel('Engine size').fill('2,2');
  await page.getByRole('button', { name: 'Add a filter size' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Name').fill('Grell 2.2, first fitting');
  await sheet.getByLabel('Diameter').fill('165');
  await sheet.getByLabel('Length').fill('160');
  await sheet.getByLabel(/Cells/).fill('200');
  await sheet.getByLabel(/Wall/).fill('0.305');
  await sheet.getByRole('button', { name: 'Add the filter size' }).click();
  await expect(sheet).toBeHidden();
  await page.getByLabel('or a new customer').fill('Hollis Winterbourne');
  await page.getByRole('button', { name: 'Add the vehicle' }).click();

  // Intake.
  await page.waitForURL(/jobs\/[0-9a-f-]{36}\?stage=intake/);
  await page.getByLabel('What the customer says').fill('Filter lamp on, told to buy a new filter');
  await page.getByLabel('Distance').fill('142300');
  await page.getByRole('button', { name: 'Save the complaint' }).click();

  // Codes, as the scan tool shows them.
  await page.getByLabel('Scan of every module, before anything is cleared').fill('P2463\nP244A');
  await page.getByRole('button', { name: 'Save the codes' }).click();
  await expect(page.getByRole('region', { name: 'Consequences of another fault' })).toContainText('P2463');
  await expect(page.getByRole('region', { name: 'May be the cause' })).toContainText('P244A');

  // Before, from a recorded log: columns shown with how surely, windows found, findings said.
  await stage(page, 'Baseline');
  await page.getByRole('tab', { name: 'From a recorded log' }).click();
  await page.getByLabel('Recorded log file').setInputFiles(join(samples, 'sample2-soot-blocked.csv'));
  await expect(
    page.getByRole('heading', { name: /sample2-soot-blocked\.csv: 246\ss, 14 channels/ }),
  ).toBeVisible();
  await expect(page.getByText(/ΔP at 3001\srpm is 23\d\smbar/)).toBeVisible();
  await expect(page.getByText(/counts 59\sg of soot/)).toBeVisible();
  await page.getByText(/Columns: 14 recognised, 0 not/).click();
  await expect(page.getByRole('button', { name: /What “.*druck.*” is/ }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Use as the before reading' }).click();
  await expect(page.getByRole('heading', { name: 'Before reading' })).toBeVisible();
  await page.getByRole('tab', { name: 'Readings' }).click();
  await expect(page.getByText('2500 rpm', { exact: true }).first()).toBeVisible();

  // What was done; the caution stands at the step.
  await stage(page, 'Decide');
  await page.getByRole('button', { name: 'Continue to the work' }).click();
  await page.getByLabel('What exactly').fill('One fill through the high pipe, cold');
  await page.getByRole('button', { name: 'Save the work' }).click();
  await expect(page.getByText(/Read the caution above first/)).toBeVisible();
  await page.getByRole('button', { name: 'I have read this' }).click();
  await page.getByLabel('Fluid', { exact: true }).fill('Fenwash D');
  await page.getByLabel('Quantity').fill('1,2');
  await page.getByRole('button', { name: 'Save the work' }).click();
  await expect(page.getByText('One fill through the high pipe, cold')).toBeVisible();

  // After, typed in: other speeds than before, in kPa.
  await stage(page, 'Prove');
  await page.getByLabel('Pressures in').selectOption('kPa');
  const fill = async (row: string, figures: Record<string, string>): Promise<void> => {
    const group = page.getByRole('group', { name: row, exact: true });
    for (const [label, figure] of Object.entries(figures))
      await group.getByLabel(new RegExp(label)).fill(figure);
  };
  await fill('Key on, engine off', { ΔP: '-0,01' });
  await fill('Idle', { rpm: '802', ΔP: '0,28', 'Air mass': '13.2', Filter: '140' });
  await fill('Hold 1', { rpm: '2430', ΔP: '1.35', 'Air mass': '45.1', Filter: '215' });
  await fill('Hold 2', { rpm: '2960', ΔP: '1.92', 'Air mass': '56.5', Filter: '231' });
  await page.getByRole('button', { name: 'Enter the after reading' }).click();

  await expect(page.getByRole('heading', { name: /Pressure drop at equal flow down 9\d\s%/ })).toBeVisible();
  await expect(
    page.getByRole('main').getByText(/confidence \w+, (over )?\d+\s% · 5 outstanding/),
  ).toBeVisible();
  await expect(page.getByRole('row', { name: /3000\srpm/ })).toContainText('8.0');
  await page.getByText('Why', { exact: true }).click();
  await expect(page.getByText(/Restriction after: \d\.\d\s× clean, at most 2\.5\s× clean/)).toBeVisible();
});
