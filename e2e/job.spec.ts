import {
  addEntries,
  expect,
  idOfJob,
  newJob,
  newJobByHand,
  openJob,
  signIn,
  stage,
  test,
} from './setup/site.ts';

test.describe('the ledger under the hand', () => {
  test('an entry is corrected in its place, and the first one stays in the history', async ({
    page,
    site,
  }) => {
    await signIn(page, site);
    const id = await openJob(page, site, 'MF 66 PL', 'prove');
    await expect(page.getByRole('heading', { name: 'Not proved' })).toBeVisible();
    const before = await site.count('entry');
    await page.getByRole('button', { name: 'Whole tape' }).click();
    await page.getByRole('region', { name: 'Tape' }).getByRole('button', { name: '3000: 0.0 mbar' }).click();
    await page.getByRole('button', { name: 'Correct this entry' }).click();
    await expect(page.getByText(/Correcting the entry of/)).toBeVisible();
    const deltaP = (name: string) => page.getByRole('group', { name, exact: true }).getByLabel(/ΔP/);
    await expect(deltaP('Hold 2')).toHaveValue('0');
    await deltaP('Idle').fill('2.2');
    await deltaP('Hold 1').fill('12');
    await deltaP('Hold 2').fill('16');
    await page.getByRole('button', { name: 'Enter the after reading' }).click();
    await expect(
      page.getByRole('heading', { name: /Pressure drop at equal flow down 8\d\s%/ }),
    ).toBeVisible();
    await expect.poll(() => site.count('entry')).toBe(before + 1);
    const { entries } = (await (await page.request.get(`${site.address}/api/jobs/${id}`)).json()) as {
      entries: { id: string; supersedes?: string }[];
    };
    expect(entries.some((entry) => entry.id === entries.at(-1)?.supersedes)).toBe(true);
  });

  test('undo takes an entry back, withdrawing says why, and neither erases', async ({ page, site }) => {
    await signIn(page, site);
    await newJobByHand(page, site, 'HW 52');
    await page.getByLabel('What the customer says').fill('Wrong van');
    await page.getByRole('button', { name: 'Save the complaint' }).click();
    await page.getByRole('button', { name: 'Undo' }).click();
    await stage(page, 'Intake');
    await expect(page.getByRole('blockquote').filter({ hasText: 'Wrong van' })).toBeHidden();

    await page.getByLabel('Note for the record').fill('Clamp missing');
    await page.getByRole('button', { name: 'Add note' }).click();
    await page.getByRole('button', { name: 'Whole tape' }).click();
    await page
      .getByRole('region', { name: 'Tape' })
      .getByRole('button', { name: 'note', exact: true })
      .click();
    const sheet = page.getByRole('dialog');
    await expect(sheet).toContainText('Clamp missing');
    await expect(sheet).toContainText('Server clock');
    await sheet.getByRole('button', { name: 'Withdraw this entry' }).click();
    await expect(sheet).toContainText('must not be empty');
    await sheet.getByLabel(/Wrong\?/).fill('Found it');
    await sheet.getByRole('button', { name: 'Withdraw this entry' }).click();
    await expect(sheet).toBeHidden();
    await expect(page.getByRole('region', { name: 'Tape' })).toContainText('0 entries');
  });

  test('the tape looks back: what was known then, and nothing to enter there', async ({ page, site }) => {
    await signIn(page, site);
    await openJob(page, site, 'KE 417 QR', 'prove');
    await expect(page.getByRole('heading', { name: /[Pp]ressure drop at equal flow down/ })).toBeVisible();
    const slider = page.getByRole('slider', { name: 'Look back along the tape' });
    await slider.focus();
    // As fast as the hand presses: each goes on from where the one before left it.
    const from = Number(await slider.inputValue());
    for (let i = 0; i < 3; i++) await page.keyboard.press('PageDown');
    expect(Number(await slider.inputValue())).toBeLessThan(0.8 * from);
    await page.keyboard.press('Home');
    await expect(page.getByText(/As known on/)).toBeVisible();
    const known = page.getByRole('complementary', { name: 'What we know' });
    await known.getByRole('tab', { name: 'Readings' }).click();
    await expect(known).toContainText('No reading yet.');
    await expect(page.getByRole('heading', { name: /[Pp]ressure drop at equal flow down/ })).toBeHidden();
    await expect(page).toHaveURL(/at=\d+/);
    await page.getByRole('button', { name: 'Back to now' }).click();
    await expect(page.getByRole('heading', { name: /[Pp]ressure drop at equal flow down/ })).toBeVisible();
  });

  test('next step and likely causes are there before the page has judged the job, as the list says them', async ({
    page,
    site,
  }) => {
    await signIn(page, site);
    const id = await idOfJob(page, site, 'GT 73 WV');
    const readAdvice = async (): Promise<
      { causes?: readonly { probability: number }[]; next?: { title: unknown } } | undefined
    > =>
      ((await (await page.request.get(`${site.address}/api/jobs/${id}`)).json()) as { advice?: object })
        .advice;
    await expect.poll(readAdvice).toBeDefined();
    // What judges never comes.
    await page.route(/diagnosisWorker/, (route) => route.abort());
    await openJob(page, site, 'GT 73 WV', 'checks');
    const next = page.getByRole('region', { name: 'Next step' });
    await expect(next.getByRole('button').first()).toBeEnabled();
    await expect(next).not.toContainText('Working out');
    const likely = page.getByRole('list', { name: 'Likely causes' }).filter({ visible: true });
    await expect(likely.getByText(/^\d+ %$/).first()).toBeVisible();
    const [first] = (await readAdvice())?.causes ?? [];
    await expect(likely).toContainText(`${Math.round(100 * (first?.probability ?? Number.NaN))} %`);
  });

  test('a cause confirmed before the page has judged the job is confirmed once it has', async ({
    page,
    site,
  }) => {
    await signIn(page, site);
    const id = await newJob(page, site, 'HW 52');
    await addEntries(page, site, id, [
      { kind: 'code-scan', when: 'before', codes: [{ code: 'P2453' }] },
      { kind: 'check', check: 'hoses', values: { state: 'off' }, outcome: 'hose-off' },
    ]);
    const advised = async (): Promise<unknown> =>
      ((await (await page.request.get(`${site.address}/api/jobs/${id}`)).json()) as { advice?: object })
        .advice;
    await expect.poll(advised).toBeDefined();
    let release = (): void => undefined;
    const held = new Promise<void>((resolve) => (release = resolve));
    await page.route(/diagnosisWorker/, async (route) => {
      await held;
      await route.continue();
    });
    await page.goto(`${site.address}/jobs/${id}?stage=decide`);
    const next = page.getByRole('region', { name: 'Next step' });
    await next.getByRole('button', { name: 'Confirm it' }).click();
    release();
    await expect(next).toContainText(/^NextRepair/);
  });

  test('what we know folds to a tab that says the gist, and stays so; on a phone it is a row and a sheet', async ({
    page,
    site,
  }) => {
    await signIn(page, site);
    await openJob(page, site, 'GT 73 WV', 'checks');
    const known = page.getByRole('complementary', { name: 'What we know' });
    await known.getByRole('button', { name: 'Fold what we know' }).click();
    await expect(known.getByRole('button', { name: /What we know · .*\d\s%/ })).toBeVisible();
    await page.reload();
    await known.getByRole('button', { name: /What we know · / }).click();
    await known.getByRole('tab', { name: /^Evidence · \d/ }).click();
    await expect(known.getByRole('list', { name: 'Evidence' })).toBeVisible();
    await expect(known.getByRole('list', { name: 'Likely causes' })).toBeHidden();

    await page.setViewportSize({ width: 390, height: 844 });
    await page.getByRole('button', { name: /^Most likely .* What we know$/ }).click();
    const sheet = page.getByRole('dialog', { name: 'What we know' });
    await expect(sheet.getByRole('list', { name: 'Likely causes' })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(sheet).toBeHidden();
  });

  test('a new plate of a known kind is one tap, and saving leads on to the next step unless one goes elsewhere', async ({
    page,
    site,
  }) => {
    await signIn(page, site);
    await page.getByRole('button', { name: 'New job' }).click();
    await page.getByLabel('Plate or vehicle').fill('qf 77 nk');
    await page
      .getByRole('group', { name: /same as/ })
      .getByRole('button', { name: 'Pell 1.6 hatch' })
      .click();
    await expect(page.getByRole('heading', { name: 'QF 77 NK' })).toBeVisible();
    await expect(page.getByText('Filter size not known')).toBeHidden();
    await page.getByLabel('What the customer says').fill('No power');
    await page.getByRole('button', { name: 'Save the complaint' }).click();
    await expect(page).toHaveURL(/stage=codes/);
    await page.getByRole('button', { name: 'No codes stored' }).click();
    await stage(page, 'Intake');
    await page.waitForTimeout(1500);
    await expect(page).toHaveURL(/stage=intake/);
  });

  test('a viewer sees all of it and can enter nothing', async ({ page, site }) => {
    await signIn(page, site, 'Sorrel');
    await expect(page.getByRole('button', { name: 'New job' })).toBeHidden();
    await openJob(page, site, 'KE 417 QR');
    for (const name of ['Intake', 'Codes', 'Baseline', 'Checks', 'Treat', 'Prove', 'Hand over']) {
      await stage(page, name);
      await expect(
        page.getByRole('main').getByRole('button', { name: /^(Enter|Sign off|Use as|No codes)/ }),
      ).toHaveCount(0);
    }
  });
});

test.describe('by keyboard and address', () => {
  test('what is typed while the finder is still on its way goes into it, and does nothing on the page', async ({
    page,
    site,
  }) => {
    let release = (): void => undefined;
    const held = new Promise<void>((resolve) => (release = resolve));
    await page.route(/CommandPalette-.*\.js/, async (route) => {
      await held;
      await route.continue();
    });
    await signIn(page, site);
    const themeBefore = await page.locator('html').getAttribute('data-theme');
    await page.keyboard.press('Control+k');
    // By itself each T would change the colours, and G then J leave the page.
    await page.keyboard.type('gjt');
    await page.keyboard.press('Backspace');
    await page.keyboard.type('t 7');
    release();
    const typed = page.getByRole('dialog', { name: 'Find' }).getByRole('combobox');
    await expect(typed).toHaveValue('gjt 7');
    expect(await page.locator('html').getAttribute('data-theme')).toBe(themeBefore);
  });

  test('keys reach every view, and each has an address that comes back', async ({ page, site }) => {
    await signIn(page, site);
    await page.keyboard.press('g');
    // The page draws itself anew between the two keys; the chord goes on.
    await page.getByRole('button', { name: 'All', exact: true }).click();
    await page.keyboard.press('v');
    await expect(page.getByRole('heading', { name: 'Vehicles' })).toBeVisible();
    await page.keyboard.press('g');
    await page.keyboard.press('l');
    await expect(page.getByRole('heading', { name: 'Limits' })).toBeVisible();
    await page.goBack();
    await expect(page.getByRole('heading', { name: 'Vehicles' })).toBeVisible();
    const finder = page.getByRole('dialog', { name: 'Find' });
    await page.keyboard.press('Control+k');
    await expect(finder).toBeVisible();
    await page.keyboard.type('KE 417');
    await expect(page.getByRole('option', { name: /KE 417 QR/ }).first()).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'KE 417 QR', level: 1 })).toBeVisible();
    await page.keyboard.press('3');
    await expect(page.getByRole('heading', { name: 'Before reading' })).toBeVisible();
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Before reading' })).toBeVisible();
    await page.keyboard.press('t');
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'bay');
    // On a job also what is on its vehicle; anywhere what is set, by the words that people type.
    await page.keyboard.press('Control+k');
    await expect(finder).toBeVisible();
    await page.keyboard.type('hand pump');
    await page.getByRole('option', { name: 'Pipes: hand pump hold test' }).waitFor();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Pipes: hand pump hold test' })).toBeVisible();
    await page.keyboard.press('Control+k');
    await expect(finder).toBeVisible();
    await page.keyboard.type('blocked above');
    await page.getByRole('option', { name: 'ΔP at warm idle, blocked above' }).waitFor();
    await page.keyboard.press('Enter');
    await expect(page.getByText('ΔP at warm idle, blocked above')).toBeInViewport();
    await page.keyboard.press('Control+k');
    await expect(finder).toBeVisible();
    await page.keyboard.type('psi');
    await page.getByRole('option', { name: 'Units and language' }).waitFor();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('dialog', { name: 'Units and language' })).toBeVisible();
  });

  test('a part on the line is reached and opened by keyboard, with its state in words', async ({
    page,
    site,
  }) => {
    await signIn(page, site);
    await openJob(page, site, 'KE 417 QR');
    const scr = page.getByRole('button', { name: 'SCR brick: proven clear' });
    await scr.focus();
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/part=scr/);
    await expect(page.getByRole('main')).toContainText('Gauge after the filter hardly moves');
  });
});

test.describe('limits', () => {
  test('a lead changes one for a family: open jobs are judged by it at once, with the old version kept', async ({
    page,
    site,
  }) => {
    await signIn(page, site, 'Imke');
    await page.goto(`${site.address}/limits?family=Orrin%2012.8`);
    const limit = page.getByRole('textbox', { name: /^ΔP at warm idle, good up to/ });
    await expect(limit).toHaveValue('12');
    await limit.fill('999');
    await page.getByRole('button', { name: 'Apply' }).click();
    await expect(page.getByText(/must lie between 0 and 200\smbar/)).toBeVisible();
    await limit.fill('14');
    await page.getByLabel('Source for: ΔP at warm idle, good up to').fill('Fourth tractor read');
    await page.getByRole('button', { name: 'Apply' }).click();
    await expect(page.getByText(/Version 2, Imke Vandersloot/)).toBeVisible();
    await openJob(page, site, 'BC 91 HV', 'decide');
    await expect(page.getByText(/14\smbar at idle/)).toBeVisible();
  });
});

test('the list of jobs says what each waits for, as the job itself does, and anew after an entry', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  const id = await newJob(page, site, 'FL 012');
  await page.goto(`${site.address}/jobs`);
  const row = page.getByRole('listitem').filter({ has: page.locator(`a[href="/jobs/${id}"]`) });
  await expect(async () => {
    await page.reload();
    await expect(row).toContainText('Scan every module', { timeout: 2000 });
  }).toPass({ timeout: 30_000 });
  await addEntries(page, site, id, [{ kind: 'code-scan', when: 'before', codes: [{ code: 'P2463' }] }]);
  await expect(async () => {
    await page.reload();
    await expect(row).toContainText('Read the pressure', { timeout: 2000 });
  }).toPass({ timeout: 30_000 });
  await row.getByRole('link').click();
  await expect(page.getByRole('region', { name: 'Next step' })).toContainText('Read the pressure');
});

test('a vehicle shows its filter and customer, and keeps them when something else is changed', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await page.goto(`${site.address}/vehicles`);
  await page.getByRole('link', { name: /QP 308 LM/ }).click();
  const filter = page.getByLabel('Filter', { exact: true });
  await expect(filter.locator('option:checked')).toHaveText(/Tarn 2\.0, first fitting/);
  await page.getByLabel('Vehicle', { exact: true }).fill('Tarn 2.0 long van, high roof');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/^Saved\./)).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Vehicle', { exact: true })).toHaveValue('Tarn 2.0 long van, high roof');
  await expect(filter.locator('option:checked')).toHaveText(/Tarn 2\.0, first fitting/);
  await expect(page.getByLabel('Customer', { exact: true }).locator('option:checked')).toHaveText(
    /Quickstile Parcels/,
  );
});
