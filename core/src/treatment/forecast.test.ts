import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { idleExhaust, plannedBurn, simulateBurn, withDropToIdle, worstDropToIdle } from '../burn/index.ts';
import { filterVolumeL } from '../filter/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { valueOf } from '../quantities/index.ts';
import { someRuns } from '../testing/seeds.ts';
import { forecastBurn, type JobBurn } from './forecast.ts';

const DISPLACEMENT_L = 2;

const burns: fc.Arbitrary<JobBurn> = fc
  .record({
    diameterMm: fc.integer({ min: 118, max: 190 }),
    lengthMm: fc.integer({ min: 120, max: 260 }),
    material: fc.constantFrom('silicon-carbide' as const, 'cordierite' as const, 'unknown' as const),
    catalyst: fc.constantFrom('none' as const, 'coated' as const),
    sootGPerL: fc.double({ min: 0.5, max: 10, noNaN: true }),
    exhaustKgPerS: fc.double({ min: 0.02, max: 0.09, noNaN: true }),
    targetC: fc.integer({ min: 580, max: 650 }),
  })
  .map(({ diameterMm, lengthMm, material, catalyst, sootGPerL, exhaustKgPerS, targetC }) => {
    const filter = { diameterMm, lengthMm, cpsi: 200, wallMm: 0.305, material };
    const sootG = sootGPerL * filterVolumeL(filter);
    return {
      plan: { filter, catalyst, sootG, ashG: 0, targetC, exhaustKgPerS, oxygenPercent: 10 },
      displacementL: DISPLACEMENT_L,
      assumptions: [],
    };
  });

describe('the forecast of a burn', () => {
  it('stands on the same side of the limit as a bed three times as fine, and near to its peak below it', () => {
    fc.assert(
      fc.property(burns, (burn) => {
        const quick = valueOf(forecastBurn(burn, DEFAULT_LIMITS));
        const scenario = plannedBurn({ ...burn.plan, cells: 60 });
        const fine = valueOf(
          worstDropToIdle(scenario, idleExhaust(DISPLACEMENT_L), DEFAULT_LIMITS, {
            mostFiner: 2,
            until: 'burnt',
          }),
        );
        const peakC = Math.max(fine.worst.peakBedC, fine.planned.peakBedC);
        if (Math.abs(peakC - quick.limitC) > 1)
          expect(quick.dropPeakC > quick.limitC).toBe(peakC > quick.limitC);
        if (peakC < quick.limitC) expect(Math.abs(quick.dropPeakC - peakC)).toBeLessThan(20);
        expect(Math.abs(quick.sootLeftG - fine.planned.sootLeftG)).toBeLessThan(0.005 * burn.plan.sootG);
      }),
      { numRuns: someRuns(200) },
    );
  });

  // Found by a random burn: a second earlier or later is worth 50 °C at the edge of running away, and a coarse bed hid it all.
  it('finds the worst drop between two seconds, where a thin front hides it from a coarse bed', () => {
    const filter = {
      diameterMm: 187,
      lengthMm: 176,
      cpsi: 200,
      wallMm: 0.305,
      material: 'cordierite',
    } as const;
    const plan = {
      filter,
      catalyst: 'none',
      sootG: 15.03,
      ashG: 0,
      targetC: 610,
      exhaustKgPerS: 0.05286,
      oxygenPercent: 10,
    } as const;
    const idle = idleExhaust(DISPLACEMENT_L);
    const scenario = plannedBurn({ ...plan, cells: 60 });
    const peaks = [230, 236, 240, 243, 246, 249, 255, 270].map(
      (atS) => valueOf(simulateBurn(withDropToIdle(scenario, atS, idle), DEFAULT_LIMITS)).peakBedC,
    );
    const worstC = Math.max(...peaks);
    expect(worstC - (peaks[0] as number)).toBeGreaterThan(250);
    const quick = valueOf(
      forecastBurn({ plan, displacementL: DISPLACEMENT_L, assumptions: [] }, DEFAULT_LIMITS),
    );
    const fine = valueOf(worstDropToIdle(scenario, idle, DEFAULT_LIMITS));
    expect(quick.dropPeakC).toBeGreaterThan(worstC - 8);
    expect(fine.worst.peakBedC).toBeGreaterThan(worstC - 3);
  });
});
