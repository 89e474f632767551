import { describe, expect, it } from 'vitest';
import { filterVolumeL } from '../filter/index.ts';
import { BenchVehicle } from './benchVehicle.ts';
import { type BenchOptions } from './benchOptions.ts';
import { Driver } from './driver.ts';
import { benchFamily, type BenchFamily } from './families.ts';

const tarn = benchFamily('Tarn 2.0') as BenchFamily;
const volumeL = filterVolumeL(tarn.filter);

function bench(options: Partial<BenchOptions> = {}) {
  const vehicle = new BenchVehicle({ family: tarn, seed: 12, ...options });
  return { vehicle, driver: new Driver(vehicle), computer: vehicle.computer };
}

describe('the soot counter', () => {
  it('follows the filter on the road, within a third', () => {
    const { vehicle, driver, computer } = bench();
    driver.follow({ do: 'key-on' }, 3);
    driver.follow({ do: 'start' }, 3);
    driver.follow({ do: 'cruise', kmPerH: 70 }, 1200);
    expect(Math.abs(computer.sootG - vehicle.truth.sootG)).toBeLessThan(0.33 * vehicle.truth.sootG);
  });

  it('is drawn up by the pressure of a filter that holds more than it thinks, and not by a sensor it distrusts', () => {
    const after = (form?: string): number => {
      const { driver, computer } = bench({
        start: { sootG: 12 * volumeL },
        faults: form === undefined ? [] : [{ id: 'dp-sensor-failed', severity: 1, form }],
      });
      computer.sootG = 1;
      computer.modelSootG = 1;
      driver.follow({ do: 'key-on' }, 8);
      driver.follow({ do: 'start' }, 3);
      driver.follow({ do: 'hold', rpm: 2800 }, 200);
      return computer.sootG;
    };
    expect(after()).toBeGreaterThan(6 * volumeL);
    expect(after('dead')).toBeLessThan(1.5);
  });
});

describe('regeneration', () => {
  it('comes by itself on the road when soot calls for it, and the counter and the filter are empty after it', () => {
    const { vehicle, driver, computer } = bench({ start: { sootG: 6 * volumeL } });
    driver.follow({ do: 'key-on' }, 3);
    driver.follow({ do: 'start' }, 3);
    driver.follow({ do: 'idle' }, 30);
    expect(computer.regeneration).toMatchObject({
      phase: 'wanted',
      inhibitors: [{ say: 'link.vehicle-stands' }],
    });
    let hottest = 0;
    driver.follow({ do: 'cruise', kmPerH: 75 }, 1900, () => {
      hottest = Math.max(hottest, vehicle.read('egt3') ?? 0);
    });
    expect(hottest).toBeGreaterThan(580);
    expect(hottest).toBeLessThan(680);
    expect(computer.regeneration.phase).toBe('none');
    expect(computer.regeneration.distances).toHaveLength(1);
    expect(vehicle.truth.sootG).toBeLessThan(2 * volumeL);
    expect(vehicle.read('distanceSinceRegen')).toBeLessThan(30);
    // Late injection leaves some of its fuel in the oil.
    const other = bench({ start: { sootG: 1 } });
    other.driver.follow({ do: 'key-on' }, 3);
    other.driver.follow({ do: 'start' }, 3);
    other.driver.follow({ do: 'idle' }, 30);
    other.driver.follow({ do: 'cruise', kmPerH: 75 }, 1900);
    expect(vehicle.plant.oil.fuelG).toBeGreaterThan(other.vehicle.plant.oil.fuelG + 5);
  });

  it('fails twice with a blocked injector, and is then a code', () => {
    const { driver, computer } = bench({
      start: { sootG: 6 * volumeL },
      faults: [{ id: 'dosing-injector-blocked', severity: 1 }],
    });
    driver.follow({ do: 'key-on' }, 3);
    driver.follow({ do: 'start' }, 3);
    driver.follow({ do: 'cruise', kmPerH: 75 }, 2 * 35 * 60 + 200);
    expect(computer.regeneration.failures).toBeGreaterThanOrEqual(2);
    expect([...computer.codes.keys()]).toContain('P2458');
  });
});

describe('codes', () => {
  it('are pending, then confirmed with a freeze frame, stored when the fault is gone, and cut the power meanwhile', () => {
    const { vehicle, driver, computer } = bench();
    driver.follow({ do: 'key-on' }, 3);
    driver.follow({ do: 'start' }, 3);
    driver.follow({ do: 'idle' }, 20);
    vehicle.unplugged.add('dpfDeltaP');
    driver.follow({ do: 'idle' }, 4.5);
    expect(computer.codes.get('P2454')).toMatchObject({ status: 'pending', present: true });
    driver.follow({ do: 'idle' }, 5);
    const code = computer.codes.get('P2454');
    expect(code).toMatchObject({ status: 'confirmed', present: true });
    expect(code?.freezeFrame?.values.engineSpeed).toBeGreaterThan(700);
    expect(computer.powerLimit).toBe(0.75);
    vehicle.unplugged.delete('dpfDeltaP');
    driver.follow({ do: 'idle' }, 15);
    expect(computer.codes.get('P2454')).toMatchObject({ status: 'stored', present: false });
    expect(computer.powerLimit).toBe(1);
  });

  it('a pending one that does not come again is forgotten; self-tests are ready after a minute at flow', () => {
    const { vehicle, driver, computer } = bench();
    driver.follow({ do: 'key-on' }, 3);
    driver.follow({ do: 'start' }, 3);
    vehicle.unplugged.add('dpfDeltaP');
    driver.follow({ do: 'idle' }, 4.5);
    vehicle.unplugged.delete('dpfDeltaP');
    driver.follow({ do: 'idle' }, 15);
    expect(computer.codes.size).toBe(0);
    expect([...computer.readiness.values()].every((seconds) => seconds < 60)).toBe(true);
    driver.follow({ do: 'hold', rpm: 2500 }, 70);
    expect([...computer.readiness.values()].every((seconds) => seconds >= 60)).toBe(true);
  });

  it('none come on a sound vehicle in an hour of everything', () => {
    const { driver, computer } = bench({ start: { engineC: 15, ambientC: 15 } });
    driver.follow({ do: 'key-on' }, 6);
    driver.follow({ do: 'start' }, 4);
    driver.follow({ do: 'idle' }, 120);
    driver.follow({ do: 'hold', rpm: 2500 }, 300);
    driver.follow({ do: 'cruise', kmPerH: 50 }, 900);
    for (let i = 0; i < 4; i++) {
      driver.follow({ do: 'pull', gear: 3 }, 8);
      driver.follow({ do: 'cruise', kmPerH: 60 }, 60);
    }
    driver.follow({ do: 'cruise', kmPerH: 100 }, 1800);
    expect([...computer.codes.keys()]).toEqual([]);
  });
});

describe('the foot', () => {
  it('holds a speed within a few per cent, wanders by its seed, and drives at the speed it was told', () => {
    const { vehicle, driver } = bench();
    driver.follow({ do: 'key-on' }, 2);
    driver.follow({ do: 'start' }, 3);
    driver.follow({ do: 'hold', rpm: 2500 }, 10);
    const speeds: number[] = [];
    driver.follow({ do: 'hold', rpm: 2500 }, 30, () => speeds.push(vehicle.plant.engine.rpm));
    expect(Math.min(...speeds)).toBeGreaterThan(2330);
    expect(Math.max(...speeds)).toBeLessThan(2670);
    expect(Math.max(...speeds) - Math.min(...speeds)).toBeGreaterThan(30);
    driver.follow({ do: 'cruise', kmPerH: 80 }, 120);
    expect(Math.abs(vehicle.plant.road.kmPerH - 80)).toBeLessThan(4);
    expect(vehicle.controls.gear).toBeGreaterThan(3);
    driver.follow({ do: 'pedal', pedal: 0.3 }, 60);
    expect(vehicle.controls.gear).toBe(0);
    expect(vehicle.plant.engine.rpm).toBeGreaterThan(1500);
  });
});
