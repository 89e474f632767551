import fc from 'fast-check';
import { filterVolumeL } from '../../filter/index.ts';
import { DEFAULT_LIMITS } from '../../limits/index.ts';
import { valueOf } from '../../quantities/index.ts';
import { simulateBurn, type BurnOptions, type BurnPlan, type BurnScenario } from '../index.ts';

export const FILTER = {
  diameterMm: 144,
  lengthMm: 152,
  cpsi: 200,
  wallMm: 0.305,
  material: 'silicon-carbide',
} as const;

export const PLAN: BurnPlan = {
  filter: FILTER,
  catalyst: 'coated',
  sootG: 12,
  ashG: 0,
  targetC: 620,
  exhaustKgPerS: 0.05,
  oxygenPercent: 10,
};

export const run = (scenario: BurnScenario, options?: BurnOptions) =>
  valueOf(simulateBurn(scenario, DEFAULT_LIMITS, options));

export const steady = (celsius: number, kgPerS: number, oxygenPercent: number, no2Ppm = 0) => [
  { atS: 0, inletC: celsius, exhaustKgPerS: kgPerS, oxygenPercent, no2Ppm },
];

export const plans: fc.Arbitrary<BurnPlan> = fc
  .record({
    filter: fc.record({
      diameterMm: fc.integer({ min: 118, max: 190 }),
      lengthMm: fc.integer({ min: 120, max: 260 }),
      cpsi: fc.constantFrom(200, 300),
      wallMm: fc.constantFrom(0.254, 0.305),
      material: fc.constantFrom('silicon-carbide' as const, 'cordierite' as const),
    }),
    catalyst: fc.constantFrom('none' as const, 'coated' as const, 'fuel-borne' as const),
    sootGPerL: fc.double({ min: 1, max: 7, noNaN: true }),
    ashG: fc.constantFrom(0, 0, 60),
    targetC: fc.integer({ min: 560, max: 660 }),
    gPerSPerL: fc.double({ min: 15, max: 40, noNaN: true }),
    oxygenPercent: fc.double({ min: 6, max: 14, noNaN: true }),
    holdS: fc.constant(700),
    cells: fc.constant(30),
  })
  .map(({ sootGPerL, gPerSPerL, ...plan }) => {
    const volumeL = filterVolumeL(plan.filter);
    return { ...plan, sootG: sootGPerL * volumeL, exhaustKgPerS: (gPerSPerL * volumeL) / 1000 };
  });
