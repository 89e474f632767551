import { chosenJob, expect, goTo, signIn, test } from './setup/site.ts';

test('off the vehicle: parts as they come off, the filter weighed, a sensor that snaps, and all on again in reverse', async ({
  page,
  site,
}) => {
  test.setTimeout(150_000);
  await signIn(page, site);
  const id = await chosenJob(page, site, 'off-vehicle', { dpMbar: 40 });
  await goTo(page, site, `/jobs/${id}?stage=treat`);

  // A hot filter keeps the spanners off.
  await expect(page.getByText('Answer the questions and read the caution')).toBeVisible();
  const asked = page.getByRole('region', { name: 'Before it begins' });
  for (const group of await asked.getByRole('group').all())
    await group.getByRole('button', { name: 'Yes' }).click();
  await page.getByLabel(/^Filter now/).fill('180');
  await page.getByRole('button', { name: 'Enter the answers' }).click();
  await expect(
    page.getByText('The filter is at 180 °C; up to 45 °C is safe to work on: let it cool.'),
  ).toBeVisible();
  await page.getByLabel(/^Filter now/).fill('30');
  await page.getByRole('button', { name: 'Enter the answers' }).click();
  const offStep = page.getByRole('region', { name: 'Off', exact: true });
  await offStep.getByRole('button', { name: 'I have read this' }).click();

  const form = page.getByRole('form', { name: 'Remove a part' });
  await form.getByRole('button', { name: 'Engine mount' }).click();
  await form.getByLabel(/^Fasteners/).fill('2');
  await form.getByLabel(/^Torque/).fill('5000');
  await form.getByRole('button', { name: 'Removed' }).click();
  await expect(form.getByText('✕ Torque: 0.5 to 600 N·m')).toBeVisible();
  await form.getByLabel(/^Torque/).fill('90');
  await form.getByRole('button', { name: 'Removed' }).click();
  await expect(form).toContainText('Part 2 comes off');
  await form.getByRole('button', { name: 'EGT before the filter' }).click();
  await form.getByRole('button', { name: 'Removed' }).click();
  await form.getByRole('button', { name: 'Front pipe' }).click();
  await form.getByLabel(/^Its number/).fill('QF-118');
  await form.getByRole('button', { name: 'Removed' }).click();
  await expect(page.getByRole('list', { name: 'Off so far' }).getByRole('listitem')).toHaveText([
    /1\s*Engine mount, safety-critical/,
    /2\s*EGT before the filter/,
    /3\s*Front pipe/,
  ]);

  // The sensor snapped: a part on order, and nothing goes on again before it is put right.
  await page.getByText('Something broke', { exact: true }).click();
  const broke = page.getByRole('form', { name: 'Something broke' });
  await expect(broke).toContainText('check the thread pitch first');
  await broke.getByLabel(/^Which/).fill('EGT 3');
  await broke.getByLabel(/^Thread/).fill('M14 × 1.5');
  await broke.getByLabel(/^On order/).fill('EGT sensor, long cable');
  await broke.getByRole('button', { name: /open until settled/ }).click();
  const toBuy = page.getByRole('list', { name: 'Parts to have' });
  await expect(toBuy).toContainText('seal for Front pipe, no. QF-118');
  await expect(toBuy).toContainText('EGT sensor, long cable, on order');
  const on = page.getByRole('region', { name: 'On again' });
  await expect(on).toContainText('EGT 3 broke and is not repaired.');
  await expect(on.getByRole('button', { name: 'Refitted' })).toHaveCount(0);

  // Weighed dry, cleaned, and wet it does not go back.
  const before = page.getByRole('form', { name: 'Filter before the clean' });
  await before.getByLabel(/^Mass/).fill('9.42');
  await before.getByRole('button', { name: 'Enter it' }).click();
  await expect(before.getByText('✕ Say whether it was dry: water weighs more than soot')).toBeVisible();
  await before.getByLabel(/^It is/).selectOption('dry');
  await before.getByLabel(/^Outlet face/).selectOption('clean');
  await before.getByRole('button', { name: 'Enter it' }).click();
  const wet = page.getByRole('region', { name: 'Soak, rinse, dry' });
  await wet.getByRole('button', { name: 'I have read this' }).click();
  await wet.getByRole('button', { name: 'Start the soak' }).click();
  await expect(page.getByText('Soak, the filter, off the vehicle')).toBeVisible();
  await wet.getByRole('button', { name: 'Runs clear: cleaned' }).click();
  await expect(on).toContainText('The filter has not been weighed and inspected after the clean.');
  const after = page.getByRole('form', { name: 'Filter after the clean' });
  await after.getByLabel(/^Mass/).fill('9.3');
  await after.getByLabel(/^It is/).selectOption('dry');
  await after.getByRole('button', { name: 'Enter it' }).click();
  await expect(page.getByText(/^The clean took out 120\sg, weighed dry to ± 5\sg\.$/)).toBeVisible();
  await expect(page.getByText(/is not soot by the last reading: ash and oil/)).toBeVisible();

  // Settled, it goes on again: the last off first.
  await page.getByLabel('Settled by').fill('New boss, long sensor');
  await page.getByRole('button', { name: 'Settled', exact: true }).click();
  const refit = page.getByRole('list', { name: 'Refit' });
  await expect(refit.getByRole('listitem').first()).toContainText('Front pipe came off as number 3');
  await refit.getByRole('listitem').first().getByRole('button', { name: 'Refitted' }).click();
  await expect(refit.getByRole('listitem').first()).toContainText('single-use parts not renewed');
  await refit.getByLabel('New single-use parts').check();
  await refit.getByRole('button', { name: 'Enter it again' }).click();
  await refit.getByLabel('Plugged in: EGT 3').check();
  await refit.getByRole('listitem').first().getByRole('button', { name: 'Refitted' }).click();
  const mount = refit.getByRole('listitem').first();
  await expect(mount).toContainText('Safety-critical: sign off each fastener.');
  await expect(mount.getByRole('button', { name: 'Sign for 1' })).toBeDisabled();
  await mount.getByRole('button', { name: 'Refitted' }).click();
  await mount.getByRole('button', { name: 'Sign for 1' }).click();
  await expect(mount).toContainText('torque not signed off: fastener 2 of 2');
  await mount.getByRole('button', { name: 'Sign for 2' }).click();
  await expect(page.getByText('Everything is refitted.')).toBeVisible();

  // The report has it.
  await page.goto(`${site.address}/jobs/${id}/report`);
  await expect(page.getByText('3 parts removed and refitted in reverse order.')).toBeVisible();
  await expect(
    page.getByText(
      /Safety-critical fasteners signed off: Engine mount 1: 90\sN·m, .*; Engine mount 2: 90\sN·m/,
    ),
  ).toBeVisible();
  await expect(page.getByText(/^The clean took out 120\sg/)).toBeVisible();
});
