import { join, resolve } from 'node:path';
import { readFileSync } from 'node:fs';
import { expect, newJob, signIn, test } from './setup/site.ts';
import { chooseChannel } from './setup/acts.ts';

const samples = resolve(import.meta.dirname, '../samples');
const sample = (name: string): string => join(samples, name);

test('three dialects dropped, a column set right, a finding jumped to, before and after set, the verdict seen', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  const jobId = await newJob(page, site, 'HW 52');
  await page.goto(`${site.address}/jobs/${jobId}/logs`);

  // Dropped together: German CSV, frames from the bus, and a table whose pressure has a name of its own.
  const odd = readFileSync(sample('sample1-healthy.csv'), 'utf8').replace(
    'DPF pressure drop (mbar)',
    'Kanal 7 (mbar)',
  );
  const files = [
    {
      name: 'sample2-soot-blocked.csv',
      text: readFileSync(sample('sample2-soot-blocked.csv')).toString('latin1'),
    },
    {
      name: 'sample7-regeneration-drive.log',
      text: readFileSync(sample('sample7-regeneration-drive.log'), 'utf8'),
    },
    { name: 'own-names.csv', text: odd },
  ];
  const data = await page.evaluateHandle((given) => {
    const transfer = new DataTransfer();
    for (const { name, text } of given) {
      transfer.items.add(new File([Uint8Array.from(text, (char) => char.charCodeAt(0))], name));
    }
    return transfer;
  }, files);
  await page.getByText('or drop them here').dispatchEvent('drop', { dataTransfer: data });
  const logs = page.getByRole('list', { name: 'Logs' });
  await expect(logs.getByText('246 s, 14 channels')).toBeVisible();
  await expect(logs.getByText('1253 s, 13 channels')).toBeVisible();

  // A finding leads to its stretch, and the address keeps it.
  await logs.getByRole('button', { name: /^sample7/ }).click();
  const regeneration = page.getByRole('button', {
    name: /A regeneration: before the filter more than 500\s°C for 13\smin/,
  });
  await regeneration.click();
  await expect(regeneration).toHaveAttribute('aria-pressed', 'true');
  await expect(page).toHaveURL(/finding=1/);
  const from = Number(new URL(page.url()).searchParams.get('from'));
  expect(from).toBeGreaterThan(10);
  expect(from).toBeLessThan(255);
  await expect(page.getByRole('img', { name: /Traces of Engine speed, ΔP across the filter/ })).toBeVisible();

  // A column set right: at once in the findings, and remembered for the next log.
  await logs.getByRole('button', { name: /^own-names/ }).click();
  await expect(page.getByText('No ΔP column recognised.')).toBeVisible();
  await chooseChannel(page, 'Kanal 7', 'ΔP across the filter');
  await expect(page.getByText('100 %, set by hand')).toBeVisible();
  await expect(page.getByRole('row', { name: /hold, 1\d\d/ }).first()).toContainText('13');

  // Before from the blocked one, after from the other; two logs of different vehicles serve for the way through.
  await logs.getByRole('button', { name: /^sample2/ }).click();
  await page.getByRole('button', { name: 'Use these windows as the before reading' }).click();
  await expect(page.getByText(/Entered as the before reading; the file is kept/)).toBeVisible();
  await logs.getByRole('button', { name: /^own-names/ }).click();
  await page.getByRole('button', { name: 'Use these windows as the after reading' }).click();
  await page.getByRole('link', { name: 'See the verdict' }).click();
  await expect(page.getByRole('img', { name: /before: \d+ points; after: \d+ points/ })).toBeVisible();
  await expect(
    page
      .getByRole('main')
      .getByText(/−\d\d\s%|removed|less at equal flow|\d+\s%/)
      .first(),
  ).toBeVisible();

  // Kept with the job, it opens again from what the server keeps, with the column as the workshop set it.
  // What the workshop remembers may come after the log has been read: it is judged anew.
  await page.route('**/api/channel-corrections', async (route) => {
    await page.waitForTimeout(2500);
    await route.continue();
  });
  await page.goto(`${site.address}/jobs/${jobId}/logs`);
  await page.getByRole('button', { name: /own-names\.csv/ }).click();
  await page.getByText(/Columns: 14 recognised/).click();
  await expect(page.getByText('as your workshop set it before')).toBeVisible();
  await expect(page.getByRole('row', { name: /hold, 1\d\d/ }).first()).toContainText('13');
});

test('a long log is read beside a page that stays quick, shows how far it is, and can be stopped', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  const jobId = await newJob(page, site, 'FL 007');
  await page.goto(`${site.address}/jobs/${jobId}/logs`);
  await expect(page.getByText('Choose a recorded log to see')).toBeVisible();
  // Made in the page, before the watch begins: some 30 MB.
  await page.evaluate(() => {
    const header = `Time (s),Engine speed (rpm),DPF differential pressure (mbar),${Array.from({ length: 20 }, (_, i) => `Channel ${i}`).join(',')}\n`;
    const rows: string[] = [];
    for (let i = 0; i < 2000; i++) {
      const t = 's'.repeat(0) + String(i);
      rows.push(
        `${t},${800 + (i % 7)},${(3 + (i % 5) / 10).toFixed(1)},${Array.from({ length: 20 }, (_, c) => ((i * (c + 3)) % 997).toFixed(2)).join(',')}`,
      );
    }
    const block = rows.map((row) => row.slice(row.indexOf(',')));
    const parts: string[] = [header];
    let t = 0;
    while (t < 220_000) parts.push(`${block.map((rest) => `${(t++ / 10).toFixed(1)}${rest}`).join('\n')}\n`);
    const file = new File(parts, 'long.csv');
    const watch = window as unknown as { slow: number[]; file: File };
    watch.slow = [];
    watch.file = file;
  });
  const begin = (): Promise<void> =>
    page.evaluate(() => {
      const { file } = window as unknown as { file: File };
      const transfer = new DataTransfer();
      transfer.items.add(file);
      const zone = [...document.querySelectorAll('p')].find((p) =>
        p.textContent?.startsWith('or drop them here'),
      );
      zone?.dispatchEvent(new DragEvent('drop', { bubbles: true, dataTransfer: transfer }));
    });
  await begin();
  await expect(page.getByText(/Reading \d+\.\d MB: \d+\s%/)).toBeVisible();
  await page.getByRole('button', { name: 'Stop reading long.csv' }).click();
  await expect(page.getByText('Choose a recorded log to see')).toBeVisible();

  await page.waitForTimeout(500);
  await page.evaluate(() => {
    const { slow } = window as unknown as { slow: number[] };
    new PerformanceObserver((list) =>
      slow.push(...list.getEntries().map(({ duration }) => duration)),
    ).observe({ entryTypes: ['longtask'] });
  });
  await begin();
  await expect(page.getByText(/Reading \d+\.\d MB: [1-9]\d?\s%/)).toBeVisible();
  await page.evaluate(() => {
    const watch = window as unknown as { slow: number[]; whileReading: number[] };
    watch.whileReading = [...watch.slow];
  });
  await expect(page.getByText(/22000\ss, 2 channels/)).toBeVisible({ timeout: 60_000 });
  const slow = await page.evaluate(() => (window as unknown as { whileReading: number[] }).whileReading);
  // The machine of the tests is shared: what the page itself does is far below, what others take is not its doing.
  expect(slow.filter((ms) => ms > 200)).toEqual([]);
});

test('keys move and zoom the traces; a viewer looks and enters nothing; the tidy table is saved', async ({
  page,
  site,
}) => {
  await signIn(page, site, 'Sorrel');
  await page.goto(`${site.address}/jobs?show=all&find=KE`);
  await page.getByRole('link', { name: /^KE/ }).first().click();
  await page.waitForURL(/jobs\/[0-9a-f-]{36}/);
  const jobId = /jobs\/([0-9a-f-]{36})/.exec(page.url())?.[1] ?? '';
  await page.goto(`${site.address}/jobs/${jobId}/logs`);
  await page.getByLabel('Recorded log files').setInputFiles(sample('sample5-slow-back-pressure-pipe.csv'));
  await expect(page.getByText(/The pressure before the turbo follows the flow \d\.\d\ss late/)).toBeVisible();
  await expect(page.getByRole('button', { name: /Use these windows/ })).toHaveCount(0);
  const traces = page.getByRole('application', { name: /Traces over time/ });
  await traces.focus();
  await page.keyboard.press('+');
  await page.keyboard.press('ArrowRight');
  await expect.poll(() => new URL(page.url()).searchParams.get('to')).not.toBeNull();
  const { searchParams } = new URL(page.url());
  expect(Number(searchParams.get('to')) - Number(searchParams.get('from'))).toBeCloseTo(237.2 / 2, 0);
  await page.keyboard.press('0');
  await expect.poll(() => new URL(page.url()).searchParams.get('to')).toBeNull();
  await page.getByLabel('Add a channel').selectOption({ label: 'EGT 1 (before turbo) (T exhaust 1)' });
  await expect(page.getByRole('button', { name: /^EGT 1 \(before turbo\).*remove/ })).toBeVisible();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'CSV', exact: true }).click();
  expect((await saved).suggestedFilename()).toBe('sample5-slow-back-pressure-pipe-tidy.csv');
});
