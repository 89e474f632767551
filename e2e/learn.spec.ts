import { MODELS, startOf, movesOf, type TopicId } from '@white-ember/core/learn';
import { measuresOf } from '@white-ember/core/words';
import type { Page } from '@playwright/test';
import { expect, goTo, openJob, signIn, stage, tabTo, test } from './setup/site.ts';

/** A figure of the model, by its label, as the page shows it. */
const shownFigure = (page: Page, label: string) =>
  page
    .getByRole('region', { name: 'Try it' })
    .locator('dl > div')
    .filter({ has: page.getByText(label, { exact: true }) })
    .getByRole('definition');

/** The same figure as core gives it. */
function coresFigure(topic: TopicId, settings: Record<string, number | string>, id: string): number {
  const answer = MODELS[topic].answer({ ...startOf(movesOf(topic)), ...settings });
  return answer.figures.find((figure) => figure.id === id)?.value ?? Number.NaN;
}

test('by keyboard: from the list by a word to the ΔP sensor, moved, its figures those of core, the address shareable', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await page.keyboard.press('g');
  await page.keyboard.press('e');
  await expect(page.getByRole('heading', { name: 'Learn', level: 1 })).toBeVisible();
  await tabTo(page, page.getByLabel('Find a topic'));
  await page.keyboard.type('volts');
  const topics = page.getByRole('main').getByRole('listitem');
  await expect(topics).toHaveCount(1);
  await tabTo(page, topics.getByRole('link'));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Differential pressure sensor', level: 1 })).toBeVisible();

  const words = measuresOf({ locale: 'en-GB' });
  await expect(shownFigure(page, 'Shown by the sensor')).toHaveText(
    words.pressure(coresFigure('dp-sensor', {}, 'shown')),
  );
  await tabTo(page, page.getByRole('slider', { name: 'Engine speed', exact: true }));
  for (let i = 0; i < 5; i++) await page.keyboard.press('ArrowRight');
  await expect(shownFigure(page, 'Shown by the sensor')).toHaveText(
    words.pressure(coresFigure('dp-sensor', { rpm: 3000 }, 'shown')),
  );
  await page.getByLabel('Sensor and pipes').selectOption({ label: 'low pipe blocked' });
  const shown = words.pressure(coresFigure('dp-sensor', { rpm: 3000, state: 'low-blocked' }, 'shown'));
  await expect(shownFigure(page, 'Shown by the sensor')).toHaveText(shown);
  await expect(page.getByRole('status')).toContainText('It reads too high');
  await expect(page).toHaveURL(/state=low-blocked&rpm=3000/);
  await page.reload();
  await expect(shownFigure(page, 'Shown by the sensor')).toHaveText(shown);
});

for (const [topic, settings, label, id] of [
  ['temperatures', { minutes: 10 }, 'Before filter (EGT 3)', 'egt3'],
  ['drop-to-idle', { soot: 8 }, 'With the drop to idle', 'hottest-dropped'],
] as const)
  test(`${topic}: what is worked out beside the page is what core gives`, async ({ page, site }) => {
    await signIn(page, site);
    const address = new URLSearchParams(Object.entries(settings).map(([key, value]) => [key, String(value)]));
    await page.goto(`${site.address}/learn/${topic}?${address.toString()}`);
    await expect(shownFigure(page, label)).toHaveText(
      measuresOf({ locale: 'en-GB' }).temperature(coresFigure(topic, settings, id), 0),
    );
  });

test('from a check, from the finder by “help” and “sensor”; an address that says nonsense begins where the page begins', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await openJob(page, site, 'KE 417 QR', 'checks&check=pipe-pump');
  await page.getByRole('link', { name: 'How it works: Blocked pipes' }).first().click();
  await expect(page.getByRole('heading', { name: 'Blocked pipes', level: 1 })).toBeVisible();
  await page.goBack();
  await stage(page, 'Codes');
  for (const [typed, to] of [
    ['help', /^Learn$/],
    ['sensor volts', /Differential pressure sensor/],
  ] as const) {
    await page.keyboard.press('Control+k');
    await page.getByRole('dialog', { name: 'Find' }).getByRole('combobox').fill(typed);
    await page.getByRole('option', { name: to }).click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(page).toHaveURL(/\/learn/);
  }
  await goTo(page, site, '/learn/dp-sensor?rpm=banana&state=constructor');
  await expect(page.getByRole('slider', { name: 'Engine speed', exact: true })).toHaveValue('2500');
  await goTo(page, site, '/learn/nothing-of-the-kind');
  await expect(page.getByRole('heading', { name: 'There is no such topic' })).toBeVisible();
  await page.getByRole('link', { name: /All topics/ }).click();
  await expect(page.getByRole('heading', { name: 'Learn', level: 1 })).toBeVisible();
});

test('a page of a topic brings at most 60 KB of script beyond what a job needs', async ({ page, site }) => {
  await signIn(page, site);
  await openJob(page, site, 'KE 417 QR', 'decide');
  await page.waitForLoadState('networkidle');
  const scripts = (): Promise<string[]> =>
    page.evaluate(() =>
      performance
        .getEntriesByType('resource')
        .filter(({ name }) => name.endsWith('.js'))
        .map((entry) => `${entry.name} ${(entry as PerformanceResourceTiming).encodedBodySize}`),
    );
  const known = new Set((await scripts()).map((one) => one.split(' ')[0]));
  let beyond = 0;
  for (const topic of ['dp-sensor', 'drop-to-idle'] as const) {
    await goTo(page, site, `/learn/${topic}`);
    await expect(page.getByRole('region', { name: 'Try it' }).getByRole('status')).toBeVisible();
    for (const one of await scripts()) {
      const [name = '', bytes] = one.split(' ');
      // Workers of jobs are shared, whichever page wakes them first.
      if (!known.has(name) && !/\/(?:bench|burn|diagnosis)Worker-/.test(name)) beyond += Number(bytes);
      known.add(name);
    }
  }
  expect(beyond).toBeGreaterThan(3000);
  expect(beyond).toBeLessThanOrEqual(60 * 1024);
});
