import { describe, expect, it } from 'vitest';
import { CHECK_CARDS, CHECK_IDS, judgeCheck, type CheckId } from '../checks/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { answerCheck, benchFamily, BenchVehicle, type BenchFamily, type Fault } from './index.ts';

const tarn = benchFamily('Tarn 2.0') as BenchFamily;
const context = { limits: DEFAULT_LIMITS, displacementL: 2, sootByPressureG: { lowG: 4, highG: 9 } };

const findings = (check: CheckId, fault?: Fault, family = tarn) => {
  const vehicle = new BenchVehicle({ family, seed: 7, faults: fault ? [fault] : [] });
  return judgeCheck(check, answerCheck(vehicle, check), context);
};

/** The check that tells of a fault, and the finding by which it does. */
const TELLS: readonly (readonly [fault: Fault, check: CheckId, finding: string])[] = [
  [{ id: 'dp-sensor-failed', severity: 0.9, form: 'zero-off' }, 'dp-zero', 'zero-off'],
  [{ id: 'dp-sensor-failed', severity: 0.9, form: 'dead' }, 'dp-electrical', 'signal-dead'],
  [{ id: 'dp-sensor-failed', severity: 0.9, form: 'dead' }, 'dp-ladder', 'ladder-dead'],
  [{ id: 'dp-sensor-wrong', severity: 0.8 }, 'dp-ladder', 'ladder-gain'],
  [{ id: 'dp-sensor-failed', severity: 0.9, form: 'low' }, 'dp-swap', 'swap-differs'],
  [{ id: 'sensor-wiring', severity: 0.8, form: 'ground' }, 'dp-electrical', 'ground-bad'],
  [{ id: 'sensor-wiring', severity: 0.8, form: 'supply' }, 'supply', 'supply-weak'],
  [{ id: 'dp-hoses-crossed', severity: 0.8 }, 'hoses', 'hoses-crossed'],
  [{ id: 'dp-hose-off', severity: 0.7 }, 'hoses', 'hose-off'],
  [{ id: 'high-pipe-blocked', severity: 0.88 }, 'pipe-response', 'high-slow'],
  [{ id: 'high-pipe-blocked', severity: 0.97 }, 'pipe-pump', 'high-holds'],
  [{ id: 'low-pipe-blocked', severity: 0.9 }, 'pipe-pump', 'low-holds'],
  [{ id: 'back-pressure-pipe-blocked', severity: 0.9, form: 'blocked' }, 'pipe-pump', 'back-pressure-holds'],
  [{ id: 'back-pressure-pipe-blocked', severity: 0.8, form: 'broken' }, 'hoses', 'pipe-cracked'],
  [{ id: 'back-pressure-sensor-failed', severity: 0.9, form: 'off' }, 'absolute-agree', 'back-pressure-off'],
  [
    { id: 'back-pressure-sensor-failed', severity: 0.9, form: 'stuck' },
    'pipe-response',
    'back-pressure-still',
  ],
  [
    { id: 'back-pressure-sensor-failed', severity: 0.9, form: 'off' },
    'sensor-compare',
    'back-pressure-differs',
  ],
  [{ id: 'manifold-sensor-failed', severity: 0.9, form: 'off' }, 'absolute-agree', 'manifold-off'],
  [{ id: 'manifold-sensor-failed', severity: 0.9, form: 'stuck' }, 'pipe-response', 'manifold-still'],
  [{ id: 'egt3-failed', severity: 0.9, form: 'open' }, 'egt-resistance', 'egt3-bad'],
  [{ id: 'egt2-failed', severity: 0.9, form: 'reads-high-cold' }, 'egt-cold-soak', 'soak-egt2'],
  [{ id: 'intake-leak', severity: 0.8 }, 'intake-smoke', 'smoke-before'],
  [{ id: 'charge-leak', severity: 0.8 }, 'intake-smoke', 'smoke-behind'],
  [{ id: 'air-meter-failed', severity: 0.8, form: 'low' }, 'air-mass', 'air-low'],
  [{ id: 'turbocharger-worn', severity: 0.8 }, 'turbo', 'shaft-worn'],
  [{ id: 'vanes-stuck', severity: 0.8, form: 'open' }, 'vane-sweep', 'vanes-still'],
  [{ id: 'egr-stuck-open', severity: 0.7 }, 'egr', 'egr-open'],
  [{ id: 'egr-cooler-fouled', severity: 0.8 }, 'egr', 'egr-hot'],
  [{ id: 'dosing-injector-blocked', severity: 0.7 }, 'dosing-injector', 'dosing-blocked'],
  [{ id: 'glow-plugs-failed', severity: 0.7, form: 'plugs' }, 'glow', 'glow-bad'],
  [{ id: 'glow-plugs-failed', severity: 0.7, form: 'relay' }, 'glow', 'glow-bad'],
  [{ id: 'oil-counter', severity: 0.9, form: 'counter' }, 'oil', 'counter-zero'],
  [{ id: 'oil-counter', severity: 0.9, form: 'diluted' }, 'oil', 'oil-diluted'],
  [{ id: 'thermostat-stuck-open', severity: 0.9 }, 'thermostat', 'coolant-cool'],
  [{ id: 'soot-loaded', severity: 0.9 }, 'gauge', 'gauge-high'],
  [{ id: 'catalyst-restricted', severity: 0.9 }, 'sections', 'section-catalyst'],
  [{ id: 'downstream-restricted', severity: 0.9 }, 'sections', 'section-behind'],
  [{ id: 'filter-cracked', severity: 0.8 }, 'filter-look', 'outlet-sooty'],
  [{ id: 'oil-in-exhaust', severity: 0.8 }, 'filter-look', 'inlet-oily'],
  [{ id: 'ash-full', severity: 0.8 }, 'filter-look', 'inlet-ash'],
  [{ id: 'soot-counter-reset', severity: 0.8 }, 'counter', 'counter-reset'],
  [{ id: 'counter-not-reset', severity: 0.8 }, 'counter', 'counter-high'],
  [{ id: 'fuel-low', severity: 0.8 }, 'fuel-level', 'fuel-under'],
  [{ id: 'short-trips', severity: 0.8 }, 'use-history', 'use-slow'],
  [{ id: 'injector-over-fuelling', severity: 0.7 }, 'injectors', 'injector-leaks'],
];

describe('checks at the simulated vehicle', () => {
  it.each(
    TELLS.map(
      ([fault, check, finding]) => [`${fault.id} ${fault.form ?? ''}`, check, finding, fault] as const,
    ),
  )('%s is told by %s: %s', (_about, check, finding, fault) => {
    expect(findings(check, fault).findings[finding]).toBe(true);
  });

  it('give a healthy vehicle no finding, and are all answered within what is possible', () => {
    for (const check of CHECK_IDS) {
      const judged = findings(check);
      expect(judged.questions, check).toEqual([]);
      expect(
        Object.entries(judged.findings).filter(([, seen]) => seen),
        check,
      ).toEqual([]);
      if (check !== 'egt-position') expect(judged.outcome, check).toBeDefined();
    }
  });

  it('enter only fields that their cards have', () => {
    for (const { id, fields } of CHECK_CARDS) {
      const vehicle = new BenchVehicle({ family: tarn, seed: 3 });
      const known = new Set(fields.map((field) => field.id));
      for (const entered of Object.keys(answerCheck(vehicle, id)))
        expect(known.has(entered), `${id} ${entered}`).toBe(true);
    }
  });

  it('find the places of the EGTs by their warming from cold', () => {
    expect(findings('egt-position').figures.map(({ value }) => value)).toEqual([1, 2, 3, 4]);
  });
});
