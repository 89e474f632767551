import { METRIC } from '@white-ember/core/words';
import { describe, expect, it } from 'vitest';
import { benchChannel, benchFamily, type BenchFamily } from '@white-ember/core/bench';
import { DEFAULT_LIMITS } from '@white-ember/core/limits';
import type { ChannelRole } from '@white-ember/core/readings';
import { cleanNowMbar, deltaPLimit, limitNow, type LiveFacts } from './liveLimits.ts';
import { columnsOf, LiveTrace } from './liveTrace.ts';
import { shownLive } from './shownLive.ts';

const UNITS = { ...METRIC, pressure: 'kPa', temperature: 'degF', massFlow: 'kgPerH' } as const;
const tarn = benchFamily('Tarn 2.0') as BenchFamily;

const facts = (values: Partial<Record<ChannelRole, number>>, sizeKnown = true): LiveFacts => ({
  limits: DEFAULT_LIMITS,
  geometry: sizeKnown ? tarn.filter : undefined,
  displacementL: tarn.displacementL,
  latest: (role) => values[role],
});

describe('the limit of the moment', () => {
  it('goes with the engine: off, idle, and the two holds', () => {
    const at = (engineSpeed: number, dpfDeltaP: number) =>
      deltaPLimit(facts({ engineSpeed, dpfDeltaP }), 'mbar');
    expect(at(0, 0.4)).toEqual({ text: 'engine off: 0 ± 10 mbar', over: false });
    expect(at(0, -14)).toMatchObject({ over: true });
    expect(at(820, 6)).toEqual({ text: 'at idle good to 10 mbar', over: false });
    expect(at(820, 14)).toMatchObject({ over: true });
    expect(at(2500, 30)?.text).toBe('at 2500 rpm good to 60 mbar');
    expect(at(3000, 90)).toEqual({ text: 'at 3000 rpm good to 80 mbar', over: true });
  });

  it('says nothing at a speed for which there is no limit: other flows are not compared', () => {
    for (const engineSpeed of [1500, 2000, 2100, 3600])
      expect(deltaPLimit(facts({ engineSpeed, dpfDeltaP: 90 }), 'mbar')).toBeUndefined();
  });

  it('says of a value below nothing that it is none, and nothing where there is no value', () => {
    expect(deltaPLimit(facts({ engineSpeed: 2500, dpfDeltaP: -20 }), 'mbar')).toEqual({
      text: 'below 0 with the engine running: hoses, pipes or sensor',
      over: true,
    });
    expect(deltaPLimit(facts({ engineSpeed: 2500 }), 'mbar')).toBeUndefined();
    expect(deltaPLimit(facts({ dpfDeltaP: 3 }), 'mbar')).toBeUndefined();
  });

  it('is said in the person’s unit', () => {
    expect(deltaPLimit(facts({ engineSpeed: 3000, dpfDeltaP: 10 }), 'kPa')?.text).toMatch(/8(\.0+)? kPa/);
  });
});

describe('the limits of the other channels', () => {
  const units = METRIC;
  const at = (role: ChannelRole, values: Partial<Record<ChannelRole, number>>, sizeKnown = true) =>
    limitNow(role, facts(values, sizeKnown), units);

  it('set absolute sensors against the barometer with the engine off, and only then', () => {
    const rest = { engineSpeed: 0, barometricPressure: 1000 };
    expect(at('manifoldPressure', { ...rest, manifoldPressure: 1040 })).toEqual({
      text: 'engine off: 1000 mbar ± 10 %',
      over: false,
    });
    expect(at('exhaustBackPressure', { ...rest, exhaustBackPressure: 1130 })).toMatchObject({ over: true });
    expect(
      at('exhaustBackPressure', { ...rest, engineSpeed: 800, exhaustBackPressure: 1130 }),
    ).toBeUndefined();
    expect(at('manifoldPressure', { engineSpeed: 0, manifoldPressure: 1040 })).toBeUndefined();
  });

  it('set the air mass against speed–density above idle', () => {
    const hold = { engineSpeed: 2500, manifoldPressure: 1150, intakeAirTemp: 25 };
    expect(at('massAirFlow', { ...hold, massAirFlow: 47 })).toMatchObject({ over: false });
    expect(at('massAirFlow', { ...hold, massAirFlow: 22 })).toMatchObject({ over: true });
    expect(at('massAirFlow', { ...hold, engineSpeed: 820, massAirFlow: 4 })).toBeUndefined();
  });

  it('tell a circuit from a temperature, a cold engine, and much soot by the filter’s size', () => {
    expect(at('egt3', { egt3: 240 })).toBeUndefined();
    expect(at('egt3', { egt3: -40 })).toMatchObject({ over: true });
    expect(at('coolantTemp', { coolantTemp: 50 })?.text).toBe('not warm yet: from 78 °C');
    expect(at('sootMass', { sootMass: 41 }, false)).toEqual({ text: 'high above 40 g', over: true });
    expect(at('sootMass', { sootMass: 39 })).toMatchObject({ over: false });
    expect(at('barometricPressure', { barometricPressure: 1000 })).toBeUndefined();
  });
});

describe('what a clean filter would read now', () => {
  it('needs the size and the flow, and goes with both', () => {
    expect(cleanNowMbar(facts({ massAirFlow: 50 }, false))).toBeUndefined();
    expect(cleanNowMbar(facts({}))).toBeUndefined();
    expect(cleanNowMbar(facts({ massAirFlow: 0.3 }))).toBeUndefined();
    const [some, more] = [20, 60].map(
      (massAirFlow) => cleanNowMbar(facts({ massAirFlow })) ?? Number.NaN,
    ) as [number, number];
    expect(some).toBeGreaterThan(1);
    expect(more).toBeGreaterThan(3 * some);
  });

  it('takes the temperatures that are believable, and an assumed one where none is', () => {
    const at = (values: Partial<Record<ChannelRole, number>>): number =>
      cleanNowMbar(facts({ massAirFlow: 50, ...values })) ?? Number.NaN;
    expect(at({ egt3: 500, egt4: 480 })).toBeGreaterThan(1.4 * at({ egt3: 150, egt4: 140 }));
    expect(at({ egt3: 999, egt4: 200 })).toBeCloseTo(at({ egt4: 200 }), 9);
    expect(at({ egt3: -40 })).toBeCloseTo(at({}), 9);
  });
});

describe('a value as it is shown', () => {
  it('stands in the person’s unit, no finer than makes sense', () => {
    const deltaP = benchChannel(tarn, 'dpfDeltaP', 'live');
    expect(shownLive(deltaP, 123.4, UNITS)).toEqual({ figure: '12.3', unit: 'kPa' });
    expect(shownLive(deltaP, 4.2, UNITS)).toEqual({ figure: '0.42', unit: 'kPa' });
    expect(shownLive(benchChannel(tarn, 'egt3', 'live'), 100, UNITS)).toEqual({ figure: '212', unit: '°F' });
    expect(shownLive(benchChannel(tarn, 'massAirFlow', 'live'), 10, UNITS)).toEqual({
      figure: '36.0',
      unit: 'kg/h',
    });
    expect(shownLive(benchChannel(tarn, 'engineSpeed', 'live'), 2503.4, UNITS).figure).toBe('2503');
  });

  it('stays in volts where only they are offered, and bare where it has no unit', () => {
    expect(shownLive(benchChannel(tarn, 'dpfDeltaP', 'volts'), 0.512, UNITS)).toEqual({
      figure: '0.51',
      unit: 'V',
    });
    expect(shownLive(benchChannel(tarn, 'regenActive', 'live'), 1, UNITS)).toEqual({ figure: '1', unit: '' });
  });
});

describe('a live trace', () => {
  const traceOf = (seconds: number, value: (timeS: number) => number): LiveTrace => {
    const trace = new LiveTrace();
    for (let i = 0; i < seconds * 20; i++) trace.push(i / 20, value(i / 20));
    return trace;
  };
  const wave = traceOf(1800, (timeS) => Math.sin(timeS / 2.5) * 10);

  it('is drawn by the lowest and highest reading of each pixel, near and far', () => {
    for (const [fromS, width] of [
      [0, 600],
      [1740, 600],
    ] as const) {
      const columns = columnsOf(wave, fromS, 1800, width);
      expect(columns.length).toBeLessThanOrEqual(width + 1);
      expect(Math.max(...columns.map(({ high }) => high))).toBeCloseTo(10, 2);
      expect(Math.min(...columns.map(({ low }) => low))).toBeCloseTo(-10, 2);
      for (let i = 1; i < columns.length; i++)
        expect(columns[i]?.x).toBeGreaterThan(columns[i - 1]?.x ?? Infinity);
    }
  });

  it('loses no single reading when half an hour is looked at', () => {
    const spiked = traceOf(1800, (timeS) => (timeS === 700.15 ? 99 : 1));
    expect(columnsOf(spiked, 0, 1800, 500).filter(({ high }) => high === 99)).toHaveLength(1);
  });

  it('begins where the view begins', () => {
    const columns = columnsOf(wave, 1740, 1800, 300);
    expect(columns[0]?.x).toBe(0);
    expect(columnsOf(new LiveTrace(), 0, 60, 300)).toEqual([]);
    expect(columnsOf(wave, 1900, 1960, 300)).toEqual([]);
  });

  it('keeps half an hour at least and an hour at most, however long it goes on', () => {
    const long = traceOf(3 * 3600, (timeS) => timeS);
    expect(long.timeS.length).toBeLessThanOrEqual(3600 * 20 + 2);
    expect(long.timeS[0]).toBeLessThanOrEqual(3 * 3600 - 1800);
    expect(long.values).toEqual(long.timeS);
    const columns = columnsOf(long, 3 * 3600 - 1800, 3 * 3600, 400);
    expect(columns[0]?.x).toBe(0);
    expect(columns.at(-1)?.x).toBe(399);
  });
});
