import { type Spoken, spoken } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import { entryBodySchema, type EntryBody, type PartId, type PartState, type Reset } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { madeEntry } from '../testing/madeEntries.ts';
import { madeReading } from '../testing/madeReadings.ts';
import { planResets as planResetsInCodes, type ResetFacts, type ResetStep } from './index.ts';

const planResets = spoken(planResetsInCodes);

const plan = (bodies: readonly EntryBody[], more: Partial<ResetFacts> = {}): Spoken<ResetStep>[] =>
  planResets({
    entries: bodies.map((body, i) => madeEntry(i + 1, body)),
    parts: new Map(),
    causes: [],
    shownAtEqualFlow: true,
    limits: DEFAULT_LIMITS,
    held: () => [],
    ...more,
  });
const step = (reset: Reset, bodies: readonly EntryBody[], more?: Partial<ResetFacts>): Spoken<ResetStep> =>
  plan(bodies, more).find((one) => one.reset === reset) as Spoken<ResetStep>;

const work = (
  kind:
    | 'chemical-clean'
    | 'filter-exchanged'
    | 'off-vehicle-clean'
    | 'oil-changed'
    | 'standing-regeneration'
    | 'cause-repaired',
): EntryBody => ({
  kind: 'work',
  work: kind,
  what: 'x',
});
const sensor: EntryBody = { kind: 'work', work: 'sensor-replaced', what: 'x', part: 'dp-sensor' };
const counted: EntryBody = { ...madeReading('before', { sootG: 30 }), sootCounterG: 36 };
const codes: EntryBody = {
  kind: 'code-scan',
  when: 'before',
  codes: [{ code: 'P2453', status: 'confirmed, present' }],
};
const reset = (which: Reset, sootG?: number): EntryBody => ({
  kind: 'reset',
  reset: which,
  source: 'hand',
  before: { sootG: 36 },
  ...(sootG === undefined ? {} : { after: { sootG } }),
});

describe('what is to be set back', () => {
  it('is nothing where nothing was done', () => {
    expect(plan([counted, codes]).map(({ need }) => need)).toEqual(Array(6).fill('not-due'));
  });

  it.each([
    ['adapt-delta-p', [sensor]],
    ['reset-oil', [work('oil-changed')]],
    ['reset-soot', [counted, work('chemical-clean')]],
    ['new-filter', [work('filter-exchanged')]],
    ['clear-codes', [codes, work('cause-repaired')]],
  ] as const)(
    '%s is due by the work that calls for it, once, with its reason, what is kept and how',
    (which, bodies) => {
      const due = step(which, bodies);
      expect(due.need).toBe('due');
      expect(due.why.length).toBeGreaterThan(20);
      expect(due.keep.length).toBeGreaterThan(0);
      expect(due.how.join(' ')).toMatch(/[Ii]gnition|Engine off/);
      expect(due.how.join(' ')).toMatch(/60 s/);
      expect(step(which, [...bodies, reset(which)]).need).toBe('done');
    },
  );

  it('comes in one order, and what comes first is said at what comes after it', () => {
    const steps = plan([counted, codes, sensor, work('oil-changed'), work('chemical-clean')]).filter(
      ({ need }) => need === 'due',
    );
    expect(steps.map((one) => one.reset)).toEqual([
      'adapt-delta-p',
      'reset-oil',
      'reset-soot',
      'clear-codes',
    ]);
    expect(steps[0]?.warnings).toEqual([]);
    expect(steps[3]?.warnings[0]).toMatch(/zero of the ΔP sensor comes first/);
  });
});

describe('what a reset would hide', () => {
  it('soot: a burn brings its counter down by itself, and nothing was taken out', () => {
    const burnt = step('reset-soot', [counted, work('standing-regeneration')]);
    expect(burnt.need).toBe('not-due');
    expect(burnt.warnings.join()).toMatch(/would hide what is in the filter/);
  });

  it('before the proof it may be done, with the figures of before beside it', () => {
    const early = step('reset-soot', [counted, work('chemical-clean')], { shownAtEqualFlow: false });
    expect(early.warnings.join()).toMatch(/prove it first/);
    expect(early.held).toEqual([]);
  });

  it('ash: only for a filter that was off', () => {
    expect(step('new-filter', [work('chemical-clean')]).held.join()).toMatch(/ash neither burns/);
    expect(step('new-filter', [work('filter-exchanged')]).held).toEqual([]);
    expect(step('new-filter', [work('off-vehicle-clean')]).warnings.join()).toMatch(/ash still in it/);
  });

  it('oil: not without an oil change on the job', () => {
    expect(step('reset-oil', []).held.join()).toMatch(/No oil change on this job/);
    expect(step('reset-oil', [work('oil-changed')]).held).toEqual([]);
  });

  it('a drifting sensor, and gas that stands in a pipe', () => {
    const off = madeReading('before', { sootG: 5, zeroMbar: 34 });
    expect(step('adapt-delta-p', [off]).warnings.join()).toMatch(
      /34 mbar, good is ±10 mbar: learning this would hide/,
    );
    expect(step('adapt-delta-p', [off, sensor]).warnings).toEqual([]);
    const parts = new Map<PartId, { state: PartState }>([['high-pipe', { state: 'failed' }]]);
    expect(step('adapt-delta-p', [sensor], { parts }).held.join()).toMatch(
      /high pipe is failed: trapped gas/,
    );
  });

  it('a fault whose code is active and that nobody repaired', () => {
    const cleaned = [codes, work('chemical-clean')];
    expect(step('clear-codes', cleaned).warnings.join()).toMatch(/P2453 is active and nothing repaired/);
    expect(step('clear-codes', [...cleaned, sensor]).warnings.join()).not.toMatch(/nothing was repaired/);
  });

  it('a leak of the air that would be learned again', () => {
    const causes = [{ cause: 'intake-leak', state: 'confirmed' }];
    expect(step('learned-values', [], { causes }).warnings.join()).toMatch(/learned again/);
    expect(step('learned-values', [], { causes: [{ cause: 'intake-leak', state: 'put-right' }] }).need).toBe(
      'due',
    );
  });

  it('what the interlocks of the treatment hold off is held off here', () => {
    const held = (command: string): string[] => [`${command}: over-full`];
    const all = plan([], { held });
    expect(
      all.filter((one) => one.held.join().includes('reset-counter: over-full')).map((one) => one.reset),
    ).toEqual(['reset-oil', 'reset-soot', 'new-filter']);
    expect(all.find((one) => one.reset === 'clear-codes')?.held).toEqual(['clear-codes: over-full']);
  });
});

describe('figures after a reset', () => {
  it('prove nothing, whether they stand at 0 or at where the computer begins to count', () => {
    expect(step('reset-soot', [counted, work('chemical-clean'), reset('reset-soot', 0)]).worth).toMatch(
      /was at 36.0 g. At 0 g now: that proves nothing/,
    );
    expect(step('reset-soot', [counted, work('chemical-clean'), reset('reset-soot', 4)]).worth).toMatch(
      /4.0 g now, where this ECU starts counting/,
    );
    expect(step('clear-codes', [codes, reset('clear-codes')]).worth).toMatch(/proves nothing/);
  });

  it('are kept with the entry, refused where they are no figure', () => {
    expect(entryBodySchema.safeParse(reset('reset-soot', 0)).success).toBe(true);
    expect(entryBodySchema.safeParse({ ...reset('reset-soot'), before: { sootG: 'full' } }).success).toBe(
      false,
    );
    expect(entryBodySchema.safeParse({ ...reset('reset-soot'), before: { oil: 3 } }).success).toBe(false);
  });
});
