import { expect, openJob, signIn, tabTo, test } from './setup/site.ts';

test('who is next, who comes back and why: the fleet, and its list of what is to be done', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await page.getByRole('link', { name: 'Fleet' }).click();
  const next = page.getByRole('region', { name: 'Due next', exact: true });
  // Every outlook is made in turns; the page asks again until all are there.
  await expect(next.getByRole('status')).toHaveText(
    /^1\d vehicles with a forecast; \d+ have no forecast yet[^…]*$/,
    {
      timeout: 60_000,
    },
  );
  const rows = next.getByRole('list').first().getByRole('listitem');
  await expect(rows.filter({ hasText: 'FL 003 TX' })).toContainText(/Due around|Late: due by its trend/);

  // Opened by keyboard to its restriction over distance, with the table behind it.
  const row = next.getByRole('button', { name: /^FL 003 TX/ });
  await row.focus();
  await page.keyboard.press('Enter');
  await expect(row).toHaveAttribute('aria-expanded', 'true');
  await expect(next.getByRole('img', { name: /Restriction over distance at 3 visits/ })).toBeVisible();
  await expect(next.getByText(/^Regenerations more frequent: every 240\skm/)).toBeVisible();
  await tabTo(page, next.getByText('The chart as a table'));
  await page.keyboard.press('Enter');
  await expect(next.getByRole('row')).toHaveCount(4);

  await next.getByRole('button', { name: 'Most likely to return' }).click();
  await expect(page).toHaveURL(/order=comes-back/);
  await expect(rows.first()).toContainText(/\d\d\s%/);
  await next.getByLabel('Engine family').selectOption('Corrin 1.5');
  await expect(rows).toHaveCount(2);

  // A clean that did not hold, and why: known and left.
  const back = page.getByRole('region', { name: 'Returns and reasons' });
  await expect(back).toContainText(/FL 019 TX back after 1.?800\skm/);
  await expect(back).toContainText(
    'Glow plugs or their relay have failed, known and left at the previous visit.',
  );
  await expect(page.getByRole('region', { name: 'Causes by family' })).toContainText(
    /Corrin 1.5[\s\S]*Glow plugs or their relay/,
  );

  // Done is an entry of the job like any other: it can be taken back.
  const todo = page.getByRole('region', { name: 'To do' });
  const task = todo.getByRole('listitem').filter({ hasText: 'Motorway run of half an hour' });
  await expect(task).toContainText(/about \d+ \w+ 20\d\d, at 132.000\skm/);
  await todo.getByRole('button', { name: /^Done: FL 003 TX, Motorway run/ }).click();
  await expect(task).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(task).toHaveCount(1);
  const href = (await todo.getByRole('link', { name: 'Calendar file' }).getAttribute('href')) ?? '';
  const calendar = await page.request.get(`${site.address}${href}`);
  expect(calendar.headers()['content-type']).toMatch(/^text\/calendar/);
  expect(await calendar.text()).toContain('BEGIN:VEVENT');
});

test('a follow-up is set by keyboard on a job that is signed off, and stands with its vehicle until it is done', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await openJob(page, site, 'FL 003 TX', 'hand-over');
  const followUps = page.getByRole('region', { name: 'Follow-ups' });
  await expect(followUps).toContainText(/Change the oil.*at 131.400\skm/s);
  const what = followUps.getByLabel('To be done');
  await tabTo(page, what);
  await page.keyboard.type('Ask how it pulls');
  await tabTo(page, followUps.getByLabel('Or at'));
  await page.keyboard.type('far');
  await tabTo(page, followUps.getByRole('button', { name: 'Set the follow-up' }));
  await page.keyboard.press('Enter');
  await expect(followUps.getByText('✕ Distance: enter a number')).toBeVisible();
  await followUps.getByLabel('Or at').fill('130500');
  await followUps.getByRole('button', { name: 'Set the follow-up' }).click();
  await expect(followUps.getByText('Ask how it pulls')).toBeVisible();
  await page.goto(`${site.address}/vehicles?find=FL%20003`);
  await page
    .getByRole('main')
    .getByRole('link', { name: /^FL 003 TX/ })
    .click();
  const todo = page.getByRole('region', { name: 'To do' });
  await todo.getByRole('button', { name: /^Done: FL 003 TX, Ask how it pulls/ }).click();
  await expect(todo.getByText('Ask how it pulls')).toHaveCount(0);

  // The vehicle over the years: all jobs on one tape, its filter, parts and notes.
  const road = page.getByRole('region', { name: 'All jobs by distance' });
  await expect(road.getByRole('link')).toHaveCount(3);
  await expect(road.getByRole('link').first()).toHaveAccessibleName(
    /^\d+ burn .*, filter regenerated, job at 71.200\skm$/,
  );
  const filter = page.getByRole('region', { name: 'The filter over time' });
  await expect(filter.getByRole('row')).toHaveCount(4);
  await expect(page.getByRole('region', { name: 'Notes' })).toBeVisible();
});
