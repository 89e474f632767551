import { expect } from '@playwright/test';
import { SHORT_DWELL, shortDwell } from '../setup/acts.ts';
import { addEntries, chosenJob, handReading, newJob } from '../setup/site.ts';
import type { Hand, Journey } from './walk.ts';

const LIKELY = 'Likely causes';

/** A plate that nobody had before. */
let plates = 10;
const newPlate = (): string => `EF ${plates++} RT`;

/** A vehicle nobody has seen, of a kind that the workshop knows, with its complaint by a chip and a code: to what is likely. */
async function newVehicle(hand: Hand): Promise<void> {
  const { page } = hand;
  await hand.tap(hand.button('New job'));
  await hand.type(page.getByLabel('Plate or vehicle'), newPlate());
  await hand.tap(
    page
      .getByRole('group', { name: /same as/i })
      .getByRole('button')
      .first(),
  );
  await page.waitForURL(/jobs\/[0-9a-f-]{36}/);
  await hand.tap(hand.button('Black smoke: not asked'));
  await hand.tap(hand.button('Save the complaint'));
  // Saved, the intake leads on to the scan.
  await hand.type(page.getByLabel('Scan of every module, before anything is cleared'), 'P2453');
  await hand.tap(hand.button('Save the codes'));
  await hand.sees(page.getByText('Most likely').first());
}

const blocked = async (hand: Hand): Promise<void> => {
  const id = await newJob(hand.page, hand.site, 'HW 52');
  await addEntries(hand.page, hand.site, id, [
    { kind: 'code-scan', when: 'before', codes: [{ code: 'P2453' }] },
    { kind: 'check', check: 'hoses', values: { state: 'off' }, outcome: 'hose-off' },
  ]);
  await hand.page.goto(`${hand.site.address}/jobs/${id}`);
};

/** A vehicle that was here before: complaint, codes, reading, clean, reading, and all that shows it is clean, by the next step. */
async function cleanedAndProved(hand: Hand): Promise<void> {
  const { page } = hand;
  const row = (name: string) => page.getByRole('group', { name, exact: true });
  const next = page.getByRole('region', { name: 'Next step' });
  /** What is next has opened by itself. */
  const led = (title: string) => hand.sees(next.getByText(title, { exact: true }));
  await hand.tap(hand.button('New job'));
  await hand.tap(page.getByRole('dialog').getByRole('button', { name: /FL 012 TX/ }));
  await page.waitForURL(/jobs\/[0-9a-f-]{36}/);
  await hand.tap(hand.button(/^Short trips/));
  await hand.tap(hand.button('Save the complaint'));
  await hand.type(page.getByLabel('Scan of every module, before anything is cleared'), 'P2463');
  await hand.tap(hand.button('Save the codes'));
  await hand.tap(hand.button('I have read this').first());
  await hand.type(row('Idle').getByLabel(/ΔP/), '14');
  await hand.type(row('Hold 1').getByLabel(/ΔP/), '190');
  await hand.tap(hand.button('Enter the before reading'));
  // The hold was read a moment ago; how fast it falls back is new.
  await led('Pipes: return time after release');
  await hand.type(page.getByLabel(/ΔP by eye: seconds/), '0.3');
  await hand.tap(hand.button('Save this check'));
  await hand.tap(hand.button(/^Choose: chemical clean in place/));
  await hand.type(page.getByLabel(/^Filter now/).first(), '24');
  await hand.tap(hand.button(/^Yes to both/));
  await page.getByLabel('Soaking fluid').selectOption(SHORT_DWELL.id);
  await hand.tap(hand.button(/^All \d+ bursts in: start the dwell/));
  await led('Take the after reading');
  await hand.tap(next.getByRole('button', { name: 'Open it' }));
  await hand.type(row('Idle').getByLabel(/ΔP/), '1.8');
  await hand.type(row('Hold 1').getByLabel(/ΔP/), '14');
  await hand.tap(hand.button('Enter the after reading'));
  await led('Prove the ΔP sensor');
  await hand.tap(next.getByRole('button', { name: 'Start this check' }));
  await hand.type(page.getByLabel(/^Known-good.*row 2/i), '14');
  await hand.tap(hand.button('Save this check'));
  await hand.tap(hand.button(/^Checked: each on its port/));
  await hand.type(page.getByLabel(/^Distance/), '12');
  await hand.type(page.getByLabel('Soot counter at the start'), '2');
  await hand.type(page.getByLabel('Soot counter at the end'), '2.4');
  await hand.type(page.getByLabel('Highest before the filter'), '360');
  await hand.tap(hand.button('Save the drive'));
  await hand.tap(hand.button('No codes stored'));
  await hand.sees(page.getByRole('heading', { name: /^Proved: pressure drop at equal flow/ }));
}

export const JOURNEYS: readonly Journey[] = [
  { name: 'New vehicle to its first likely causes', width: 390, most: 8, go: newVehicle },
  {
    name: 'New vehicle to the choice of treatment by a typed reading',
    width: 390,
    most: 13,
    go: async (hand) => {
      const { page } = hand;
      await newVehicle(hand);
      await hand.tap(
        page.getByRole('navigation', { name: 'Stages' }).getByRole('button', { name: /Baseline/ }),
      );
      await hand.tap(hand.button('I have read this').first());
      const row = (name: string) => page.getByRole('group', { name, exact: true });
      await hand.type(row('Idle').getByLabel(/ΔP/), '14');
      await hand.type(row('Hold 1').getByLabel(/ΔP/), '190');
      await hand.tap(hand.button('Enter the before reading'));
      await hand.tap(
        page.getByRole('navigation', { name: 'Stages' }).getByRole('button', { name: /Decide/ }),
      );
      await hand.sees(page.getByRole('heading', { name: /treatment|choice/i }).first());
    },
  },
  {
    name: 'Known vehicle to *proved*: an ordinary clean in place, readings by hand, all evidence',
    width: 390,
    most: 30,
    before: ({ page, site }) => shortDwell(page, site),
    go: cleanedAndProved,
  },
  {
    name: 'A found cause is confirmed',
    width: 1280,
    most: 1,
    before: blocked,
    go: async (hand) => {
      const likely = hand.page.getByRole('list', { name: LIKELY });
      await hand.sees(likely);
      await hand.tap(likely.getByRole('button', { name: 'Confirm this cause' }).first());
      await hand.sees(hand.page.getByText(/Cause confirmed|confirmed/).first());
    },
  },
  {
    name: 'Codes pasted from the tool',
    width: 1280,
    most: 2,
    before: async (hand) => {
      await newJob(hand.page, hand.site, 'HW 52');
      await hand.page.goto(hand.page.url().replace('stage=intake', 'stage=codes'));
    },
    go: async (hand) => {
      await hand.type(
        hand.page.getByLabel('Scan of every module, before anything is cleared'),
        'P2463\nP244A active',
      );
      await hand.tap(hand.button('Save the codes'));
      await hand.sees(hand.page.getByRole('list', { name: LIKELY }));
    },
  },
  {
    name: 'The proposed answer to “may it be driven” is recorded',
    width: 390,
    most: 1,
    before: async (hand) => {
      const id = await newJob(hand.page, hand.site, 'HW 52');
      await addEntries(hand.page, hand.site, id, [
        { kind: 'code-scan', when: 'before', codes: [{ code: 'P2463' }] },
        handReading(190),
      ]);
      await hand.page.goto(`${hand.site.address}/jobs/${id}?stage=decide`);
    },
    go: async (hand) => {
      await hand.tap(hand.button(/^Record/).first());
    },
  },
  {
    name: 'A fill that was given is entered: all in, the dwell runs',
    width: 390,
    most: 1,
    before: async (hand) => {
      const { page, site } = hand;
      const id = await chosenJob(page, site, 'chemical');
      await page.goto(`${site.address}/jobs/${id}?stage=treat`);
      const clean = page.getByRole('region', { name: 'Chemical clean' });
      await clean
        .getByLabel(/^Filter now/)
        .first()
        .fill('24');
      await clean.getByRole('button', { name: /^Yes to both/ }).click();
      await clean.getByText('Ready', { exact: true }).waitFor();
    },
    go: async (hand) => {
      await hand.tap(hand.button(/^All \d+ bursts in: start the dwell/));
      await hand.sees(hand.page.getByText('While it dwells'));
    },
  },
  {
    name: 'A proved job is signed off, and its report opened',
    width: 390,
    most: 3,
    before: async (hand) => {
      await shortDwell(hand.page, hand.site);
      await cleanedAndProved(hand);
    },
    go: async (hand) => {
      const { page } = hand;
      await hand.tap(page.getByRole('region', { name: 'Next step' }).getByRole('button').last());
      await hand.tap(hand.button('Sign off'));
      await hand.tap(page.getByRole('link', { name: 'Open the report' }));
      await hand.sees(page.getByRole('link', { name: 'PDF' }));
    },
  },
  {
    name: 'What a part waits for: a temporary repair with its part on order',
    width: 390,
    most: 4,
    before: async (hand) => {
      await newJob(hand.page, hand.site, 'HW 52');
      await hand.page.goto(hand.page.url().replace('stage=intake', 'stage=treat'));
    },
    go: async (hand) => {
      const { page } = hand;
      await hand.tap(page.getByText('Enter a temporary repair'));
      await hand.type(page.getByLabel('What was done for now'), 'Hose sleeved');
      await hand.type(page.getByLabel('On order', { exact: true }), 'High hose');
      await hand.tap(hand.button('Save, open until settled'));
      await hand.sees(page.getByText(/on order: High hose/));
    },
  },
  {
    name: 'The baseline of a connected vehicle, read live, to its findings',
    width: 820,
    most: 4,
    before: async ({ page, site }) => {
      const id = await newJob(page, site, 'HW 52');
      await page.goto(`${site.address}/jobs/${id}/live`);
      await page.getByLabel('What is wrong with it').selectOption('high-pipe-blocked');
      await page.getByRole('button', { name: 'Set up the simulated vehicle' }).click();
      await page.keyboard.press('k');
      await page.getByText('Ignition on, engine off', { exact: true }).waitFor();
      await page.keyboard.press('3');
    },
    go: async (hand) => {
      const { page } = hand;
      const step = (name: string) =>
        page.getByRole('list', { name: 'Baseline' }).getByRole('listitem').filter({ hasText: name });
      const done = async (name: string): Promise<void> => {
        await expect(step(name)).toContainText('done', { timeout: 60_000 });
      };
      await hand.tap(hand.button(/^Connect/));
      await hand.tap(hand.button(/^Record/));
      await done('Key on');
      // From here to the end the hands are at the vehicle: ignition, engine, throttle.
      await page.keyboard.press('s');
      await done('Warm idle');
      await page.keyboard.press('j');
      await done('First hold');
      await page.keyboard.press('h');
      await done('Second hold');
      await page.keyboard.press('i');
      await page.getByText(/^Engine at 7\d0\srpm/).waitFor();
      await page.keyboard.press('2');
      for (let snap = 1; snap <= 3; snap++) {
        await page.keyboard.press('n');
        await expect(step('Snaps')).toContainText(snap < 3 ? `${snap} of 3` : 'done', { timeout: 20_000 });
        await page.waitForTimeout(1500);
      }
      await page.keyboard.press('o');
      await page.getByText('Ignition off', { exact: true }).first().waitFor();
      await page.keyboard.press('k');
      await done('Key off');
      await hand.tap(hand.button(/^End the recording/));
      await page.waitForURL(/\/logs\?log=/);
      await hand.sees(page.getByText(/ΔP falls to .* as the flow rises/));
      await hand.tap(hand.button('Use these windows as the before reading'));
      await hand.sees(page.getByText(/Entered as the before reading/));
    },
  },
];
