import { spoken } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import { benchFamily, BenchVehicle, Driver, type Fault, type Wish } from '../bench/index.ts';
import { filterVolumeL } from '../filter/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { valueOf } from '../quantities/index.ts';
import { watchBench } from '../testing/burntVehicle.ts';
import {
  estimateBed,
  judgeBurnRun as judgeBurnRunInCodes,
  type BurnMoment,
  type BurnRule,
  type BurnState,
  type JobBurn,
} from './index.ts';

const judgeBurnRun = spoken(judgeBurnRunInCodes);

const TARN = benchFamily('Tarn 2.0') as NonNullable<ReturnType<typeof benchFamily>>;
const VOLUME_L = filterVolumeL(TARN.filter);

const burnOf = (sootG: number): JobBurn => ({
  plan: {
    filter: TARN.filter,
    catalyst: 'coated',
    sootG,
    ashG: 0,
    targetC: 600,
    exhaustKgPerS: 0.05,
    oxygenPercent: 10,
  },
  displacementL: 2,
  assumptions: [],
});

interface Watched {
  readonly states: readonly { readonly atS: number; readonly state: BurnState; readonly trueBedC: number }[];
  readonly vehicle: BenchVehicle;
  readonly moments: readonly BurnMoment[];
}

/** A warm vehicle, told to burn standing, judged every ten seconds; a wish may take the foot off. */
function watched(
  gPerL: number,
  {
    faults = [],
    wish = () => ({ do: 'idle' }) as const,
    seconds = 1200,
  }: {
    faults?: readonly Fault[];
    wish?: (vehicle: BenchVehicle) => Wish;
    seconds?: number;
  } = {},
): Watched {
  const sootG = gPerL * VOLUME_L;
  const vehicle = new BenchVehicle({ family: TARN, seed: 5, faults, start: { sootG, ashG: 3 * VOLUME_L } });
  const driver = new Driver(vehicle);
  driver.follow({ do: 'key-on' }, 2);
  driver.follow({ do: 'start' }, 3);
  driver.follow({ do: 'idle' }, 90);
  expect(vehicle.startRoutine('regenerate-standing').status).toBe('running');
  const moments: BurnMoment[] = [];
  const states: { atS: number; state: BurnState; trueBedC: number }[] = [];
  let stoppedAtS: number | undefined;
  watchBench(
    vehicle,
    driver,
    () => wish(vehicle),
    seconds,
    (moment) => {
      moments.push(moment);
      const { phase } = vehicle.computer.regeneration;
      if (phase === 'cooling' || phase === 'none') stoppedAtS ??= moment.atS;
      if (Math.round(moment.atS) % 10 !== 0) return;
      const estimate = estimateBed(moments, burnOf(sootG), DEFAULT_LIMITS);
      const state = judgeBurnRun(moments, {
        limits: DEFAULT_LIMITS,
        material: TARN.filter.material,
        ...(estimate.ok ? { estimate: estimate.value.bed } : {}),
        ...(stoppedAtS === undefined ? {} : { stoppedAtS }),
      });
      states.push({ atS: moment.atS, state, trueBedC: vehicle.plant.filter.peakC });
      return state.phase === 'cold';
    },
  );
  return { states, vehicle, moments };
}

const rule = (state: BurnState | undefined, id: BurnRule['id']): BurnRule | undefined =>
  state?.rules.find((one) => one.id === id);

describe('a burn that is watched on the bench', () => {
  const burn = watched(4);

  it('heats, burns, cools, and breaks no rule on the way', () => {
    const phases = [...new Set(burn.states.map(({ state }) => state.phase))];
    expect(phases).toEqual(['heating', 'burning', 'cooling', 'cold']);
    expect(burn.states.flatMap(({ state }) => state.broken?.id ?? [])).toEqual([]);
    expect(burn.states.flatMap(({ state }) => state.doubt ?? [])).toEqual([]);
    expect(burn.vehicle.truth.sootG).toBeLessThan(0.3 * 4 * VOLUME_L);
  });

  it('knows the bed: never far below what it truly is, and near it once it burns evenly', () => {
    for (const { state, trueBedC } of burn.states) {
      expect(state.bedC ?? 0).toBeGreaterThan(trueBedC - 60);
      expect(state.bedC ?? 0).toBeLessThan(trueBedC + 200);
    }
  });

  it('tells how long it still takes, which gets less', () => {
    const left = burn.moments.filter(({ atS }) => Math.abs(atS - 200) < 0.5 || Math.abs(atS - 240) < 0.5);
    const told = left.map(
      ({ atS }) =>
        valueOf(
          estimateBed(
            burn.moments.filter((moment) => moment.atS <= atS),
            burnOf(4 * VOLUME_L),
            DEFAULT_LIMITS,
          ),
        ).bed.cleanInS,
    );
    expect(told[0]).toBeGreaterThan(told[1] as number);
    expect(told[1]).toBeGreaterThan(0);
  });

  it('does not let the flow go before the bed is cool', () => {
    // The foot is taken off while it burns.
    const before = burn.moments.filter(({ atS }) => atS < 250);
    const estimate = valueOf(estimateBed(before, burnOf(4 * VOLUME_L), DEFAULT_LIMITS)).bed;
    const last = before.at(-1) as BurnMoment;
    const state = judgeBurnRun([...before, { ...last, atS: last.atS + 1, rpm: 800, airGPerS: 9 }], {
      limits: DEFAULT_LIMITS,
      material: TARN.filter.material,
      estimate,
    });
    expect(state.broken).toMatchObject({ id: 'flow', act: 'flow-up' });
    expect(state.text).toMatch(/Get the revs back up now; never idle, never off/);
    expect(rule(state, 'flow')?.reason).toContain(`${estimate.dropNowC.toFixed(0)} °C`);
    expect(estimate.dropNowC).toBeGreaterThan(estimate.bedC);
  });
});

describe('rules that stop a burn', () => {
  it('an over-full bed, before it is at its worst', () => {
    const { states } = watched(9, { seconds: 420 });
    const first = states.find(({ state }) => state.broken !== undefined);
    expect(first?.state.broken?.id).toBe('bed');
    const worst = states.reduce((a, b) => (b.trueBedC > a.trueBedC ? b : a));
    expect(first?.atS).toBeLessThan(worst.atS);
    expect(first?.state.text).toMatch(/at most 1000 °C\. Stop the dosing and keep the flow up/);
  });

  it('a dosing injector that gives nothing: no heat in time', () => {
    const { states } = watched(4, { faults: [{ id: 'dosing-injector-blocked', severity: 1 }], seconds: 900 });
    expect(states.find(({ state }) => state.broken)?.state.broken?.id).toBe('no-heat');
  });

  const hot = (more: Partial<BurnMoment>, atS: number): BurnMoment => ({
    atS,
    rpm: 2300,
    egt2C: 300,
    egt3C: 600,
    egt4C: 590,
    coolantC: 90,
    sootG: 12,
    ...more,
  });
  const judged = (moments: readonly BurnMoment[], more: Partial<Parameters<typeof judgeBurnRun>[1]> = {}) =>
    judgeBurnRun(moments, { limits: DEFAULT_LIMITS, material: 'unknown', ...more });
  const held = (more: (second: number) => Partial<BurnMoment>, seconds: number, every = 1): BurnMoment[] =>
    Array.from({ length: Math.floor(seconds / every) + 1 }, (_, i) => hot(more(i * every), i * every));

  it.each([
    ['egt-rate', held((s) => ({ egt4C: 500 + 8 * s }), 20)],
    ['inlet', held((s) => ({ egt3C: 600 + 10 * s }), 20)],
    ['catalyst', held(() => ({ egt2C: 595 }), 20)],
    ['coolant', held((s) => ({ coolantC: 90 + s }), 20)],
    ['soot', held(() => ({}), 600, 10)],
    ['too-long', held((s) => ({ sootG: Math.max(1, 12 - s / 200) }), 2500, 20)],
  ] as const)('%s', (id, moments) => {
    const state = judged(moments);
    expect(state.broken?.id).toBe(id);
    expect(rule(state, id)?.value).toMatch(/\d/);
    expect(rule(state, id)?.limit).toMatch(/\d/);
    expect(state.text).toMatch(/Stop the dosing and keep the flow up/);
  });

  it('one wild reading of a sensor stops nothing', () => {
    const moments = held((s) => ({ egt4C: s === 15 ? 700 : 590 }), 20);
    expect(judged(moments).broken).toBeUndefined();
  });

  it('oil smoke stops it; flames have a rule of their own', () => {
    const moments = held(() => ({}), 20);
    expect(judged(moments, { seen: { oilSmoke: true } }).text).toMatch(
      /Stop the dosing and keep the flow up/,
    );
    const fire = judged(moments, { seen: { oilSmoke: true, fire: true } });
    expect(fire.broken?.act).toBe('leave');
    expect(fire.text).toMatch(/away from the vehicle.*emergency services/);
    expect(fire.text).not.toMatch(/keep the flow up/);
  });

  it('says nothing about what is not read', () => {
    const state = judged([
      { atS: 0, rpm: 2300 },
      { atS: 60, rpm: 2300 },
    ]);
    const unread = state.rules.filter((one) => one.state === 'not-read').map(({ id }) => id);
    expect(unread).toEqual(
      expect.arrayContaining(['bed', 'egt-rate', 'inlet', 'catalyst', 'coolant', 'soot']),
    );
    expect(state.broken).toBeUndefined();
    expect(judged([{ atS: 0, rpm: 2300 }], { stoppedAtS: 0 }).text).toMatch(
      /not read: keep the flow up for at least 8 min/,
    );
  });
});
