import { expect, signIn, test } from './setup/site.ts';

test('a vehicle says when its filter is due again, by what its jobs read, in the person’s unit', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await page.goto(`${site.address}/vehicles?find=FL%20003`);
  await page
    .getByRole('main')
    .getByRole('link', { name: /^FL 003 TX/ })
    .click();
  const ahead = page.getByRole('region', { name: 'When it is due again' });
  await expect(
    ahead.getByText(/^In about [\d,]+\skm, around |^By its trend it was due after about/),
  ).toBeVisible();
  await expect(ahead.getByText(/due at 4 ×/)).toContainText(/By 2 stretches of its own road/);
  await expect(ahead.getByText(/^Back within 2,?500\skm/)).toBeVisible();
  await ahead.getByText('The chart as a table').click();
  await expect(ahead.getByRole('row')).toHaveCount(4);
  await expect(ahead.getByText(/^Ash: the residual after a clean rises by/)).toBeVisible();

  // One whose filter is being cleaned waits for its reading.
  await page.goto(`${site.address}/vehicles?find=FL%20007`);
  await page
    .getByRole('main')
    .getByRole('link', { name: /^FL 007 TX/ })
    .click();
  await expect(ahead.getByText(/worked on \(job \d+\) and not read since/)).toBeVisible();
});
