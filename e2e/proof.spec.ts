import { PROVEN_PATH } from '@white-ember/core/testing';
import { addEntries, expect, handReading, newJob, openJob, signIn, stage, test } from './setup/site.ts';

test('a counter is set back by the link: what stood there is kept, what it would hide is asked about, and the proof says what it is worth', async ({
  page,
  site,
}) => {
  test.setTimeout(120_000);
  await signIn(page, site);
  const id = await newJob(page, site, 'FL 012');
  await addEntries(page, site, id, [
    handReading(46),
    { kind: 'work', work: 'chemical-clean', what: 'One fill', by: 'high-pipe' },
    ...PROVEN_PATH,
    handReading(11, 'between'),
  ]);
  await page.goto(`${site.address}/jobs/${id}/live`);
  await page.getByRole('button', { name: 'Set up the simulated vehicle' }).click();
  await page.keyboard.press('k');
  await expect(page.getByText('Ignition on, engine off', { exact: true })).toBeVisible();
  await page.keyboard.press('c');
  await expect(page.getByText(/The tool takes it for/)).toBeVisible();
  const computer = page.getByRole('region', { name: 'ECU' });
  const act = computer.getByRole('button', { name: 'Do it' });

  // Ash does not come out in place, and the oil was not changed: held off, each by its own reason.
  const ask = computer.getByLabel('Ask it to');
  await ask.selectOption({ label: 'Register a new filter' });
  await expect(computer).toContainText('ash neither burns nor comes out in place');
  await expect(act).toBeDisabled();
  await ask.selectOption({ label: 'Reset the oil counter' });
  await expect(computer).toContainText('No oil change on this job');

  // Before the proof it may be done, with the reason.
  await ask.selectOption({ label: 'Set the soot counter to 0' });
  await expect(computer).toContainText('prove it first');
  await expect(act).toBeDisabled();
  await computer.getByLabel('Reason for doing it anyway').fill('The next burn would be misled');
  await act.click();
  await expect(computer).toContainText('Nothing in the filter has changed.');
  await expect(page.getByText(/Soot counter reset, \d.* → \d.*\sg: entered/)).toBeVisible();

  await addEntries(page, site, id, [handReading(11, 'after')]);
  await page.goto(`${site.address}/jobs/${id}?stage=prove`);
  const resets = page.getByRole('region', { name: 'Resets' });
  await expect(resets).toContainText(
    /It was at \d+\.\d\sg\. At 0\sg now: that proves nothing; the drive does\./,
  );

  // Somebody did what is held off with a tool of their own: it is written down, with what had spoken against it.
  await resets.getByText(/^No reset \(/).click();
  const filter = resets.getByRole('listitem').filter({ hasText: 'New filter registered in the ECU' });
  await filter.getByText('New filter registered in the ECU').click();
  await filter.getByText('Done anyway, with another tool').click();
  const enter = filter.getByRole('button', { name: 'Save: done anyway' });
  await enter.click();
  await expect(filter).toContainText('Reason for doing it anyway');
  await filter.getByLabel('Reason for doing it anyway').fill('Done by the customer before');
  await enter.click();
  await expect(resets.getByText('New filter registered in the ECU.', { exact: true })).toBeVisible();
  const { entries } = (await (await page.request.get(`${site.address}/api/jobs/${id}`)).json()) as {
    entries: { body: { kind: string; reset?: string; against?: string[] } }[];
  };
  const kept = entries.find(({ body }) => body.reset === 'new-filter');
  expect(kept?.body.against?.join(' ')).toContain('ash neither burns');
});

test('a proof that the next visit contradicts is opened again, and says by which', async ({ page, site }) => {
  await signIn(page, site, 'Imke');
  await page.goto(`${site.address}/jobs?show=all&find=FL+019`);
  const opened = page.getByRole('link', { name: /^FL 019 TX/ }).filter({ hasText: 'Reopened by job' });
  await expect(opened).toHaveCount(1);
  await opened.click();
  await stage(page, 'Prove');
  const notice = page.getByRole('alert').filter({ hasText: 'Contradicted by the next visit' });
  await expect(notice).toContainText(/1800\skm later \(within 2500\skm it cancels the proof\)/);
  await notice.getByRole('link', { name: /Open job/ }).click();
  // The job of the next visit, by its distance in the head of the page.
  await expect(page.getByText(/95[\s,]?600\skm/).first()).toBeVisible();
});

test('a customer reports the drive and the lamps: it counts, is marked, and lowers the confidence', async ({
  page,
  site,
}) => {
  await signIn(page, site);
  await openJob(page, site, 'BC 44 HV', 'prove');
  await page.getByRole('button', { name: 'Customer reports: no lamp, no message' }).click();
  const known = page.getByRole('complementary', { name: 'What we know' });
  await expect(known).toContainText('No lamp and no message after the drive, reported by the customer');
  await page.getByText('Why', { exact: true }).click();
  await expect(page.getByText(/lamps reported by the customer; no scan/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(known).toContainText('Scan again after the drive');
});
