import { expect, type Page } from '@playwright/test';

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
