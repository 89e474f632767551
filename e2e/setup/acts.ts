import { expect, type Page } from '@playwright/test';
import { v7 as uuidv7 } from 'uuid';
import { post, type Site } from './site.ts';

/** The page of somebody whose password a lead set: they choose their own, or are told why it cannot be that one. */
export async function chooseOwnPassword(
  page: Page,
  given: string,
  own: string,
  refused?: RegExp,
): Promise<void> {
  await page.getByLabel('The password that you were given').fill(given);
  await page.getByLabel('New password').fill(own);
  await page.getByRole('button', { name: 'Change the password' }).click();
  if (refused) await expect(page.getByRole('alert')).toContainText(refused);
}

/** Says what a column of a log is, by the chooser behind its button. */
export async function chooseChannel(page: Page, name: RegExp | string, channel: string): Promise<void> {
  await page.getByRole('button', { name: typeof name === 'string' ? `What “${name}” is` : name }).click();
  const chooser = page.getByRole('dialog');
  // What was read of the heading is taken back: any channel can be chosen.
  const said = chooser.getByRole('group', { name: /^Said so far/ }).getByRole('button');
  while ((await said.count()) > 0) await said.first().click();
  await chooser.getByRole('button', { name: channel, exact: true }).click();
  await expect(chooser).toHaveCount(0);
}

/** Made once for each run, as a fluid has its name but once. */
export const SHORT_DWELL = {
  id: uuidv7(),
  name: 'Quickwash 6',
  kind: 'soak',
  waterParts: 1,
  filterUpToC: 45,
  coatedFilters: true,
  laterBricks: true,
  dwellMin: 0.1,
  burstS: 5,
  lineUpToBar: 9,
  countedL: 5,
} as const;

/** A fluid whose dwell is over in six seconds: the same way through the application as one of half an hour. */
export async function shortDwell(page: Page, site: Site): Promise<void> {
  const shelf = await page.request.get(`${site.address}/api/fluids`);
  const fluids = (await shelf.json()) as readonly { readonly name: string }[];
  if (fluids.some(({ name }) => name === SHORT_DWELL.name)) return;
  await post(page, site, '/fluids', {
    ...SHORT_DWELL,
    countedAt: new Date(Date.now() - 60_000).toISOString(),
  });
}
