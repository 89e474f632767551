import { inEnglish, spoken } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import { deriveJob as deriveJobInCodes } from '../job/index.ts';
import { happenedAt, TREATMENTS, type EntryBody, type Treatment } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { DISPLACEMENT_L, FILTER, madeEntry, madeId, madeReading } from '../testing/index.ts';
import {
  adviseSecondRun as adviseSecondRunInCodes,
  rankTreatments as rankTreatmentsInCodes,
  READY_FIGURES,
  READY_FOR,
  READY_QUESTIONS,
  readinessOf as readinessOfInCodes,
  type SecondRunAdvice,
} from './index.ts';

const deriveJob = spoken(deriveJobInCodes);
const adviseSecondRun = spoken(adviseSecondRunInCodes);
const rankTreatments = spoken(rankTreatmentsInCodes);
const readinessOf = spoken(readinessOfInCodes);

const factsOf = (bodies: readonly EntryBody[]) => {
  const entries = bodies.map((body, i) => madeEntry(i + 1, body));
  return {
    derived: deriveJob({
      entries,
      limits: DEFAULT_LIMITS,
      displacementL: DISPLACEMENT_L,
      geometry: FILTER,
    }),
    limits: DEFAULT_LIMITS,
    filter: { ...FILTER, material: 'silicon-carbide' as const },
    displacementL: DISPLACEMENT_L,
  };
};

const ready = (
  treatment: Treatment,
  answers: Record<string, boolean | number> = {},
  more: { helper?: string } = {},
): EntryBody => ({
  kind: 'made-ready',
  treatment,
  answers: {
    ...Object.fromEntries(READY_FOR[treatment].questions.map((id) => [id, true])),
    ...Object.fromEntries(READY_FOR[treatment].figures.map((id) => [id, id === 'filterC' ? 25 : 60])),
    ...answers,
  },
  ...more,
});

describe('what stands ready before a treatment', () => {
  it.each(TREATMENTS)('%s: all is missing before it is asked, nothing after', (treatment) => {
    const { questions, figures, helper } = READY_FOR[treatment];
    const before = readinessOf(treatment, factsOf([]));
    expect(before.missing).toHaveLength(questions.length + figures.length + (helper ? 1 : 0));
    const after = readinessOf(treatment, factsOf([ready(treatment, {}, { helper: 'Ida Brook' })]));
    expect(after).toMatchObject({ held: [], missing: [] });
  });

  it.each(
    TREATMENTS.flatMap((treatment) => READY_FOR[treatment].questions.map((id) => [treatment, id] as const)),
  )('%s is held off by a no to “%s”, with the reason', (treatment, id) => {
    const { held } = readinessOf(treatment, factsOf([ready(treatment, { [id]: false }, { helper: 'x' })]));
    expect(held).toEqual([{ id: 'site-unsafe', text: inEnglish(READY_QUESTIONS[id].no) }]);
  });

  it.each([
    ['standing', 'fuelPercent', 8, 'fuel-low', '8 %'],
    ['standing', 'oilPercent', 10, 'oil-low', '10 %'],
    ['chemical', 'filterC', 90, 'filter-hot', '90 °C; up to 45 °C'],
  ] as const)('%s: %s of %d', (treatment, figure, value, id, words) => {
    const { held } = readinessOf(treatment, factsOf([ready(treatment, { [figure]: value })]));
    expect(held).toMatchObject([{ id }]);
    expect(held[0]?.text).toContain(words);
    expect(READY_FIGURES[figure].unit).not.toBe('');
  });

  it('goes by the fluid’s sheet where that allows a warm filter', () => {
    const facts = { ...factsOf([ready('chemical', { filterC: 90 })]), filterUpToC: 120 };
    expect(readinessOf('chemical', facts).held).toEqual([]);
  });

  it('a check that found the tank low counts until a figure is given', () => {
    const tank: EntryBody = { kind: 'check', check: 'fuel-level', values: { fuelPercent: 5 } };
    const asked = ready('standing');
    if (asked.kind !== 'made-ready') throw new Error('no');
    const { fuelPercent: _, ...rest } = asked.answers;
    expect(readinessOf('standing', factsOf([tank, { ...asked, answers: rest }])).held).toMatchObject([
      { id: 'fuel-low' },
    ]);
    expect(readinessOf('standing', factsOf([tank, asked])).held).toEqual([]);
  });

  it('has to be answered again after an hour, and for each treatment by itself', () => {
    const facts = factsOf([ready('standing')]);
    const at = happenedAt(facts.derived.entries[0] as never);
    expect(readinessOf('standing', facts, at + 59 * 60_000).missing).toEqual([]);
    expect(readinessOf('standing', facts, at + 61 * 60_000).missing).toMatchObject([
      /61 min ago; valid for 60 min/,
    ]);
    expect(readinessOf('drive', facts, at).missing.length).toBeGreaterThan(0);
  });

  it('on the road nobody is alone', () => {
    expect(readinessOf('drive', factsOf([ready('drive')])).held).toMatchObject([{ id: 'no-helper' }]);
  });

  it('shows in the choice, which may be made all the same', () => {
    const sound: EntryBody = { kind: 'part-state', part: 'dp-sensor', state: 'sound', why: 'Pump ladder' };
    const facts = factsOf([sound, madeReading('before', { sootG: 8 }), ready('standing', { clear: false })]);
    const standing = rankTreatments(facts).find(({ treatment }) => treatment === 'standing');
    expect(standing?.held).toMatchObject([{ id: 'site-unsafe', overridable: true }]);
  });
});

describe('another run', () => {
  const sound: EntryBody = { kind: 'part-state', part: 'dp-sensor', state: 'sound', why: 'Pump ladder' };
  const burn: EntryBody = { kind: 'work', work: 'standing-regeneration', what: 'Commanded', begun: true };
  const end = (n: number, more: Partial<Extract<EntryBody, { kind: 'burn-ended' }>> = {}): EntryBody => ({
    kind: 'burn-ended',
    burn: madeId(n),
    how: 'by-itself',
    source: 'live',
    minutes: 22,
    sootBeforeG: 12,
    sootLeftG: 2,
    ...more,
  });
  const advice = (...bodies: EntryBody[]): SecondRunAdvice | undefined => adviseSecondRun(factsOf(bodies));
  const before = madeReading('before', { sootG: 12 });

  it('is no matter before the first', () => expect(advice(sound, before)).toBeUndefined());
  it('waits for the end of the last, and for a reading after it', () => {
    expect(advice(sound, before, burn)).toMatchObject({ another: 'read-first' });
    expect(advice(sound, before, burn, end(3))?.reasons[0]).toMatch(/No reading since the last regeneration/);
  });
  it('takes a burn that was entered as done for what it is', () => {
    const done: EntryBody = { kind: 'work', work: 'standing-regeneration', what: 'Done by another workshop' };
    expect(advice(sound, before, done)?.reasons[0]).toMatch(/No reading since the last regeneration/);
    expect(advice(sound, before, done, madeReading('between', { sootG: 7 }))).toMatchObject({
      another: 'yes',
    });
  });
  it('is not needed where it is clean', () => {
    const done = advice(sound, before, burn, end(3), madeReading('between', { sootG: 0.5 }));
    expect(done).toMatchObject({ another: 'no' });
    expect(done?.reasons[0]).toMatch(/g are left by the pressure.*: enough/);
  });
  it('is worth it while soot is left, with everything asked again', () => {
    const more = advice(sound, before, burn, end(3), madeReading('between', { sootG: 7 }));
    expect(more).toMatchObject({ another: 'yes' });
    expect(more?.reasons.at(-1)).toMatch(/read its cautions/);
  });
  it('says that what stopped the last is to be put right first', () => {
    const more = advice(
      sound,
      before,
      burn,
      end(3, { how: 'stopped', why: 'coolant' }),
      madeReading('between', { sootG: 7 }),
    );
    expect(inEnglish(more?.reasons)?.join(' ')).toMatch(/stopped: coolant\. Fix that first/);
  });
  it('does no more where the last did next to nothing', () => {
    const no = advice(sound, before, burn, end(3), madeReading('between', { sootG: 11.5 }));
    expect(no).toMatchObject({ another: 'no' });
    expect(inEnglish(no?.reasons)?.join(' ')).toMatch(/under 15 % another gains nothing/);
  });
  it('is no third', () => {
    const no = advice(sound, before, burn, end(3), burn, end(5), madeReading('between', { sootG: 7 }));
    expect(no?.reasons[0]).toMatch(/2 regenerations done; at most 2/);
  });
  it('is held off by all that holds a burn off, and after a fire', () => {
    expect(advice(sound, before, burn, end(3), madeReading('between', { sootG: 40 }))?.reasons[0]).toMatch(
      /at most 7 g\/L allowed/,
    );
    expect(advice(sound, before, burn, end(3, { how: 'fire' }))).toMatchObject({ another: 'no' });
  });
});
