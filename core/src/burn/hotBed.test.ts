import { inEnglish } from '../words/index.ts';
import { allSeeds, someRuns } from '../testing/seeds.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { filterVolumeL } from '../filter/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { valueOf } from '../quantities/index.ts';
import {
  burnBatch,
  idleExhaust,
  plannedBurn,
  safeSootLimit,
  simulateBurn,
  USUAL_DOUBTS,
  withDropToIdle,
  worstDropToIdle,
  type BurnPlan,
  type BurnScenario,
} from './index.ts';
import { FILTER, PLAN, run, steady, plans } from './testing/burnPlans.ts';

describe('what makes a bed hotter', () => {
  // A bed that is at the target already: in a slow ramp more oxygen also burns some of the soot before it is hot.
  const alight = (plan: BurnPlan): BurnScenario => ({
    ...plannedBurn(plan),
    startC: plan.targetC,
    profile: steady(plan.targetC, plan.exhaustKgPerS, plan.oxygenPercent),
    endS: 600,
  });

  it('more soot, more oxygen, or less flow after ignition', () => {
    let told = 0;
    // With an additive and much soot a front takes all the oxygen; more of it then hurries the front away from its heat.
    const unstarved = plans.filter(
      ({ catalyst, sootG, filter }) => catalyst !== 'fuel-borne' || sootG < 4 * filterVolumeL(filter),
    );
    fc.assert(
      fc.property(unstarved, fc.double({ min: 1.1, max: 1.6, noNaN: true }), (plan, more) => {
        const coarse = { mostFiner: 2 };
        const { peakBedC, series } = run(alight(plan), coarse);
        const richer = run(alight({ ...plan, sootG: plan.sootG * more }), coarse);
        expect(richer.peakBedC).toBeGreaterThanOrEqual(peakBedC - 0.1);
        const airier = run(
          alight({ ...plan, oxygenPercent: Math.min(21, plan.oxygenPercent * more) }),
          coarse,
        );
        expect(airier.peakBedC).toBeGreaterThanOrEqual(peakBedC - 0.1);
        // What the gas took away stays in the bed; where hardly anything burns the can takes more than the soot gives.
        const lit = series.timeS[series.sootG.findIndex((grams) => grams < 0.95 * plan.sootG)];
        if (lit === undefined || peakBedC < plan.targetC + 15) return;
        told += 1;
        const slower = run(
          withDropToIdle(alight(plan), lit, {
            kgPerS: plan.exhaustKgPerS / (1 + more),
            oxygenPercent: plan.oxygenPercent,
            inletC: plan.targetC,
          }),
          coarse,
        );
        expect(slower.peakBedC).toBeGreaterThanOrEqual(peakBedC - 0.1);
      }),
      { numRuns: someRuns(100) },
    );
    expect(told).toBeGreaterThan(allSeeds ? 20 : 1);
  });

  it('orders of magnitude: 12 g stays below 700 °C, 20 g comes to 700–900, 30 g passes 1000', () => {
    const peaks = [12, 20, 30].map((sootG) => {
      const burn = run({
        ...plannedBurn({ ...PLAN, sootG }),
        profile: [
          { ...(steady(250, 0.05, 10)[0] as BurnScenario['profile'][number]) },
          { ...(steady(620, 0.05, 10)[0] as BurnScenario['profile'][number]), atS: 150 },
        ],
      });
      return burn.peakBedC;
    });
    expect(peaks[0]).toBeLessThan(700);
    expect(peaks[1]).toBeGreaterThan(700);
    expect(peaks[1]).toBeLessThan(900);
    expect(peaks[2]).toBeGreaterThan(1000);
  });

  it('finds the worst moment of all, be it whichever', () => {
    fc.assert(
      fc.property(plans, (plan) => {
        const scenario = plannedBurn(plan);
        const idle = idleExhaust(2);
        const coarse = { mostFiner: 1 };
        const { planned, worst } = valueOf(worstDropToIdle(scenario, idle, DEFAULT_LIMITS, coarse));
        const { timeS, sootG } = planned.series;
        const begins = timeS[sootG.findIndex((grams) => grams < 0.99 * plan.sootG)];
        let hottestC = planned.peakBedC;
        for (let atS = begins ?? 1e9; atS < (begins ?? 0) + 240; atS += 4)
          hottestC = Math.max(hottestC, run(withDropToIdle(scenario, atS, idle), coarse).peakBedC);
        expect(worst.peakBedC).toBeGreaterThan(hottestC - 10);
      }),
      { numRuns: someRuns(20) },
    );
  });

  it('says the same when it ends once all is over', () => {
    fc.assert(
      fc.property(plans, fc.constantFrom(...[0.03, 0.15, 0.4]), (plan, share) => {
        const coarse = { mostFiner: 1 };
        const scenario = plannedBurn(plan);
        const whole = run(scenario, coarse);
        const burnt = run(scenario, { ...coarse, until: 'burnt' });
        expect(Math.abs(burnt.peakBedC - whole.peakBedC)).toBeLessThan(0.5);
        expect(burnt.sootLeftG - whole.sootLeftG).toBeLessThanOrEqual(0.001 * plan.sootG);
        const i = whole.series.sootG.findIndex((grams) => grams <= (1 - share) * plan.sootG);
        const drop = withDropToIdle(scenario, whole.series.timeS[i] ?? 600, idleExhaust(2));
        const cooling = run(drop, { ...coarse, until: 'cooling' });
        expect(Math.abs(cooling.peakBedC - run(drop, coarse).peakBedC)).toBeLessThan(0.5);
      }),
      { numRuns: someRuns(60) },
    );
  });

  it('a drop to idle just after ignition adds hundreds of degrees; cordierite runs hotter still', () => {
    const drop = (material: 'silicon-carbide' | 'cordierite') =>
      valueOf(
        worstDropToIdle(
          plannedBurn({ ...PLAN, catalyst: 'fuel-borne', filter: { ...FILTER, material }, sootG: 20 }),
          idleExhaust(2),
          DEFAULT_LIMITS,
          { mostFiner: 2 },
        ),
      );
    const silicon = drop('silicon-carbide');
    expect(silicon.worst.peakBedC - silicon.planned.peakBedC).toBeGreaterThan(200);
    expect(silicon.worst.peakBedC - silicon.planned.peakBedC).toBeLessThan(300);
    expect(silicon.worst.peakAtS).toBeGreaterThan(silicon.atS);
    const cordierite = drop('cordierite');
    expect(cordierite.planned.peakBedC).toBeGreaterThan(silicon.planned.peakBedC);
    expect(cordierite.worst.peakBedC).toBeGreaterThan(silicon.worst.peakBedC);
  });

  it('an ash plug takes room from the soot and heat into itself', () => {
    const volumeL = filterVolumeL(FILTER);
    const clean = run(plannedBurn({ ...PLAN, sootG: 20 }), { keepBed: true });
    const ashy = run(plannedBurn({ ...PLAN, sootG: 20, ashG: 40 * volumeL }), { keepBed: true });
    expect(ashy.sootLeftG).toBeLessThan(0.2);
    expect(ashy.peakBedC).not.toBeCloseTo(clean.peakBedC, 0);
  });
});

describe('how much soot is safe', () => {
  it('some 7 g/L in silicon carbide and 5 in cordierite, by the drop to idle', () => {
    const safe = (material: 'silicon-carbide' | 'cordierite') =>
      valueOf(
        safeSootLimit(
          { ...PLAN, catalyst: 'none', filter: { ...FILTER, material }, cells: 30 },
          idleExhaust(2),
          DEFAULT_LIMITS,
        ),
      ).gPerL;
    const [silicon, cordierite] = [safe('silicon-carbide'), safe('cordierite')];
    expect(silicon).toBeGreaterThan(6);
    expect(silicon).toBeLessThan(8);
    expect(cordierite).toBeGreaterThan(4);
    expect(cordierite).toBeLessThan(silicon);
  });

  it('follows the limit of the bed, and says when the target alone is beyond it', () => {
    const plan = { ...PLAN, cells: 20 };
    const at = (bedLimitSiliconCarbideC: number) =>
      safeSootLimit(plan, idleExhaust(2), { ...DEFAULT_LIMITS, bedLimitSiliconCarbideC });
    expect(valueOf(at(800)).gPerL).toBeLessThan(valueOf(at(1000)).gPerL);
    expect(at(600)).toMatchObject({ ok: false, failure: { field: { say: 'burn.the-target' } } });
  });
});

describe('many runs of a doubtful burn', () => {
  const RUNS = 15;
  const doubts = { ...USUAL_DOUBTS, sootLowG: 9, sootHighG: 15 };
  const drive = (wider: number, seed = 7) => {
    const batch = burnBatch(
      plannedBurn({ ...PLAN, cells: 20 }),
      { ...doubts, inletC: doubts.inletC * wider, rateShare: doubts.rateShare * wider },
      DEFAULT_LIMITS,
      { runs: RUNS, seed },
    );
    const counted: number[] = [];
    for (;;) {
      const next = batch.next();
      if (next.done) return { counted, result: valueOf(next.value) };
      counted.push(next.value);
    }
  };

  const ONCE = drive(1);

  it('counts each run, holds the plain run between its ends, and is the same for the same seed', () => {
    const { counted, result } = ONCE;
    expect(counted).toEqual(Array.from({ length: RUNS }, (_, i) => i + 1));
    const plain = run(plannedBurn({ ...PLAN, cells: 20 }));
    expect(result.peakBedC.low).toBeLessThan(plain.peakBedC);
    expect(result.peakBedC.high).toBeGreaterThan(plain.peakBedC);
    expect(drive(1).result).toEqual(result);
    expect(drive(1, 8).result).not.toEqual(result);
  });

  it('more doubt spreads wider', () => {
    const width = ({ low, high }: { low: number; high: number }): number => high - low;
    expect(width(drive(2).result.peakBedC)).toBeGreaterThan(width(ONCE.result.peakBedC));
  });

  it('says in how many of them the bed passed its limit', () => {
    const batch = burnBatch(
      plannedBurn({ ...PLAN, sootG: 30, cells: 20 }),
      { ...USUAL_DOUBTS, sootLowG: 22, sootHighG: 38 },
      DEFAULT_LIMITS,
      { runs: 40, seed: 1 },
    );
    let next = batch.next();
    while (!next.done) next = batch.next();
    const { overLimitShare } = valueOf(next.value);
    expect(overLimitShare).toBeGreaterThan(0.05);
    expect(overLimitShare).toBeLessThan(0.95);
  });
});

describe('a scenario that is not fit is refused with the place', () => {
  const good = plannedBurn(PLAN);
  it.each([
    ['sootG', { ...good, sootG: 80 }, /at most 25 g\/L, 62 g in this filter of 2.48 L/],
    ['profile.1.atS', { ...good, profile: [good.profile[1], good.profile[0]] }, /not later/],
    ['profile', { ...good, profile: [] }, /At least one point/],
    ['filter.diameterMm', { ...good, filter: { ...FILTER, diameterMm: 5 } }, /50 to 500/],
    ['catalyst', { ...good, catalyst: 'magic' }, /fit/],
    ['sootG', { ...good, sootG: Number.NaN }, /enter a number/],
    ['cells', { ...good, cells: 3 }, /5 to 1000/],
  ])('%s', (field, scenario, words) => {
    const burn = simulateBurn(scenario as BurnScenario, DEFAULT_LIMITS);
    expect(burn).toMatchObject({ ok: false, failure: { field } });
    if (!burn.ok) expect(inEnglish(burn.failure.requirement)).toMatch(words);
  });
});
