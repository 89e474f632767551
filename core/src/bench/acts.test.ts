import { inEnglish, spoken } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import { filterVolumeL } from '../filter/index.ts';
import { perform as does } from './acts.ts';
import { BenchVehicle } from './benchVehicle.ts';
import { type BenchOptions } from './benchOptions.ts';
import { Driver } from './driver.ts';
import { benchFamily, type BenchFamily } from './families.ts';

const perform = spoken(does);

const tarn = benchFamily('Tarn 2.0') as BenchFamily;

function standing(options: Partial<BenchOptions> = {}) {
  const vehicle = new BenchVehicle({ family: tarn, seed: 4, ...options });
  const driver = new Driver(vehicle, { unsteady: 0 });
  driver.follow({ do: 'key-on' }, 4);
  return { vehicle, driver };
}

const dp = (vehicle: BenchVehicle): number => vehicle.read('dpfDeltaP') ?? Number.NaN;

describe('at the sensor', () => {
  it('a pump ladder shows gain, end of scale and the low port', () => {
    const { vehicle, driver } = standing();
    const at = (mbar: number): number => {
      perform(vehicle, { do: 'pump', port: 'dp-high', mbar });
      driver.follow({ do: 'key-on' }, 0.5);
      return dp(vehicle);
    };
    for (const mbar of [0, 200, 500, 900]) expect(Math.abs(at(mbar) - mbar)).toBeLessThan(0.05 * mbar + 2);
    expect(at(1500)).toBeLessThan(1100);
    perform(vehicle, { do: 'pump', port: 'dp-high', mbar: undefined });
    perform(vehicle, { do: 'pump', port: 'dp-low', mbar: 60 });
    driver.follow({ do: 'key-on' }, 0.5);
    expect(dp(vehicle)).toBeLessThan(-40);
    perform(vehicle, { do: 'pump', port: 'dp-low', mbar: undefined });
    driver.follow({ do: 'key-on' }, 2);
    expect(Math.abs(dp(vehicle))).toBeLessThan(1);
  });

  it('unplugged it shows the circuit, swapped it shows the truth again', () => {
    const { vehicle, driver } = standing({
      faults: [{ id: 'dp-sensor-failed', severity: 1, form: 'stuck' }],
    });
    expect(dp(vehicle)).toBeCloseTo(300, 0);
    perform(vehicle, { do: 'unplug', sensor: 'dpfDeltaP' });
    driver.follow({ do: 'key-on' }, 10);
    expect(vehicle.volts('dpfDeltaP')).toBeLessThan(0.15);
    expect(vehicle.computer.codes.has('P2454')).toBe(true);
    perform(vehicle, { do: 'swap-sensor', sensor: 'dpfDeltaP' });
    driver.follow({ do: 'key-on' }, 1);
    expect(Math.abs(dp(vehicle))).toBeLessThan(1);
  });
});

describe('at a pipe', () => {
  it('an open pipe loses what is pumped into it, a blocked one holds it', () => {
    const held = (severity: number): number => {
      const { vehicle, driver } = standing({ faults: [{ id: 'high-pipe-blocked', severity }] });
      perform(vehicle, { do: 'pump-pipe', pipe: 'high', mbar: -400 });
      driver.follow({ do: 'key-on' }, 5);
      return vehicle.plant.pipes.high;
    };
    expect(held(0)).toBeGreaterThan(-1);
    expect(held(1)).toBeLessThan(-390);
  });

  it('a shut pipe wants soaking before the rod; then the value answers again', () => {
    const { vehicle, driver } = standing({ faults: [{ id: 'high-pipe-blocked', severity: 1 }] });
    perform(vehicle, { do: 'unplug', sensor: 'dpfDeltaP' });
    expect(perform(vehicle, { do: 'blow-pipe', pipe: 'high' }).text).toMatch(/Hardly/);
    expect(perform(vehicle, { do: 'rod-pipe', pipe: 'high' })).toMatchObject({ done: false });
    perform(vehicle, { do: 'soak-pipe', pipe: 'high' });
    expect(perform(vehicle, { do: 'rod-pipe', pipe: 'high' })).toMatchObject({ done: true });
    perform(vehicle, { do: 'plug', sensor: 'dpfDeltaP' });
    driver.follow({ do: 'start' }, 3);
    driver.follow({ do: 'hold', rpm: 3000 }, 15);
    expect(Math.abs(dp(vehicle) - vehicle.plant.filter.deltaPMbar)).toBeLessThan(2);
  });

  it('air blown into a pipe with the sensor on ruins the sensor', () => {
    const { vehicle } = standing();
    perform(vehicle, { do: 'blow-pipe', pipe: 'high' });
    expect(vehicle.faults.map(({ id }) => id)).toContain('dp-sensor-failed');
  });

  it('nothing is done at a pipe while the engine runs', () => {
    const { vehicle, driver } = standing();
    driver.follow({ do: 'start' }, 3);
    for (const act of ['soak-pipe', 'rod-pipe', 'blow-pipe', 'replace-pipe'] as const)
      expect(perform(vehicle, { do: act, pipe: 'high' })).toMatchObject({ done: false });
    expect(vehicle.faults).toEqual([]);
  });
});

describe('at the filter', () => {
  const loaded = [{ id: 'soot-loaded', severity: 0.8 }] as const;

  it('fluid, dwell and held revs take soot out: pressure first rises, then falls below what it was', () => {
    const { vehicle, driver } = standing({ faults: loaded, start: { engineC: 20, ambientC: 18 } });
    const before = vehicle.truth.sootG;
    expect(perform(vehicle, { do: 'inject-fluid', grams: 1000, by: 'high-pipe' })).toMatchObject({
      done: true,
    });
    driver.follow({ do: 'key-on' }, 30 * 60);
    driver.follow({ do: 'start' }, 3);
    driver.follow({ do: 'hold', rpm: 2800 }, 60);
    const wet = vehicle.plant.filter.deltaPMbar;
    driver.follow({ do: 'hold', rpm: 2800 }, 900);
    expect(vehicle.plant.filter.deltaPMbar).toBeLessThan(0.5 * wet);
    expect(vehicle.truth.sootG).toBeLessThan(0.6 * before);
    expect(vehicle.plant.filter.wetG).toBeLessThan(5);
  });

  it('fluid goes on to loosen while the vehicle stands, as in a dwell that is waited for', () => {
    const after = (dwell: (of: ReturnType<typeof standing>) => void): number => {
      const of = standing({ faults: loaded, start: { engineC: 20, ambientC: 18 } });
      perform(of.vehicle, { do: 'inject-fluid', grams: 1000, by: 'high-pipe' });
      dwell(of);
      return of.vehicle.plant.filter.loosenedG;
    };
    const waited = after(({ driver }) => driver.follow({ do: 'off' }, 3600));
    const left = after(({ vehicle }) => perform(vehicle, { do: 'stand', hours: 1 }));
    expect(waited).toBeGreaterThan(10);
    expect(left / waited).toBeCloseTo(1, 2);
    // In a filter that stays too hot nothing is loosened.
    const hot = standing({ faults: loaded });
    hot.driver.follow({ do: 'start' }, 3);
    hot.driver.follow({ do: 'cruise', kmPerH: 90 }, 400);
    hot.driver.follow({ do: 'off' }, 2);
    perform(hot.vehicle, { do: 'inject-fluid', grams: 300, by: 'sensor-port' });
    perform(hot.vehicle, { do: 'stand', hours: 0.01 });
    expect(hot.vehicle.plant.filter.loosenedG).toBeLessThan(1);
  });

  it('fluid into a hot filter boils off, and through a blocked pipe does not arrive', () => {
    const hot = standing({ faults: loaded });
    hot.driver.follow({ do: 'start' }, 3);
    hot.driver.follow({ do: 'cruise', kmPerH: 90 }, 400);
    hot.driver.follow({ do: 'idle' }, 5);
    expect(perform(hot.vehicle, { do: 'inject-fluid', grams: 300, by: 'sensor-port' }).text).toMatch(/boils/);
    const blocked = standing({ faults: [{ id: 'high-pipe-blocked', severity: 1 }] });
    expect(perform(blocked.vehicle, { do: 'inject-fluid', grams: 300, by: 'high-pipe' })).toMatchObject({
      done: false,
    });
    expect(blocked.vehicle.plant.filter.wetG).toBe(0);
  });

  it('off the vehicle: cold, weighed, flushed, dried, refitted; ash is gone and the scale says how much', () => {
    const { vehicle, driver } = standing({ faults: [{ id: 'ash-full', severity: 1 }] });
    const hot = perform(vehicle, { do: 'take-filter-off' });
    expect(hot).toMatchObject({ done: false });
    expect(hot.text).toMatch(/wait/);
    expect(perform(vehicle, { do: 'back-flush' })).toMatchObject({ done: false });
    driver.follow({ do: 'off' }, 2 * 3600);
    const off = perform(vehicle, { do: 'take-filter-off' });
    const wet = perform(vehicle, { do: 'back-flush' });
    const dry = perform(vehicle, { do: 'dry-filter' });
    expect(wet.grams).toBeGreaterThan(dry.grams ?? Infinity);
    expect((off.grams ?? 0) - (dry.grams ?? 0)).toBeGreaterThan(50 * filterVolumeL(tarn.filter));
    expect(perform(vehicle, { do: 'refit-filter' })).toMatchObject({ done: true });
    driver.follow({ do: 'key-on' }, 2);
    driver.follow({ do: 'start' }, 4);
    driver.follow({ do: 'hold', rpm: 3000 }, 60);
    expect(dp(vehicle)).toBeLessThan(30);
  });

  it('opening the line at joints leaves out what lies behind: the restricted section is found', () => {
    const before = (joint: 'before-catalyst' | 'before-filter' | 'after-filter' | undefined): number => {
      const { vehicle, driver } = standing({ faults: [{ id: 'downstream-restricted', severity: 1 }] });
      perform(vehicle, { do: 'open-joint', joint });
      driver.follow({ do: 'start' }, 3);
      driver.follow({ do: 'hold', rpm: 3000 }, 20);
      return vehicle.plant.exhaust.afterTurbineMbar - vehicle.plant.barometerMbar;
    };
    const [closed, after, ahead, first] = [
      before(undefined),
      before('after-filter'),
      before('before-filter'),
      before('before-catalyst'),
    ];
    expect(closed - after).toBeGreaterThan(100);
    expect(after).toBeGreaterThan(ahead);
    expect(ahead).toBeGreaterThan(first);
    expect(first).toBe(0);
  });
});

describe('around the engine', () => {
  it('oil, plugs, fuel, ducts and hoses: the fault is gone and the computer’s counters are not', () => {
    const { vehicle } = standing({
      faults: [
        { id: 'oil-counter', severity: 1, form: 'diluted' },
        { id: 'fuel-low', severity: 1 },
        { id: 'intake-leak', severity: 0.8 },
        { id: 'dp-hoses-crossed', severity: 1 },
        { id: 'glow-plugs-failed', severity: 1 },
      ],
    });
    perform(vehicle, { do: 'change-oil' });
    perform(vehicle, { do: 'refuel' });
    perform(vehicle, { do: 'seal-duct' });
    perform(vehicle, { do: 'right-hoses' });
    perform(vehicle, { do: 'change-glow-plugs' });
    expect(vehicle.plant.oil.fuelG).toBe(0);
    expect(vehicle.computer.oilLifePercent).toBe(0);
    expect(vehicle.read('fuelLevel')).toBe(100);
    expect(vehicle.wear).toMatchObject({ unmeteredShare: 0, hosesCrossed: false, glowPlugsDead: 0 });
    vehicle.startRoutine('reset-oil');
    expect(vehicle.computer.oilLifePercent).toBe(100);
  });
});

describe('routines', () => {
  it('are refused with a reason where the computer’s own conditions do not hold', () => {
    const { vehicle, driver } = standing();
    expect(vehicle.startRoutine('regenerate-standing')).toMatchObject({ status: 'refused' });
    driver.follow({ do: 'start' }, 3);
    for (const id of [
      'clear-codes',
      'reset-soot',
      'new-filter',
      'adapt-delta-p',
      'reset-oil',
      'vane-sweep',
    ] as const)
      expect(vehicle.startRoutine(id), id).toMatchObject({ status: 'refused' });
    driver.follow({ do: 'off' }, 3);
    expect(inEnglish(vehicle.startRoutine('clear-codes').text)).toMatch(/ignition/);
  });

  it('clearing, learning a zero, telling of a new filter: counters change, the filter does not', () => {
    const { vehicle, driver } = standing({
      faults: [
        { id: 'dp-sensor-failed', severity: 0.5, form: 'zero-off' },
        { id: 'soot-loaded', severity: 0.6 },
      ],
    });
    const soot = vehicle.truth.sootG;
    expect(dp(vehicle)).toBeGreaterThan(10);
    vehicle.startRoutine('adapt-delta-p');
    driver.follow({ do: 'key-on' }, 1);
    expect(Math.abs(dp(vehicle))).toBeLessThan(1);
    vehicle.startRoutine('new-filter');
    expect(vehicle.read('sootMass')).toBe(0);
    expect(vehicle.read('ashMass')).toBe(0);
    expect(vehicle.truth.sootG).toBeCloseTo(soot, 6);
    vehicle.computer.codes.set('P2463', {
      code: 'P2463',
      status: 'confirmed',
      sinceS: 1,
      present: true,
      occurrences: 1,
      freezeFrame: undefined,
    });
    vehicle.startRoutine('clear-codes');
    expect(vehicle.computer.codes.size).toBe(0);
  });

  it('a sweep moves the vanes between their stops and ends by itself', () => {
    const { vehicle, driver } = standing();
    expect(vehicle.startRoutine('vane-sweep').status).toBe('running');
    let [low, high] = [100, 0];
    driver.follow({ do: 'key-on' }, 9, () => {
      const at = vehicle.read('turboVanePosition') ?? 50;
      low = Math.min(low, at);
      high = Math.max(high, at);
    });
    expect(low).toBeLessThan(10);
    expect(high).toBeGreaterThan(90);
    expect(vehicle.computer.routine?.status).toBe('done');
  });

  it('a standing regeneration burns soot off, keeps the speed up while it cools, and the counter follows', () => {
    const { vehicle, driver } = standing({ start: { sootG: 16 } });
    driver.follow({ do: 'start' }, 3);
    driver.follow({ do: 'hold', rpm: 2500 }, 60);
    expect(vehicle.startRoutine('regenerate-standing')).toMatchObject({ status: 'running' });
    let hottest = 0;
    for (let i = 0; i < 1800 && vehicle.computer.routine?.status === 'running'; i++) {
      driver.follow({ do: 'idle' }, 1);
      hottest = Math.max(hottest, vehicle.plant.filter.peakC);
    }
    expect(vehicle.computer.routine?.status).toBe('done');
    expect(hottest).toBeGreaterThan(580);
    expect(hottest).toBeLessThan(900);
    expect(vehicle.truth.sootG).toBeLessThan(5);
    expect(vehicle.read('sootMass')).toBeLessThan(5);
  });
});
