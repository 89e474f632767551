import { join, resolve } from 'node:path';
import {
  axeViolations,
  expect,
  newJob,
  openJob,
  proveSensorAndHoses,
  signIn,
  stage,
  test,
} from './setup/site.ts';
import type { Page } from '@playwright/test';
import { shortDwell } from './setup/acts.ts';

const samples = resolve(import.meta.dirname, '../samples');

const typeReading = async (page: Page, at3000Mbar: string, at2500Mbar: string): Promise<void> => {
  const rows: Record<string, Record<string, string>> = {
    'Key on, engine off': { ΔP: '0' },
    Idle: { rpm: '802', ΔP: '3', 'Air mass': '13.2', Filter: '140' },
    'Hold 1': { rpm: '2430', ΔP: at2500Mbar, 'Air mass': '45.1', Filter: '215' },
    'Hold 2': { rpm: '2960', ΔP: at3000Mbar, 'Air mass': '56.5', Filter: '231' },
  };
  for (const [row, figures] of Object.entries(rows))
    for (const [label, figure] of Object.entries(figures))
      await page.getByRole('group', { name: row, exact: true }).getByLabel(new RegExp(label)).fill(figure);
};

test('an over-full filter: burns are refused with the reason, a chemical clean with dwell and flush loop, then proved', async ({
  page,
  site,
}) => {
  test.setTimeout(150_000);
  await signIn(page, site);
  await shortDwell(page, site);
  await newJob(page, site, 'HW 52');
  await stage(page, 'Baseline');
  await page.getByRole('tab', { name: 'From a recorded log' }).click();
  await page.getByLabel('Recorded log file').setInputFiles(join(samples, 'sample2-soot-blocked.csv'));
  await page.getByRole('button', { name: 'Use as the before reading' }).click();

  // Decide: the burn is refused with value, limit and what to do.
  await expect(page.getByRole('tab', { name: /^Evidence/ })).toBeVisible();
  await stage(page, 'Decide');
  const option = (name: string) => page.locator('details').filter({ hasText: new RegExp(`^${name}`) });
  await expect(option('Chemical clean in place').first()).toHaveAttribute('open');
  await expect(option('Parked regeneration').first()).toContainText('not now');
  await option('Parked regeneration').first().locator('summary').click();
  await expect(option('Parked regeneration').first()).toContainText(
    /g\/L of soot .* at most \d\sg\/L allowed .*Clean it chemically first/,
  );
  await expect(page.getByRole('button', { name: /Choose: standing/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Choose: chemical clean in place' }).click();

  // The plan, the bursts, the dwell.
  const clean = page.getByRole('region', { name: 'Chemical clean' });
  // The site first: where smoke is a nuisance, another one is gone to, with its clock; a hot filter cools by a clock too.
  const yes = async (name: RegExp, said = 'Yes'): Promise<void> =>
    clean.getByRole('group', { name }).getByRole('button', { name: said, exact: true }).click();
  await yes(/^Smoke, steam and noise/, 'No');
  await yes(/^Run-off/);
  await clean
    .getByLabel(/^Filter now/)
    .first()
    .fill('120');
  await clean.getByRole('button', { name: 'Enter the answers' }).click();
  await expect(clean.getByText(/are a nuisance here: dose at another site/)).toBeVisible();
  await expect(clean.getByText(/From 120\s°C to 45\s°C a parked filter takes about/)).toContainText(
    /4[34]\smin/,
  );
  await clean.getByLabel(/^Another site/).fill('Gravel yard, Pump Lane');
  await clean.getByRole('button', { name: 'Change the site' }).click();
  await expect(clean.getByText(/^At another site\. When/)).toBeVisible();
  await yes(/^Smoke, steam and noise/);
  await clean
    .getByLabel(/^Filter now/)
    .first()
    .fill('24');
  await clean.getByRole('button', { name: 'Enter the answers' }).click();
  await expect(clean.getByText('Ready', { exact: true })).toBeVisible();

  // Way in by its price: a seized sensor costs more than the high pipe; it stands on the line.
  const way = (name: string) => clean.getByRole('button', { name: new RegExp(`^${name}`) });
  await expect(way('the high pipe')).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('img', { name: 'Fluid goes in by the high pipe' })).toBeVisible();
  await clean.getByRole('button', { name: 'seized', exact: true }).click();
  await expect(way('a sensor’s port')).toContainText('45 % to snap or strip its boss (seized)');
  await way('a sensor’s port').click();
  await expect(page.getByRole('img', { name: 'Fluid goes in by the sensor’s port' })).toBeVisible();
  await way('the high pipe').click();
  await clean.getByLabel('Soaking fluid').selectOption({ label: 'Quickwash 6, 5.0 L left' });
  await expect(clean.getByText(/L Quickwash 6 and .*\sL water/)).toBeVisible();
  await clean.getByLabel('Filter now').fill('90');
  await expect(clean.getByText(/The filter is at 90\s°C; Quickwash 6 may go in up to 45\s°C/)).toBeVisible();
  await expect(clean.getByRole('button', { name: /^Burst 1 of/ })).toBeDisabled();
  await clean.getByLabel('Filter now').fill('24');
  // The caution was read with the answers.
  for (let i = 0; i < 10; i++) await clean.getByRole('button', { name: 'One burst more' }).click();
  await clean.getByRole('button', { name: 'Fluid in: start the dwell' }).click();
  await expect(page.getByText(/While it dwells/)).toBeVisible();
  const over = page.getByRole('alert', { name: /Dwell over: HW 52 NB/ });
  await expect(over).toBeVisible({ timeout: 30_000 });
  // It is read in glare, from across the yard.
  expect(await axeViolations(page)).toEqual([]);
  await over.getByRole('button', { name: 'End it' }).click();
  await expect(over).toBeHidden();

  // The flush loop: the first fill gave much, another is worth it; the second is enough.
  await expect(clean.getByText('Chemical clean, fill 2')).toBeVisible();
  const readAfter = async (fill: number, at3000: string, at2500: string): Promise<void> => {
    await clean.getByRole('button', { name: `Read after fill ${fill}` }).click();
    const caution = clean.getByRole('button', { name: 'I have read this' });
    if (await caution.count()) await caution.first().click();
    await typeReading(page, at3000, at2500);
    await clean.getByRole('button', { name: /Enter the reading|Enter the between/ }).click();
  };
  await readAfter(1, '90', '63');
  await expect(clean.getByText(/^Another fill\./)).toBeVisible();
  // A burst that runs is not cut by the next button; whoever has not counted says that all of it is in, in one touch.
  await clean.getByRole('button', { name: /^Burst 1 of/ }).click();
  await expect(clean.getByRole('button', { name: /^All \d+ bursts in: start the dwell/ })).toBeDisabled();
  await expect(clean.getByText('This burst still runs.')).toBeVisible();
  await clean.getByRole('button', { name: 'One burst less' }).click({ timeout: 20_000 });
  await clean.getByRole('button', { name: /^All \d+ bursts in: start the dwell/ }).click();
  await expect(over).toBeVisible({ timeout: 30_000 });
  await over.getByRole('button', { name: 'End it' }).click();
  await readAfter(2, '17', '12');
  await expect(clean.getByText(/^No other fill\./)).toBeVisible();
  await clean.getByLabel('Run-off collected').fill('1,4');
  await clean.getByRole('button', { name: 'Enter it' }).click();
  await expect(page.getByText(/Run-off collected for disposal/)).toBeVisible();

  // What was used is off the stock.
  await page.goto(`${site.address}/fluids`);
  await expect(page.getByRole('listitem').filter({ hasText: 'Quickwash 6' })).toContainText(
    /[34]\.\d\d\sL of 5\.00\sL counted/,
  );
  await page.goBack();

  // Warmed up on the bench with fluid in it: wet, drying, and told when it stands.
  await page.goto(page.url().replace(/\?.*$/, '') + '/live');
  await page.getByRole('button', { name: 'Set up the simulated vehicle' }).click();
  await page.getByText('At the vehicle, by hand', { exact: true }).click();
  await page.getByLabel('What to do').selectOption({ label: 'Inject a dose of fluid through the high pipe' });
  await page.getByRole('button', { name: 'Do it', exact: true }).first().click();
  await page.keyboard.press('Escape');
  await page.getByRole('heading', { name: 'Live values' }).click();
  await page.keyboard.press('k');
  await expect(page.getByText('Ignition on, engine off', { exact: true })).toBeVisible();
  await page.keyboard.press('c');
  await expect(page.getByText(/The tool takes it for/)).toBeVisible();
  await page.keyboard.press('s');
  await expect(page.getByText(/^Engine at [78]\d0\srpm/)).toBeVisible();
  await page.keyboard.press('h');
  await page.keyboard.press('3');
  const warmUp = page.getByRole('region', { name: 'Warm-up' });
  await expect(warmUp).toContainText(
    /below 110\s°C water is still boiling|under 110\s°C water is still boiling|Falling by|Still rising/,
    {
      timeout: 30_000,
    },
  );
  await expect(warmUp).toContainText(/Steady at \d\.\d\s× clean.*Take the reading now/, { timeout: 60_000 });
  await page.getByRole('link', { name: /HW 52/ }).click();

  // The proof.
  await stage(page, 'Prove');
  await typeReading(page, '17', '12');
  await page.getByRole('button', { name: 'Enter the after reading' }).click();
  await proveSensorAndHoses(page);
  await stage(page, 'Prove');
  await page.getByLabel('Distance').fill('14');
  await page.getByLabel('Soot counter at the start').fill('1.2');
  await page.getByLabel('Soot counter at the end').fill('1.6');
  await page.getByRole('button', { name: 'Save the drive', exact: true }).click();
  await page.getByRole('button', { name: 'No codes stored' }).click();
  await expect(page.getByRole('heading', { name: /Proved: pressure drop at equal flow/ })).toBeVisible();
});

test('the burn planner shows what a burn would do, can be stopped, and finds the most soot that is safe', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await openJob(page, site, 'GT 73 WV', 'decide');
  await page.getByText('What a regeneration of this filter would do').click();
  const planner = page.getByRole('region', { name: 'What this regeneration would do' });
  await expect(
    planner.getByRole('img', { name: /Temperature of the bed over 30\smin, hottest \d+\s°C/ }),
  ).toBeVisible();
  await expect(planner.getByText(/behind the inlet face; limit 950\s°C/)).toBeVisible();
  await planner.getByRole('checkbox', { name: 'The engine drops to idle in it' }).check();
  await expect(planner.getByText('Too hot for this bed')).toBeVisible();
  await planner.getByRole('slider', { name: /Soot/ }).fill('6');
  await expect(planner.getByText('Too hot for this bed')).toBeHidden();
  await planner.getByRole('button', { name: 'How certain? Run it 500 times' }).click();
  await expect(planner.getByRole('progressbar', { name: /Runs, \d+ of 500/ })).toBeVisible();
  await planner.getByRole('button', { name: 'Stop' }).click();
  await expect(planner.getByRole('progressbar')).toBeHidden();
  await planner.getByRole('button', { name: 'Find the highest safe soot load' }).click();
  await expect(planner.getByText(/Up to \d\.\d\sg\/L, \d+\sg the bed keeps its 950\s°C/)).toBeVisible({
    timeout: 30_000,
  });
});

test('a recorded log tells where the warm-up after a clean stood', async ({ page, site }) => {
  await signIn(page, site);
  const id = await openJob(page, site, 'KE 417 QR');
  await page.goto(`${site.address}/jobs/${id}/logs`);
  await page.getByRole('button', { name: /KE417-after\.csv/ }).click();
  const warmUp = page.getByRole('region', { name: 'Warm-up' });
  await expect(warmUp).toContainText(/\d\.\d\s× clean/, { timeout: 40_000 });
  await expect(warmUp).toContainText(/At the end of this log: Steady at/);
  await expect(warmUp).toContainText(/Highest \d\.\d\s× clean, at the end \d\.\d ×, each at its own flow/);
  // The log of the before reading was never wet.
  await page.getByRole('button', { name: /KE417-before\.csv/ }).click();
  await expect(page.getByRole('heading', { name: /^Steady windows/ })).toBeVisible();
  await expect(warmUp).toHaveCount(0);
});
