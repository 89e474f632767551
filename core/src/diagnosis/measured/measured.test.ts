import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_LIMITS } from '../../limits/index.ts';
import { someRuns } from '../../testing/seeds.ts';
import { evidenceOfCase, type CaseFacts } from '../caseEvidence.ts';
import { infer } from '../inference.ts';
import { weigh } from '../weigh.ts';
import { networkFor } from '../vocabulary.ts';
import type { MeasuredReading } from './airRatio.ts';
import { restrictionDensity } from './pressureDrop.ts';

const FILTER = { diameterMm: 144, lengthMm: 155, cpsi: 200, wallMm: 0.305 };

function chancesOf(facts: CaseFacts, filterKnown = true): Map<string, number> {
  const vehicle = { displacementL: 2, ...(filterKnown ? { geometry: FILTER } : {}) };
  const { evidence, beyond } = evidenceOfCase(facts, DEFAULT_LIMITS, vehicle);
  const { causes } = infer(weigh(networkFor(), evidence, beyond));
  return new Map(causes.map(({ id, probability }) => [id, probability]));
}

const rows = (zero: number, idle: number, hold: number): CaseFacts => ({
  reading: {
    samples: [
      { kind: 'key-off', rpm: 0, dpMbar: zero },
      { kind: 'idle', rpm: 800, dpMbar: idle },
      { kind: 'hold', rpm: 3000, dpMbar: hold },
    ],
  },
});

const of = (chances: Map<string, number>, ...ids: string[]): number =>
  ids.reduce((sum, id) => sum + (chances.get(id) ?? 0), 0);

describe('a pressure judged by its size', () => {
  it('has the restriction of a full filter at several times the clean drop, and that of a sound one near it', () => {
    expect(restrictionDensity('sound', 1.5)).toBeGreaterThan(5 * restrictionDensity('soot', 1.5));
    expect(restrictionDensity('soot', 8)).toBeGreaterThan(50 * restrictionDensity('sound', 8));
    expect(restrictionDensity('cracked', 0.3)).toBeGreaterThan(50 * restrictionDensity('sound', 0.3));
  });

  it.each([
    [
      'nothing from key on to 3000 rpm',
      rows(0, 0, 0),
      ['dp-sensor-failed', 'dp-hose-off', 'high-pipe-blocked'],
    ],
    ['the same with the engine off', rows(640, 640, 641), ['dp-sensor-failed']],
    ['falling as the flow rises', rows(0, -3, -19), ['dp-hoses-crossed']],
    ['far over clean at every speed', rows(0, 42, 240), ['soot-loaded', 'ash-full']],
    ['off by a constant', rows(24, 27, 43), ['dp-sensor-failed', 'sensor-wiring']],
  ])('%s', (_what, facts, wanted) => {
    const chances = chancesOf(facts);
    expect(of(chances, ...wanted)).toBeGreaterThan(0.8);
    expect(of(chances, ...wanted)).toBeGreaterThan(2 * of(chances, 'filter-cracked'));
  });

  it('says of an idle that was logged for ten minutes what it says of one', () => {
    const [zero, idle, hold] = rows(0, 42, 240).reading?.samples ?? [];
    const long = {
      reading: { samples: [zero, ...Array.from({ length: 70 }, () => idle), hold] },
    } as CaseFacts;
    const [once, often] = [chancesOf(rows(0, 42, 240)), chancesOf(long)];
    for (const [id, chance] of once) expect(often.get(id), id).toBeCloseTo(chance, 9);
  });

  it('moves no chance by more than 0.03 for one per cent more of any value', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 60, noNaN: true }),
        fc.double({ min: 1.5, max: 10, noNaN: true }),
        fc.double({ min: 0.5, max: 60, noNaN: true }),
        fc.boolean(),
        (idle, times, sootG, filterKnown) => {
          const facts = (more: number): CaseFacts => ({
            reading: {
              ...(rows(0, idle * more, idle * times * more).reading as MeasuredReading),
              sootCounterG: sootG * more,
            },
          });
          const [one, other] = [chancesOf(facts(1), filterKnown), chancesOf(facts(1.01), filterKnown)];
          for (const [id, chance] of one) expect(Math.abs(chance - (other.get(id) ?? 0))).toBeLessThan(0.03);
        },
      ),
      { numRuns: someRuns(60) },
    );
  });

  it('never argues for less in the filter by more pressure, as far as the way is honest', () => {
    let before = 0;
    for (let hold = 20; hold <= 400; hold *= 1.2) {
      const now = of(chancesOf(rows(0, hold / 6, hold)), 'soot-loaded', 'ash-full');
      expect(now).toBeGreaterThan(before - 0.01);
      before = now;
    }
    expect(before).toBeGreaterThan(0.9);
  });
});

describe('a counter judged beside the pressure', () => {
  const counted = (hold: number, sootG: number): Map<string, number> =>
    chancesOf({ reading: { ...(rows(0, hold / 7, hold).reading as MeasuredReading), sootCounterG: sootG } });

  it('that counts much over a pressure that is low was not set back', () => {
    const [low, full] = [counted(24, 40), counted(200, 40)];
    expect(of(low, 'counter-not-reset')).toBeGreaterThan(3 * of(full, 'counter-not-reset'));
    expect(of(low, 'soot-loaded')).toBeLessThan(of(counted(24, 8), 'soot-loaded') + 0.3);
    expect(of(full, 'soot-loaded')).toBeGreaterThan(0.95);
  });

  it('that counts next to nothing over a pressure that is high was set back, or it is ash', () => {
    const [little, much] = [counted(200, 2), counted(200, 40)];
    expect(of(little, 'soot-counter-reset', 'ash-full')).toBeGreaterThan(
      2 * of(much, 'soot-counter-reset', 'ash-full'),
    );
  });

  it('never argues for less in the filter by more pressure, whatever it counts', () => {
    for (const sootG of [2, 8, 20, 45]) {
      let before = 0;
      for (let hold = 20; hold <= 400; hold *= 1.2) {
        const now = of(counted(hold, sootG), 'soot-loaded', 'ash-full');
        expect(now, `${sootG} g at ${hold} mbar`).toBeGreaterThan(before - 0.02);
        before = now;
      }
    }
  });
});

describe('codes that are not there', () => {
  const odds = (p: number): number => p / (1 - p);

  it('move the odds of a cause by a factor of three at the most, all together', () => {
    const [without, empty] = [chancesOf({}), chancesOf({ codes: [] })];
    for (const [id, chance] of without) expect(odds(chance) / odds(empty.get(id) ?? 0)).toBeLessThan(3.2);
  });

  it('say less where the scan was of some modules only', () => {
    const [whole, part] = [chancesOf({ codes: [] }), chancesOf({ codes: [], partialScan: true })];
    const without = chancesOf({});
    const fall = (chances: Map<string, number>): number =>
      odds(without.get('glow-plugs-failed') ?? 0) / odds(chances.get('glow-plugs-failed') ?? 0);
    expect(fall(part)).toBeLessThan(fall(whole));
  });

  it('nothing changes by a code that has nothing to do with it, nor by the order of codes', () => {
    const [one, beside] = [
      chancesOf({ codes: [{ code: 'P2463' }] }),
      chancesOf({ codes: [{ code: 'C0750' }, { code: 'P2463' }] }),
    ];
    for (const [id, chance] of one) expect(beside.get(id)).toBeCloseTo(chance, 12);
  });
});

describe('pressures before the turbo', () => {
  const running = (backPressureMbar: number): CaseFacts => ({
    reading: {
      barometerMbar: 1010,
      samples: [
        { kind: 'key-off', rpm: 0, dpMbar: 0, backPressureMbar: 1011, manifoldMbar: 1009 },
        { kind: 'hold', rpm: 3000, dpMbar: 24, backPressureMbar, manifoldMbar: 1195 },
      ],
    },
  });
  const BLIND = ['back-pressure-sensor-failed', 'back-pressure-pipe-blocked'] as const;

  it('that stay at the air while the manifold rises are of a blind sensor or its pipe', () => {
    expect(of(chancesOf(running(1014)), ...BLIND)).toBeGreaterThan(0.9);
    expect(of(chancesOf(running(1240)), ...BLIND)).toBeLessThan(0.15);
  });
});

describe('a gauge in the line beside a ΔP', () => {
  const seen = (hold: number, checks: Record<string, string>): Map<string, number> =>
    chancesOf({ ...rows(0, hold / 7, hold), checks }, false);
  const PATH = ['dp-sensor-failed', 'dp-sensor-wrong', 'sensor-wiring', 'low-pipe-blocked'];

  it('that is low makes a high ΔP that of the sensor, not of the filter', () => {
    const without = seen(390, {});
    const low = seen(390, { gauge: 'gauge-low' });
    expect(of(without, 'soot-loaded')).toBeGreaterThan(0.5);
    expect(of(low, 'soot-loaded', 'ash-full')).toBeLessThan(0.3);
    expect(of(low, ...PATH)).toBeGreaterThan(0.7);
  });
  it('that is high with a ΔP to match leaves the filter in question, and with a low one the way to the sensor', () => {
    expect(of(seen(300, { gauge: 'gauge-high' }), 'soot-loaded')).toBeGreaterThan(0.6);
    const hidden = seen(2, { gauge: 'gauge-high' });
    expect(
      of(hidden, 'high-pipe-blocked', 'dp-hose-off', 'dp-sensor-failed', 'downstream-restricted'),
    ).toBeGreaterThan(0.6);
  });
  it('moves nothing by a jump as the ΔP grows', () => {
    for (let hold = 20; hold < 500; hold *= 1.2) {
      const [now, more] = [seen(hold, { gauge: 'gauge-low' }), seen(1.01 * hold, { gauge: 'gauge-low' })];
      for (const [id, chance] of now) expect(Math.abs((more.get(id) ?? 0) - chance), id).toBeLessThan(0.03);
    }
  });
});
