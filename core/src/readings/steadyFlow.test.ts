import { spoken } from '../words/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { ReadingSample, SteadySample } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { valueOf } from '../quantities/index.ts';
import { madeSample } from '../testing/madeReadings.ts';
import { manifoldTrustOf, steadyFlow as steadyFlowInCodes } from './index.ts';

const steadyFlow = spoken(steadyFlowInCodes);

const limits = DEFAULT_LIMITS;
const hold: SteadySample = { kind: 'hold', rpm: 3000, dpMbar: 40 };

describe('flow at a steady sample', () => {
  it('takes the MAF sensor where it can be believed', () => {
    const flow = valueOf(steadyFlow(madeSample({ sootG: 5 }, 3000), { limits, displacementL: 2 }));
    expect(flow.airSource).toBe('air-meter');
    expect(flow.flowDoubt).toBeLessThan(0.06);
  });

  it('leaves a meter that reads half, and says by which figures', () => {
    const sample = { ...madeSample({ sootG: 5 }, 3000), airMassGPerS: 25 };
    const flow = valueOf(steadyFlow(sample, { limits, displacementL: 2 }));
    expect(flow.airSource).toBe('speed-density');
    expect(flow.assumptions.join()).toMatch(
      /MAF sensor not used: it shows 25.0 g\/s .*\(ratio 0\.4\d, limits 0.7–1.3\)/,
    );
  });

  it('works from engine speed alone, and states all that it assumed', () => {
    const flow = valueOf(steadyFlow(hold, { limits, displacementL: 2 }));
    expect(flow.assumptions).toEqual([
      'manifold pressure not read: taken as the barometer, 1013 mbar',
      'intake air not read: taken as 25 °C',
      'filter temperature not read: taken as 210 °C',
      'barometer not read: taken as 1013 mbar',
    ]);
    expect(flow.flowDoubt).toBeGreaterThan(0.15);
  });

  it('refuses to guess where neither air mass nor engine size is known', () => {
    const flow = steadyFlow(hold, { limits });
    expect(!flow.ok && flow.failure.field).toBe('Flow at 3000 rpm');
  });

  it('takes its assumptions from the limits profile', () => {
    const warmer = valueOf(
      steadyFlow(hold, { limits: { ...limits, filterTempHoldC: 300 }, displacementL: 2 }),
    );
    const usual = valueOf(steadyFlow(hold, { limits, displacementL: 2 }));
    expect(warmer.temperatureC).toBe(300);
    expect(warmer.flowM3PerH).toBeGreaterThan(usual.flowM3PerH * 1.15);
  });
});

describe('a manifold sensor that is wrong with the engine off', () => {
  const atRest = (manifoldMbar: number): readonly ReadingSample[] => [
    { kind: 'key-off', rpm: 0, dpMbar: 0, manifoldMbar },
  ];
  const trust = (manifoldMbar: number, barometerMbar?: number): number =>
    manifoldTrustOf(atRest(manifoldMbar), {
      limits,
      ...(barometerMbar === undefined ? {} : { barometerMbar }),
    });

  it('is believed within the limit, not at all from twice that, and where nothing was read', () => {
    expect(trust(1003, 1005)).toBe(1);
    expect(trust(1005 * 0.85, 1005)).toBeCloseTo(0.5, 6);
    expect(trust(640, 1005)).toBe(0);
    expect(manifoldTrustOf([hold], { limits })).toBe(1);
  });

  it('needs no barometer where it shows what no air has; on a pass it is right', () => {
    expect(trust(793)).toBe(1);
    expect(trust(320)).toBe(0);
    expect(trust(1600)).toBe(0);
  });

  it('gives no flow: the barometer stands for it, and that is said', () => {
    const sample = { ...hold, manifoldMbar: 642 };
    const context = { limits, displacementL: 2, barometerMbar: 1005 };
    const off = valueOf(steadyFlow(sample, { ...context, manifoldTrust: trust(640, 1005) }));
    expect(off.flowM3PerH).toBeCloseTo(valueOf(steadyFlow(hold, context)).flowM3PerH, 6);
    expect(off.assumptions[0]).toBe(
      'manifold pressure is wrong with the engine off, so not used: taken as 1005 mbar',
    );
  });

  it('moves no flow by a step, however far it is off', () => {
    fc.assert(
      fc.property(fc.double({ min: 500, max: 1200, noNaN: true }), (manifoldMbar) => {
        const flowAt = (rest: number): number =>
          valueOf(
            steadyFlow(
              { ...hold, manifoldMbar: rest },
              { limits, displacementL: 2, barometerMbar: 1005, manifoldTrust: trust(rest, 1005) },
            ),
          ).flowM3PerH;
        expect(Math.abs(flowAt(manifoldMbar * 1.001) / flowAt(manifoldMbar) - 1)).toBeLessThan(0.004);
      }),
      { numRuns: 300 },
    );
  });
});
