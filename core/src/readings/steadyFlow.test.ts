import { spoken } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import type { SteadySample } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { valueOf } from '../quantities/index.ts';
import { madeSample } from '../testing/madeReadings.ts';
import { steadyFlow as steadyFlowInCodes } from './index.ts';

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
