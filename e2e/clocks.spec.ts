import type { Browser, Page } from '@playwright/test';
import { addEntries, expect, newJob, signIn, stage, test, type Site } from './setup/site.ts';

/** A device whose clock is off by so many minutes. */
async function device(browser: Browser, site: Site, offMin: number, who: 'Tobin' | 'Imke'): Promise<Page> {
  const context = await browser.newContext();
  const page = await context.newPage();
  await page.clock.install({ time: new Date(Date.now() + offMin * 60_000) });
  await signIn(page, site, who);
  return page;
}

const timer = (page: Page) => page.getByRole('timer', { name: /FL 012 TX/ });
const secondsLeft = async (page: Page): Promise<number> => {
  const [, minutes = '0', seconds = '0'] = /(\d+):(\d+)/.exec(await timer(page).innerText()) ?? [];
  return Number(minutes) * 60 + Number(seconds);
};

test('a clock runs by one time on two devices with wrong clocks, over reload and restart, rings where it is wanted and is ended once', async ({
  browser,
  site,
}) => {
  test.setTimeout(120_000);
  const van = await device(browser, site, 47, 'Tobin');
  const office = await device(browser, site, -13, 'Imke');

  // Another clock of the demo would stand first in the header.
  await newJob(van, site, 'FL 012');
  await stage(van, 'Treat');
  await van.getByText('Start a timer').click();
  await van.getByRole('textbox', { name: /^Time/ }).fill('0.7');
  await van.getByLabel('What comes next').fill('take the filter off');
  const startedAt = Date.now();
  await van.getByRole('button', { name: 'Start it' }).click();
  await expect(timer(van)).toBeVisible();
  expect(Math.abs((await secondsLeft(van)) - (42 - (Date.now() - startedAt) / 1000))).toBeLessThan(4);

  // The other device hears of it by itself, with the same time left.
  await expect(timer(office)).toBeVisible({ timeout: 45_000 });
  expect(Math.abs((await secondsLeft(van)) - (await secondsLeft(office)))).toBeLessThan(4);

  await site.stop();
  await site.start();
  await van.reload();
  await expect(timer(van)).toBeVisible();

  // For whoever does not work on that job it is a mark, and rings where they ask for it.
  await office.goto(van.url());
  await office.getByRole('checkbox', { name: 'Ring on this device, too' }).check();

  // It rings at its time, on every page of both.
  const bar = (page: Page) => page.getByRole('alert', { name: 'Cooling down over: FL 012 TX' });
  const [vanBar, officeBar] = [bar(van), bar(office)];
  await office.goto(`${site.address}/vehicles`);
  await expect(vanBar).toBeVisible({ timeout: 60_000 });
  const rangAfterS = (Date.now() - startedAt) / 1000;
  expect(rangAfterS).toBeGreaterThan(39);
  expect(rangAfterS).toBeLessThan(60);
  await expect(officeBar).toBeVisible();
  await expect(officeBar).toContainText('next: take the filter off');

  // Going there silences it there and does not end it: it stays where nobody went, also after a reload.
  await officeBar.getByRole('link').click();
  await expect(officeBar).toBeHidden();
  await expect(office).toHaveURL(/stage=treat/);
  await van.reload();
  await expect(vanBar).toBeVisible();
  await van.getByRole('alert').getByRole('button', { name: 'End it' }).click();
  await expect(vanBar).toBeHidden();
  await expect(timer(office)).toBeHidden({ timeout: 45_000 });
  await van.context().close();
  await office.context().close();
});

test('a dwell that is cut short says so on the job and in the report, with the reason', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await newJob(page, site, 'HW 52');
  await stage(page, 'Treat');
  await page.getByRole('button', { name: 'I have read this' }).click();
  await page.getByLabel('What exactly').fill('One fill, cold');
  await page.getByRole('textbox', { name: 'Dwell' }).fill('30');
  await page.getByRole('button', { name: 'Save the work' }).click();
  await page.getByLabel('Reason for ending early').fill('The customer could not wait');
  await page.getByRole('button', { name: 'End it early' }).click();
  const words = /Dwell, One fill, cold: cut short after 0(\.\d)? of 30\smin \(The customer could not wait\)/;
  await expect(page.getByText(words)).toBeVisible();
  await page.goto(page.url().replace(/\?.*/, '/report'));
  await expect(page.getByText(words)).toBeVisible();
});

test('a clock that ran out while the device slept rings when it wakes: with sound and a message of the system', async ({
  page,
  site,
}) => {
  test.setTimeout(60_000);
  // What the device would show and sound is noted down, as no test can hear.
  await page.addInitScript(() => {
    const told = { messages: [] as string[], strokes: 0 };
    Object.assign(globalThis, { told });
    class Message {
      static permission = 'granted';
      static requestPermission = (): Promise<string> => Promise.resolve('granted');
      constructor(title: string, { body }: { body: string }) {
        told.messages.push(`${title}: ${body}`);
      }
    }
    Object.assign(globalThis, { Notification: Message });
    Object.assign(globalThis, {
      AudioContext: class extends AudioContext {
        override createOscillator(): OscillatorNode {
          told.strokes += 1;
          return super.createOscillator();
        }
      },
    });
  });
  const told = () =>
    page.evaluate(() => (globalThis as unknown as { told: { messages: string[]; strokes: number } }).told);
  await signIn(page, site);
  const id = await newJob(page, site, 'FL 012');
  await addEntries(page, site, id, [
    { kind: 'clock-started', clock: 'soak', minutes: 0.15, what: 'the filter', next: 'rinse it' },
  ]);
  await page.reload();
  await expect(page.getByRole('timer', { name: /FL 012 TX/ })).toBeVisible();
  expect((await told()).messages).toEqual([]);

  // Asleep: nothing of the page runs until well after its end.
  await page.evaluate(() => {
    const until = Date.now() + 12_000;
    while (Date.now() < until);
  });
  const over = page.getByRole('alert', { name: 'Soak over: FL 012 TX' });
  await expect(over).toBeVisible();
  await expect(over).toContainText('next: rinse it');
  expect((await told()).messages.some((text) => /^Soak over: FL 012 TX: .*rinse it/.test(text))).toBe(true);
  expect((await told()).strokes).toBeGreaterThanOrEqual(3);
  // How late it was ended stands on the job.
  await over.getByRole('button', { name: 'End it' }).click();
  await expect(over).toBeHidden();
});
