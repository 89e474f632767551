import { inEnglish, spoken } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import { deriveJob as deriveJobInCodes } from '../job/index.ts';
import type { EntryBody, Treatment } from '../ledger/index.ts';
import { filterByEngine } from '../filter/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { valueOf } from '../quantities/index.ts';
import { DISPLACEMENT_L, FILTER, madeEntry, madeReading } from '../testing/index.ts';
import {
  burnOfJob as burnOfJobInCodes,
  forecastBurn,
  rankTreatments as rankTreatmentsInCodes,
  type BurnForecast,
  type TreatmentOption,
  type TreatmentQuestion,
} from './index.ts';

const deriveJob = spoken(deriveJobInCodes);
const burnOfJob = spoken(burnOfJobInCodes);
const rankTreatments = spoken(rankTreatmentsInCodes);

const SILICON = { ...FILTER, material: 'silicon-carbide' } as const;
const SENSOR_SOUND: EntryBody = { kind: 'part-state', part: 'dp-sensor', state: 'sound', why: 'Pump ladder' };

const question = (
  bodies: readonly EntryBody[],
  more: Partial<TreatmentQuestion> & { readonly causes?: Record<string, number> } = {},
): TreatmentQuestion => ({
  derived: deriveJob({
    entries: bodies.map((body, i) => madeEntry(i + 1, body)),
    limits: DEFAULT_LIMITS,
    displacementL: DISPLACEMENT_L,
    geometry: FILTER,
  }),
  limits: DEFAULT_LIMITS,
  filter: SILICON,
  displacementL: DISPLACEMENT_L,
  likely: new Map(Object.entries(more.causes ?? { 'soot-loaded': 0.95 })),
  ...more,
});
const ranked = (...args: Parameters<typeof question>): readonly TreatmentOption[] =>
  rankTreatments(question(...args));
const option = (options: readonly TreatmentOption[], treatment: Treatment): TreatmentOption => {
  const one = options.find((some) => some.treatment === treatment);
  if (!one) throw new Error(treatment);
  return one;
};
const heldIds = (options: readonly TreatmentOption[], treatment: Treatment): string[] =>
  option(options, treatment).held.map(({ id }) => id);

const few = madeReading('before', { sootG: 8 });
const many = madeReading('before', { sootG: 30 });

describe('which treatment comes first', () => {
  it('a drive where the soot is moderate and the sensor is proven', () => {
    const [first] = ranked([SENSOR_SOUND, few]);
    expect(first).toMatchObject({ treatment: 'drive', held: [] });
  });

  it('a chemical clean where there is too much to burn: burns are refused with value and limit', () => {
    const options = ranked([SENSOR_SOUND, many]);
    expect(options[0]?.treatment).toBe('chemical');
    expect(heldIds(options, 'standing')).toContain('over-full');
    expect(option(options, 'standing').held[0]?.text).toMatch(/g\/L.*at most 7 g\/L.*chemically first/);
  });

  it('off the vehicle where it is ash, or where the clean in place has failed twice', () => {
    expect(ranked([SENSOR_SOUND, many], { causes: { 'ash-full': 0.95 } })[0]?.treatment).toBe('off-vehicle');
    const clean: EntryBody = { kind: 'work', work: 'chemical-clean', what: 'A fill' };
    const once = option(ranked([SENSOR_SOUND, many, clean]), 'chemical').chance;
    const twice = ranked([SENSOR_SOUND, many, clean, clean, clean]);
    expect(option(twice, 'chemical').chance).toBeLessThan(once);
    expect(twice[0]?.treatment).toBe('off-vehicle');
  });

  it('another filter where it is cracked, nothing where the filter is most likely sound', () => {
    expect(ranked([SENSOR_SOUND, few], { causes: { 'filter-cracked': 0.97 } })[0]?.treatment).toBe(
      'exchange',
    );
    const [first] = ranked([SENSOR_SOUND, few], {
      causes: { 'high-pipe-blocked': 0.97, 'soot-loaded': 0.05 },
    });
    expect(first).toMatchObject({ treatment: 'nothing', held: [] });
  });

  it('each option has a chance, what it takes, reasons and risks', () => {
    for (const { chance, cost, reasons, risks, treatment } of ranked([SENSOR_SOUND, few])) {
      expect(chance).toBeGreaterThanOrEqual(0);
      expect(chance).toBeLessThanOrEqual(1);
      expect(reasons.length).toBeGreaterThan(0);
      expect(risks.length).toBeGreaterThan(0);
      expect(cost > 0).toBe(treatment !== 'nothing');
    }
  });

  it('prices and minutes are those of the profile', () => {
    const dearer = question([SENSOR_SOUND, few]);
    const at = (labourPerHour: number): number =>
      option(rankTreatments({ ...dearer, limits: { ...DEFAULT_LIMITS, labourPerHour } }), 'standing').cost;
    expect(at(120) - at(60)).toBeCloseTo((60 * DEFAULT_LIMITS.standingMinutes) / 60, 6);
  });
});

describe('what holds a burn off, beyond the load', () => {
  const hot: BurnForecast = {
    sootG: 16,
    sootLeftG: 0.1,
    plannedPeakC: 680,
    dropPeakC: 1042,
    limitC: 1000,
  };

  it('the drop to idle by the burn model, said with both temperatures', () => {
    const options = ranked([SENSOR_SOUND, few], { forecast: hot });
    expect(option(options, 'drive').held).toMatchObject([
      { id: 'drop-too-hot', text: expect.stringMatching(/1042 °C.*1000 °C/) as string },
    ]);
    expect(heldIds(ranked([SENSOR_SOUND, few], { forecast: { ...hot, dropPeakC: 990 } }), 'drive')).toEqual(
      [],
    );
  });

  it('oil in the exhaust: seen, said, or likely enough; not once it is put right', () => {
    const oily: EntryBody = {
      kind: 'check',
      check: 'filter-look',
      values: { inlet: 'oily', outlet: 'clean' },
    };
    expect(heldIds(ranked([SENSOR_SOUND, few, oily]), 'drive')).toContain('oil-in-exhaust');
    const causes = { 'soot-loaded': 0.9, 'oil-in-exhaust': 0.4 };
    expect(heldIds(ranked([SENSOR_SOUND, few], { causes }), 'standing')).toContain('oil-in-exhaust');
    const said = (state: 'confirmed' | 'put-right'): EntryBody => ({
      kind: 'cause',
      cause: 'oil-in-exhaust',
      state,
      why: 'Oil at the turbine',
    });
    expect(heldIds(ranked([SENSOR_SOUND, few, said('confirmed')]), 'drive')).toContain('oil-in-exhaust');
    expect(heldIds(ranked([SENSOR_SOUND, few, said('put-right')], { causes }), 'drive')).toEqual([]);
  });

  it('what the ECU waits for', () => {
    const inhibitors = ['The tank is nearly empty'];
    const [held] = option(ranked([SENSOR_SOUND, few], { inhibitors }), 'drive').held;
    expect(held).toMatchObject({ id: 'inhibited', text: expect.stringContaining('tank') as string });
    expect(heldIds(ranked([SENSOR_SOUND, few], { inhibitors }), 'chemical')).toEqual([]);
  });

  it('a found cause that is not repaired holds every treatment, but may be taken on knowingly', () => {
    const leak: EntryBody = {
      kind: 'cause',
      cause: 'intake-leak',
      state: 'confirmed',
      why: 'Smoke at the duct',
    };
    const options = ranked([SENSOR_SOUND, few, leak]);
    for (const treatment of ['drive', 'chemical', 'exchange'] as const)
      expect(option(options, treatment).held).toMatchObject([{ id: 'cause-open', overridable: true }]);
    expect(heldIds(options, 'nothing')).toEqual([]);
    // It is no reason to prefer another treatment.
    expect(options[0]?.treatment).toBe('drive');
    const repaired: EntryBody = { kind: 'work', work: 'cause-repaired', what: 'New duct' };
    expect(heldIds(ranked([SENSOR_SOUND, few, leak, repaired]), 'drive')).toEqual([]);
  });

  it('a sensor that is not proven: no burn on a soot that nobody knows', () => {
    expect(heldIds(ranked([few]), 'drive')).toEqual(['pressure-unproven']);
    expect(heldIds(ranked([few]), 'chemical')).toEqual([]);
  });
});

describe('the burn of a job', () => {
  it('is planned with the upper end of its soot and the flow of its hold, and forecast by the model', () => {
    const burn = burnOfJob(question([SENSOR_SOUND, few]));
    if (!burn) throw new Error('no burn');
    expect(burn.plan.sootG).toBeGreaterThan(8);
    expect(burn.plan.exhaustKgPerS).toBeGreaterThan(0.02);
    const forecast = valueOf(forecastBurn(burn, DEFAULT_LIMITS));
    expect(forecast.dropPeakC).toBeGreaterThanOrEqual(forecast.plannedPeakC);
    expect(forecast.plannedPeakC).toBeGreaterThan(DEFAULT_LIMITS.burnTargetC - 5);
  });

  it('is none where nothing was read; an assumed size it says', () => {
    expect(burnOfJob(question([SENSOR_SOUND]))).toBeUndefined();
    const assumed = burnOfJob({
      ...question([SENSOR_SOUND, few]),
      filter: filterByEngine(DISPLACEMENT_L, DEFAULT_LIMITS.filterPerEngineSize),
    });
    expect(inEnglish(assumed?.assumptions ?? []).join(' ')).toContain(
      'Filter size taken as 2.5 L, by engine size',
    );
  });
});
