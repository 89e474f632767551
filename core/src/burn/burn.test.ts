import { someRuns } from '../testing/seeds.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { valueOf } from '../quantities/index.ts';
import { schumannSolid } from '../testing/schumann.ts';
import {
  bedOf,
  EXHAUST_HEAT_J_PER_KG_K,
  idleExhaust,
  kineticsOf,
  oxygenRate,
  plannedBurn,
  withDropToIdle,
} from './index.ts';
import { FILTER, PLAN, run, steady, plans } from './testing/burnPlans.ts';

describe('the burn model keeps what it moves', () => {
  it('balances energy and carbon over random burns and drops to idle', () => {
    fc.assert(
      fc.property(plans, fc.double({ min: 0, max: 1, noNaN: true }), fc.boolean(), (plan, when, drops) => {
        const scenario = plannedBurn(plan);
        const burn = run(drops ? withDropToIdle(scenario, 200 + when * 400, idleExhaust(2)) : scenario);
        expect(Math.abs(burn.energy.residualFraction)).toBeLessThan(0.005);
        expect(Math.abs(burn.soot.residualFraction)).toBeLessThan(0.001);
        expect(burn.sootLeftG).toBeGreaterThanOrEqual(0);
        expect(burn.soot.burntG + burn.sootLeftG).toBeCloseTo(plan.sootG, 6);
        expect(burn.energy.reactionJ).toBeCloseTo(burn.soot.byGasG * 32_800, 0);
      }),
      { numRuns: someRuns(25) },
    );
  });

  it('burns no more than the oxygen that came in is worth', () => {
    const burn = run({
      ...plannedBurn({ ...PLAN, sootG: 25 }),
      profile: steady(800, 0.004, 5),
      endS: 120,
      startC: 800,
    });
    // 0.004 kg/s of 28.8 g/mol with 5 % oxygen for two minutes, a mol of carbon for each of oxygen.
    const mostG = (0.004 / 0.0288) * 0.05 * 120 * 12;
    expect(burn.soot.burntG).toBeLessThanOrEqual(mostG * 1.0001);
    expect(burn.soot.burntG).toBeGreaterThan(mostG * 0.9);
  });

  it('burns nothing without flow, and cools to the ambient', () => {
    const burn = run({ ...plannedBurn(PLAN), profile: steady(20, 0, 21), startC: 700, endS: 30_000 });
    expect(burn.soot.burntG).toBe(0);
    expect(burn.series.peakC.at(-1)).toBeLessThan(21);
  });

  it.each([
    [15, 152, 'silicon-carbide'],
    [15, 152, 'cordierite'],
    // A drop to idle with far too much soot: a front of a few millimetres, which the grid has to find by itself.
    [30, 152, 'silicon-carbide'],
    [40, 300, 'silicon-carbide'],
  ] as const)('does not depend on the grid or the step (%i g, %i mm, %s)', (sootG, lengthMm, material) => {
    const planned = plannedBurn({ ...PLAN, filter: { ...FILTER, material, lengthMm }, sootG });
    for (const scenario of [planned, withDropToIdle(planned, 240, idleExhaust(2))]) {
      const { peakBedC } = run(scenario);
      const finer = run({ ...scenario, cells: 120 });
      const half = run(scenario, { stepScale: 0.5 });
      expect(Math.abs(finer.peakBedC / peakBedC - 1)).toBeLessThan(0.01);
      expect(Math.abs(half.peakBedC / peakBedC - 1)).toBeLessThan(0.01);
    }
  });
});

describe('the burn model meets closed forms', () => {
  it.each([
    ['none', 600, 0],
    ['coated', 550, 0],
    ['fuel-borne', 480, 0],
    ['none', 350, 400],
  ] as const)('m₀·exp(−k·y·t) in an even bed: %s at %i °C', (catalyst, celsius, no2Ppm) => {
    const oxygenPercent = no2Ppm > 0 ? 0 : 10;
    const endS = no2Ppm > 0 ? 3600 : 600;
    const burn = run(
      {
        ...plannedBurn({ ...PLAN, catalyst, sootG: 0.01 }),
        // So little soot in so much gas takes nothing off it.
        profile: steady(celsius, 2, oxygenPercent, no2Ppm),
        startC: celsius,
        ambientC: 20,
        endS,
      },
      { change: (assumed) => ({ ...assumed, sootHeatJPerKg: 0, bed: { ...assumed.bed, lossWPerK: 0 } }) },
    );
    const kinetics = kineticsOf(DEFAULT_LIMITS, catalyst);
    const no2PerS = 2e6 * Math.exp(-73_000 / (8.314 * (celsius + 273.15))) * no2Ppm * 1e-6;
    const perS = oxygenRate(kinetics, celsius) * (oxygenPercent / 100) + no2PerS;
    expect(perS * endS).toBeGreaterThan(0.05);
    expect(Math.abs(burn.sootLeftG / (0.01 * Math.exp(-perS * endS)) - 1)).toBeLessThan(0.001);
  });

  it('heats up without soot as Schumann’s packed bed', () => {
    const bed = valueOf(bedOf(FILTER, FILTER.material, 0));
    const kgPerS = 0.05;
    const [cells, points, endS, fromC, toC] = [240, 20, 200, 20, 600];
    const burn = run(
      {
        ...plannedBurn({ ...PLAN, sootG: 0, cells }),
        profile: steady(toC, kgPerS, 10),
        startC: fromC,
        endS,
      },
      {
        points,
        keepBed: true,
        change: (assumed) => ({ ...assumed, bed: { ...assumed.bed, conductionWPerK: 0, lossWPerK: 0 } }),
      },
    );
    for (let point = 1; point <= points; point++)
      for (const cell of [0, 30, 119, 239]) {
        const xi = (bed.transferWPerK * ((cell + 0.5) / cells)) / (kgPerS * EXHAUST_HEAT_J_PER_KG_K);
        const tau = (bed.transferWPerK * (burn.series.timeS[point] as number)) / bed.capacityJPerK;
        const share = ((burn.series.bedC?.[point * cells + cell] as number) - fromC) / (toC - fromC);
        expect(Math.abs(share - schumannSolid(xi, tau))).toBeLessThan(0.01);
      }
  });

  it('the reference itself: at the inlet 1 − e^(−τ), deep in the bed the middle comes at τ = ξ', () => {
    expect(schumannSolid(0, 1.5)).toBeCloseTo(1 - Math.exp(-1.5), 8);
    expect(schumannSolid(400, 400)).toBeCloseTo(0.5, 1);
    expect(schumannSolid(3, 60)).toBeCloseTo(1, 6);
  });
});
