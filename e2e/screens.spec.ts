import type { Locator, Page } from '@playwright/test';
import { US_CUSTOMARY } from '@white-ember/core/words';
import { v7 as uuidv7 } from 'uuid';
import {
  axeViolations,
  expect,
  goTo,
  openJob,
  post,
  prefer,
  signIn,
  stage as goToStage,
  test,
} from './setup/site.ts';
import { headingsTwice, pointsLeft, storedDaysLeft, unitsLeft, unresolved } from './setup/pageText.ts';
import { SCREENS } from './setup/everyScreen.ts';

test.describe.configure({ mode: 'parallel' });

const settled = async (page: Page): Promise<void> => {
  await page.waitForLoadState('networkidle');
  await page.evaluate(() => document.fonts.ready);
};

async function showInBay(page: Page, bay: boolean): Promise<void> {
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('t');
  await expect(page.locator('html')).toHaveAttribute('data-theme', bay ? 'bay' : 'daylight');
}

/** How far the page is wider than its window, px. What follows the window's size has done so by the second frame. */
const overWidth = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((done) =>
        requestAnimationFrame(() =>
          requestAnimationFrame(() =>
            done(document.documentElement.scrollWidth - document.documentElement.clientWidth),
          ),
        ),
      ),
  );

/** Many short walks, so that they spread over the workers. */
const A_WALK = 5;
for (const who of ['Tobin', 'Imke'] as const) {
  const screens = SCREENS.filter((screen) => (screen.who ?? 'Tobin') === who);
  for (let from = 0; from < screens.length; from += A_WALK) {
    const walk = screens.slice(from, from + A_WALK);
    test(`${who}, in US customary units: axe finds nothing in both themes, nothing is wider than a window of 390, 768 or 1920 px, no other unit is left, nothing is without words, no heading stands twice: ${walk.map(({ name }) => name).join(', ')}`, async ({
      page,
      site,
    }) => {
      await prefer(page, { theme: 'daylight', units: US_CUSTOMARY, locale: 'fr-FR' });
      await signIn(page, site, who);
      for (const screen of walk) {
        await screen.open(page, site);
        await settled(page);
        expect.soft(await axeViolations(page), screen.name).toEqual([]);
        await showInBay(page, true);
        expect.soft(await axeViolations(page, 'colour'), `${screen.name}, bay`).toEqual([]);
        await showInBay(page, false);
        await page.evaluate(() => document.fullscreenElement && document.exitFullscreen());
        for (const width of [390, 768, 1920]) {
          await page.setViewportSize({ width, height: 844 });
          // A chart follows a moment after.
          await expect.soft
            .poll(() => overWidth(page), { message: `${screen.name} at ${width} px` })
            .toBeLessThanOrEqual(0);
        }
        await page.setViewportSize({ width: 1280, height: 800 });
        expect.soft(await unitsLeft(page), `${screen.name}: units that were not chosen`).toEqual([]);
        expect.soft(await pointsLeft(page), `${screen.name}: figures not by the locale`).toEqual([]);
        expect.soft(await storedDaysLeft(page), `${screen.name}: days not by the locale`).toEqual([]);
        expect.soft(await unresolved(page), `${screen.name}: what has no words`).toEqual([]);
        expect.soft(await headingsTwice(page), `${screen.name}: headings that are there twice`).toEqual([]);
      }
    });
  }
}

test('a table of figures follows a change of units while it is looked at', async ({ page, site }) => {
  await signIn(page, site);
  await SCREENS.find(({ name }) => name === 'logs, one read')?.open(page, site);
  const table = page.getByRole('table').filter({ has: page.getByRole('columnheader', { name: /^flow,/ }) });
  const flow = async (): Promise<number> =>
    Number((await table.getByRole('row').nth(3).getByRole('cell').nth(3).innerText()).replace(',', ''));
  const metric = await flow();
  expect(metric).toBeGreaterThan(20);
  await page.getByRole('button', { name: /^Menu of/ }).click();
  await page.getByRole('menuitem', { name: /^Units/ }).click();
  await page.getByRole('button', { name: 'US customary' }).click();
  await page.keyboard.press('Escape');
  await expect(table.getByRole('columnheader', { name: /^flow,/ })).toHaveText(/ft³\/min/);
  // A cubic metre an hour is 0.5886 cubic feet a minute; both stand without decimals.
  expect(Math.abs((await flow()) - 0.5886 * metric)).toBeLessThan(1);
});

for (const theme of ['daylight', 'bay'] as const) {
  test.describe(`axe finds nothing in ${theme}`, () => {
    test('sign-in', async ({ page, site }) => {
      await prefer(page, { theme });
      await page.goto(site.address);
      await expect(page.getByRole('button', { name: /Tobin/ })).toBeVisible();
      expect(await axeViolations(page)).toEqual([]);
      await page.getByRole('button', { name: 'Set up your own workshop' }).click();
      expect(await axeViolations(page)).toEqual([]);
    });
    test('sheets: keys, find, an entry, a filter size', async ({ page, site }) => {
      await prefer(page, { theme });
      await signIn(page, site);
      await page.keyboard.press('?');
      await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
      expect(await axeViolations(page)).toEqual([]);
      await page.keyboard.press('Escape');
      await page.keyboard.press('Control+k');
      await expect(page.getByRole('dialog', { name: 'Find' })).toBeVisible();
      await expect(page.getByRole('option').first()).toBeVisible();
      expect(await axeViolations(page)).toEqual([]);
      await page.keyboard.press('Escape');
      await openJob(page, site, 'KE 417 QR');
      await page.getByRole('button', { name: 'Whole tape' }).click();
      await page
        .getByRole('region', { name: 'Tape' })
        .getByRole('button', { name: /cause repaired/ })
        .click();
      await expect(page.getByRole('dialog')).toBeVisible();
      expect(await axeViolations(page)).toEqual([]);
      await goTo(page, site, '/vehicles/new');
      await page.getByRole('button', { name: 'Add a filter size' }).click();
      await expect(page.getByRole('dialog')).toBeVisible();
      expect(await axeViolations(page)).toEqual([]);
    });
  });
}

/** Line, tape and clocks lie within the window, whatever is scrolled. */
async function staysInView(page: Page, stage: string): Promise<void> {
  await goToStage(page, stage);
  await settled(page);
  await page.mouse.move(500, 500);
  await page.mouse.wheel(0, 2000);
  for (const part of [
    page.getByRole('region', { name: 'Exhaust line' }),
    page.getByRole('region', { name: 'Tape' }),
    page.getByRole('timer'),
  ]) {
    const box = await part.boundingBox();
    expect(box && box.y >= 0 && box.y + box.height <= 801, stage).toBe(true);
  }
}

/** Whether something lies within the window, and within what scrolls sideways around it. */
async function inView(part: Locator, within?: Locator): Promise<boolean> {
  const [box, around, size] = [
    await part.boundingBox(),
    await within?.boundingBox(),
    part.page().viewportSize() ?? { width: 0, height: 0 },
  ];
  if (!box) return false;
  const [left, right] = around ? [around.x, around.x + around.width] : [0, size.width];
  return (
    box.x >= left - 1 && box.x + box.width <= right + 1 && box.y >= 0 && box.y + box.height <= size.height + 1
  );
}

test.describe('fits', () => {
  test('1280 × 800: the work has 540 px between line, next step and tape; the whole line and tape unfold and stay so', async ({
    page,
    site,
  }) => {
    await signIn(page, site);
    await openJob(page, site, 'KE 417 QR', 'decide');
    await settled(page);
    const height = async (of: Locator): Promise<number> => (await of.boundingBox())?.height ?? 0;
    // A wait of another test that is over rings above the page.
    const ringing = await page.evaluate(
      () => Number.parseFloat(document.documentElement.style.getPropertyValue('--ringing')) || 0,
    );
    expect(ringing + (await height(page.getByRole('main')))).toBeGreaterThanOrEqual(540);
    expect(await height(page.getByRole('region', { name: 'Exhaust line' }))).toBeLessThanOrEqual(72);
    expect(await height(page.getByRole('region', { name: 'Tape' }))).toBeLessThanOrEqual(64);
    await page.getByRole('button', { name: /^Draw it/ }).click();
    await page.getByRole('button', { name: 'Whole tape' }).click();
    await page.reload();
    await expect(page.getByRole('group', { name: 'Exhaust line of KE 417 QR' })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Slim tape' })).toBeVisible();
  });

  for (const [width, tall] of [
    [390, 844],
    [820, 1180],
  ] as const)
    test(`${width} px: stage, next step and clock at the lower edge, the line at the filter, whatever is scrolled`, async ({
      page,
      site,
    }) => {
      await page.setViewportSize({ width, height: tall });
      await signIn(page, site);
      // The job of the dwell, whatever other tests opened for that vehicle since.
      const { clocks } = (await (await page.request.get(`${site.address}/api/clocks`)).json()) as {
        clocks: readonly { jobId: string; plate: string }[];
      };
      const dwelling = clocks.find(({ plate }) => plate === 'FL 007 TX')?.jobId ?? '';
      await goTo(page, site, `/jobs/${dwelling}?stage=treat`);
      await settled(page);
      const line = page.getByRole('group', { name: 'Parts of FL 007 TX' });
      for (const name of [/^Filter/, /^ΔP/])
        expect(await inView(line.getByRole('button', { name }), line), String(name)).toBe(true);
      await page.mouse.move(200, 400);
      await page.mouse.wheel(0, 5000);
      for (const part of [
        page.getByRole('region', { name: 'Next step' }).getByRole('button').last(),
        page.getByRole('navigation', { name: 'Stages' }),
        // It runs, or it has run out since the demo was made.
        page.getByRole('timer').or(page.getByRole('alert')).last(),
      ])
        expect(await inView(part)).toBe(true);
    });

  test('1280 × 800: line, tape and clocks stay in view at every stage, whatever is scrolled, and while a wait that is over rings', async ({
    page,
    site,
  }) => {
    await signIn(page, site);
    const id = await openJob(page, site, 'KE 417 QR');
    for (const stage of ['Intake', 'Codes', 'Baseline', 'Checks', 'Decide', 'Treat', 'Prove', 'Hand over'])
      await staysInView(page, stage);
    await post(page, site, `/jobs/${id}/entries`, {
      id: uuidv7(),
      deviceTime: new Date(Date.now() - 3_600_000).toISOString(),
      body: { kind: 'clock-started', clock: 'cooling', minutes: 1, what: 'the filter' },
    });
    await page.reload();
    const bar = page.getByRole('alert', { name: /over: KE 417 QR/ });
    await expect(bar).toBeVisible();
    await staysInView(page, 'Intake');
    await bar.getByRole('button', { name: 'End it' }).click();
    await expect(bar).toBeHidden();
  });
});

test('a sheet that is open stays while other parts of the page are still loaded', async ({ page, site }) => {
  await signIn(page, site);
  // What shows messages comes late, as over a slow line.
  await page.route('**/assets/*.js', async (route) => {
    const answer = await route.fetch();
    if ((await answer.text()).includes('data-sonner-toaster'))
      await new Promise((resolve) => setTimeout(resolve, 1500));
    await route.fulfill({ response: answer });
  });
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  const hidden = await page.evaluate(async () => {
    let frames = 0;
    const end = performance.now() + 2000;
    while (performance.now() < end) {
      await new Promise(requestAnimationFrame);
      const sheet = document.querySelector('[role="dialog"]');
      if (!sheet || sheet.getClientRects().length === 0) frames++;
    }
    return frames;
  });
  expect(hidden).toBe(0);
  await page.unrouteAll({ behavior: 'ignoreErrors' });
});

test('controls are large enough for a glove: 44 px, main actions 56 px', async ({ page, site }) => {
  await signIn(page, site);
  await openJob(page, site, 'KE 417 QR', 'treat');
  const small = await page.evaluate(() =>
    [...document.querySelectorAll('main button, main input, main select, main textarea, nav button')]
      .filter(
        (element) =>
          element instanceof HTMLElement &&
          element.offsetParent !== null &&
          element.getAttribute('type') !== 'checkbox',
      )
      .map((element) => ({ text: element.textContent ?? '', height: element.getBoundingClientRect().height }))
      .filter(({ height }) => height < 44),
  );
  expect(small).toEqual([]);
  const main = await page.getByRole('button', { name: 'Save the work' }).boundingBox();
  expect(main?.height).toBeGreaterThanOrEqual(56);
});

test('the first screen needs at most 180 KB of script, gzipped', async ({ page, site }) => {
  await signIn(page, site);
  // What starts to load after the list of jobs stands is not needed for it: the finder and the sheet of keys.
  await page.addInitScript(() => {
    const watch = new MutationObserver(() => {
      if (!document.querySelector('a[href^="/jobs/"]')) return;
      performance.mark('shown');
      watch.disconnect();
    });
    watch.observe(document, { childList: true, subtree: true });
  });
  await page.goto(`${site.address}/jobs`);
  await expect(page.locator('a[href^="/jobs/"]').first()).toBeVisible();
  await settled(page);
  const bytes = await page.evaluate(() => {
    const shown = performance.getEntriesByName('shown')[0]?.startTime ?? Infinity;
    return performance
      .getEntriesByType('resource')
      .filter((entry) => entry.name.endsWith('.js') && entry.startTime <= shown)
      .reduce((sum, entry) => sum + (entry as PerformanceResourceTiming).encodedBodySize, 0);
  });
  expect(bytes).toBeGreaterThan(20_000);
  expect(bytes).toBeLessThanOrEqual(180 * 1024);
});
