import type { Locator, Page } from '@playwright/test';
import { chosenJob, expect, goTo, signIn, tabTo, test } from './setup/site.ts';
import { IN_THE_MIDDLE } from './setup/everyScreen.ts';

test.describe.configure({ mode: 'parallel' });

/** The one thing that ends each state, by the keyboard alone; the section is the one that stands first. */
const ENDS: Readonly<Record<string, (page: Page, first: Locator) => Promise<void>>> = {
  'A regeneration runs': toTheBurn,
  'A regeneration drive runs': toTheBurn,
  'Timer: Cooling down': async (page, first) => {
    await tabTo(page, first.getByLabel('Reason for ending early'));
    await page.keyboard.type('Cold to the touch');
    await tabTo(page, first.getByRole('button', { name: 'End it early' }));
    await page.keyboard.press('Enter');
    await expect(first).toHaveCount(0);
  },
  'The customer decides': async (page, first) => {
    await tabTo(page, first.getByRole('radio').first());
    await page.keyboard.press('ArrowDown');
    await expect(first.getByRole('radio', { name: /Another filter/ })).toBeChecked();
    await tabTo(page, first.getByRole('button', { name: 'Record the approval' }));
    await page.keyboard.press('Enter');
    await expect(first).toHaveCount(0);
  },
  'A part is on order': async (page, first) => {
    await tabTo(page, first.getByLabel('Settled by'));
    await page.keyboard.type('New hose fitted');
    await page.keyboard.press('Enter');
    await expect(first).toHaveCount(0);
  },
};

async function toTheBurn(page: Page, first: Locator): Promise<void> {
  await tabTo(page, first.getByRole('link', { name: 'Go to the regeneration' }));
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/burn$/);
}

for (const { heading, treatment, more } of IN_THE_MIDDLE)
  test(`by keyboard: “${heading}” stands first where a job opens, and its one act ends it`, async ({
    page,
    site,
  }) => {
    await signIn(page, site);
    await goTo(page, site, `/jobs/${await chosenJob(page, site, treatment, { more })}`);
    const first = page.getByRole('region', { name: heading, exact: true });
    await expect(first).toBeVisible();
    await ENDS[heading]?.(page, first);
  });
