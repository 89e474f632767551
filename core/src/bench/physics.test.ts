import { describe, expect, it } from 'vitest';
import { filterVolumeL, pressureDrop } from '../filter/index.ts';
import { valueOf } from '../quantities/index.ts';
import { BenchVehicle } from './benchVehicle.ts';
import { Driver } from './driver.ts';
import { BENCH_FAMILIES, benchFamily, type BenchFamily } from './families.ts';
import { EXHAUST_CP, manifoldGasG } from './vehicle/airPath.ts';
import { FUEL_J_PER_G, frictionBar } from './vehicle/engine.ts';
import { lineHeatJ, sootRate } from './vehicle/exhaustLine.ts';
import { pipeTimeS } from './vehicle/pipes.ts';
import { meanFilterC } from './vehicle/pressures.ts';
import { sensorVolts } from './vehicle/sensors.ts';

const tarn = benchFamily('Tarn 2.0') as BenchFamily;

/** A warm vehicle with its engine idling, and the foot on it. */
function running(options: Partial<ConstructorParameters<typeof BenchVehicle>[0]> = {}) {
  const vehicle = new BenchVehicle({ family: tarn, seed: 7, ...options });
  const driver = new Driver(vehicle, { unsteady: 0 });
  driver.follow({ do: 'key-on' }, 3);
  driver.follow({ do: 'start' }, 2);
  return { vehicle, driver };
}

/** A drill with every kind of going: idle, holds, snaps, a drive, a pull. */
function everything(driver: Driver, each?: () => void): void {
  driver.follow({ do: 'idle' }, 30, each);
  driver.follow({ do: 'hold', rpm: 2500 }, 30, each);
  for (let i = 0; i < 3; i++) {
    driver.follow({ do: 'snap' }, 0.8, each);
    driver.follow({ do: 'idle' }, 8, each);
  }
  driver.follow({ do: 'cruise', kmPerH: 70 }, 120, each);
  driver.follow({ do: 'pull', gear: 3 }, 8, each);
  driver.follow({ do: 'cruise', kmPerH: 20 }, 40, each);
  driver.follow({ do: 'idle' }, 30, each);
}

describe('balances', () => {
  it.each(['Corrin 1.5', 'Tarn 2.0', 'Orrin 12.8'])(
    'of mass: what goes in comes out or is stored, %s',
    (name) => {
      const { vehicle, driver } = running({ family: benchFamily(name) as BenchFamily });
      const { plant, family, stepS } = vehicle;
      const stored = (): number => manifoldGasG(family, plant.air.manifoldMbar, plant.air.manifoldC);
      const before = stored();
      let [into, out] = [0, 0];
      everything(driver, () => {
        into += (plant.air.meteredGPerS + plant.air.unmeteredGPerS + plant.engine.fuelGPerS) * stepS;
        out += (plant.exhaust.gPerS + plant.air.leakGPerS) * stepS;
      });
      expect(into).toBeGreaterThan(3000);
      expect(Math.abs(into - out - (stored() - before)) / into).toBeLessThan(0.01);
    },
  );

  it('of mass with leaks on both sides of the compressor', () => {
    const { vehicle, driver } = running({
      faults: [
        { id: 'intake-leak', severity: 0.7 },
        { id: 'charge-leak', severity: 0.7 },
      ],
    });
    const { plant, stepS } = vehicle;
    let [into, out, unmetered, leaked] = [0, 0, 0, 0];
    everything(driver, () => {
      into += (plant.air.meteredGPerS + plant.air.unmeteredGPerS + plant.engine.fuelGPerS) * stepS;
      out += (plant.exhaust.gPerS + plant.air.leakGPerS) * stepS;
      unmetered += plant.air.unmeteredGPerS * stepS;
      leaked += plant.air.leakGPerS * stepS;
    });
    expect(unmetered / into).toBeGreaterThan(0.3);
    expect(leaked / into).toBeGreaterThan(0.1);
    expect(Math.abs(into - out) / into).toBeLessThan(0.01);
  });

  it('of energy along the exhaust line: gas, reactions, turbine, surroundings and what the parts store', () => {
    const { vehicle, driver } = running({ faults: [{ id: 'short-trips', severity: 0.5 }] });
    const { plant, family, scale, stepS } = vehicle;
    driver.follow({ do: 'idle' }, 5);
    const before = lineHeatJ(family, scale, plant);
    let [into, out, through] = [0, 0, 0];
    const { exhaust, air, engine } = plant;
    everything(driver, () => {
      const port = air.cylinderGPerS + air.egrGPerS + engine.fuelGPerS;
      into += (port * EXHAUST_CP * exhaust.portC + exhaust.reactionW) * stepS;
      // Recirculated gas leaves before the turbo; dosed fuel comes in as warm as the gas there.
      const line = exhaust.gPerS + exhaust.dosedGPerS;
      out +=
        (air.egrGPerS * EXHAUST_CP * exhaust.gasC[0] +
          line * EXHAUST_CP * exhaust.tailC +
          exhaust.turbineW +
          exhaust.lossW -
          exhaust.dosedGPerS * EXHAUST_CP * exhaust.gasC[0]) *
        stepS;
      through += port * EXHAUST_CP * exhaust.portC * stepS;
    });
    const change = lineHeatJ(family, scale, plant) - before;
    expect(Math.abs(into - out - change) / through).toBeLessThan(0.01);
  });

  it('of energy in the engine: fuel becomes work, heat of coolant and oil, and heat of the gas', () => {
    const { vehicle, driver } = running();
    const { plant, stepS } = vehicle;
    const { engine, air, exhaust } = plant;
    let [fuel, used] = [0, 0];
    everything(driver, () => {
      const heat = engine.fuelGPerS * FUEL_J_PER_G;
      const omega = Math.max((engine.rpm * Math.PI) / 30, 5);
      const gasIn = (air.cylinderGPerS + air.egrGPerS) * 1.005 * air.manifoldC;
      const gasOut = (air.cylinderGPerS + air.egrGPerS + engine.fuelGPerS) * EXHAUST_CP * exhaust.portC;
      fuel += heat * stepS;
      // Friction turns into heat what it takes of the work: it is counted with the work here.
      const frictionHeat = engine.coolantW + engine.oilW - 0.28 * heat;
      used +=
        (engine.indicatedNm * omega + engine.coolantW + engine.oilW - frictionHeat + gasOut - gasIn) * stepS;
    });
    expect(Math.abs(fuel - used) / fuel).toBeLessThan(0.01);
  });

  it('of soot: made, caught, burnt and passed', () => {
    const { vehicle, driver } = running({ faults: [{ id: 'short-trips', severity: 0.8 }] });
    const { plant, stepS } = vehicle;
    const before = vehicle.truth.sootG;
    let [made, burnt, passed] = [0, 0, 0];
    vehicle.computer.regeneration.forced = 'driving';
    driver.follow({ do: 'cruise', kmPerH: 80 }, 900, () => {
      made += plant.engine.sootGPerS * stepS;
      burnt += plant.filter.burntGPerS * stepS;
      passed += plant.filter.passedGPerS * stepS;
    });
    expect(burnt).toBeGreaterThan(10);
    expect(Math.abs(before + made - burnt - passed - vehicle.truth.sootG) / before).toBeLessThan(0.01);
  });
});

describe('the filter of the bench', () => {
  it('has the pressure drop of core/filter at what flows through it', () => {
    const { vehicle, driver } = running();
    let compared = 0;
    everything(driver, () => {
      const { plant } = vehicle;
      if (vehicle.tick % 200 !== 0) return;
      const drop = valueOf(
        pressureDrop(
          tarn.filter,
          { sootG: vehicle.truth.sootG, ashG: vehicle.truth.ashG },
          {
            exhaustKgPerS: plant.exhaust.gPerS / 1000,
            temperatureC: meanFilterC(plant),
            outletPressurePa: plant.exhaust.afterFilterMbar * 100,
          },
        ),
      );
      expect(plant.filter.deltaPMbar).toBeCloseTo(drop.totalMbar, 6);
      compared++;
    });
    expect(compared).toBeGreaterThan(60);
  });

  it.each(
    BENCH_FAMILIES.filter(({ displacementL }) => Math.abs(displacementL - 2) < 0.05).map(({ name }) => name),
  )('reads 0–6 mbar at warm idle and 15–60 at 3000 after a good clean: %s', (name) => {
    const family = benchFamily(name) as BenchFamily;
    const { vehicle, driver } = running({ family, start: { sootG: 5.5 } });
    driver.follow({ do: 'hold', rpm: 3000 }, 240);
    const hold = vehicle.read('dpfDeltaP') ?? 0;
    driver.follow({ do: 'idle' }, 60);
    const idle = vehicle.read('dpfDeltaP') ?? 0;
    expect(idle).toBeGreaterThan(0);
    expect(idle).toBeLessThan(6);
    expect(hold).toBeGreaterThan(15);
    expect(hold).toBeLessThan(60);
  });

  it('dries after a clean: pressure first high, then falling to a plateau while it is held', () => {
    const { vehicle, driver } = running();
    vehicle.plant.filter.wetG = 1000;
    const at = (seconds: number): number => {
      driver.follow({ do: 'hold', rpm: 2800 }, seconds);
      return vehicle.plant.filter.deltaPMbar;
    };
    const [wet, drying, dry, later] = [at(20), at(300), at(600), at(120)];
    expect(wet).toBeGreaterThan(1.5 * dry);
    expect(drying).toBeLessThan(wet);
    expect(Math.abs(later - dry) / dry).toBeLessThan(0.05);
    expect(vehicle.plant.filter.wetG).toBeLessThan(1);
  });

  it('overheats when a burning, loaded bed is dropped to idle, less when the flow is kept up', () => {
    const peak = (then: 'goes on' | 'stopped' | 'dropped'): number => {
      const { vehicle, driver } = running({ start: { sootG: 20 } });
      const { regeneration } = vehicle.computer;
      driver.follow({ do: 'hold', rpm: 2400 }, 60);
      expect(vehicle.startRoutine('regenerate-standing').status).toBe('running');
      for (let i = 0; i < 600 && vehicle.plant.filter.peakC < 655; i++) driver.follow({ do: 'idle' }, 1);
      expect(vehicle.truth.sootG).toBeGreaterThan(12);
      if (then === 'stopped') vehicle.startRoutine('stop');
      if (then === 'dropped') {
        regeneration.phase = 'none';
        regeneration.forced = undefined;
      }
      let after = 0;
      driver.follow({ do: 'idle' }, 90, () => (after = Math.max(after, vehicle.plant.filter.peakC)));
      return after;
    };
    const [goesOn, stopped, dropped] = [peak('goes on'), peak('stopped'), peak('dropped')];
    expect(goesOn).toBeLessThan(750);
    expect(dropped).toBeGreaterThan(goesOn + 60);
    expect(stopped).toBeLessThan(dropped - 20);
  });
});

describe('the method', () => {
  it('gives the same by the same seed, and other noise but the same plant by another', () => {
    const trace = (seed: number): number[] => {
      const { vehicle, driver } = running({ seed });
      const values: number[] = [];
      driver.follow({ do: 'hold', rpm: 2600 }, 10, () => values.push(vehicle.read('dpfDeltaP') ?? 0));
      return values;
    };
    expect(trace(5)).toEqual(trace(5));
    expect(trace(6)).not.toEqual(trace(5));
  });

  it('shows a channel the same however often it is read, and looking changes nothing', () => {
    const looked = running();
    const left = running();
    looked.driver.follow({ do: 'idle' }, 5, () => {
      expect(looked.vehicle.read('dpfDeltaP')).toBe(looked.vehicle.read('dpfDeltaP'));
    });
    left.driver.follow({ do: 'idle' }, 5);
    expect(looked.vehicle.plant).toEqual(left.vehicle.plant);
  });

  it.each(['Corrin 1.5', 'Tarn 2.0', 'Larch 8.9'])(
    'changes by less than 1 % at half the step: %s',
    (name) => {
      const family = benchFamily(name) as BenchFamily;
      const top = 0.6 * family.governedRpm;
      const means = (stepS: number): number[] => {
        const { vehicle, driver } = running({ family, stepS });
        const { plant } = vehicle;
        const found: number[] = [];
        const over = (wish: Parameters<Driver['follow']>[0], seconds: number): void => {
          driver.follow(wish, seconds / 2);
          const sums = [0, 0, 0, 0, 0, 0, 0];
          let n = 0;
          driver.follow(wish, seconds / 2, () => {
            n++;
            [
              plant.engine.rpm,
              plant.filter.deltaPMbar,
              plant.air.manifoldMbar,
              plant.exhaust.beforeTurbineMbar,
              plant.air.cylinderGPerS,
              plant.exhaust.gasC[2],
              plant.coolantC,
            ].forEach((value, i) => (sums[i] = (sums[i] as number) + value));
          });
          found.push(...sums.map((sum) => sum / n));
        };
        over({ do: 'idle' }, 30);
        over({ do: 'hold', rpm: top }, 60);
        over({ do: 'cruise', kmPerH: 60 }, 100);
        over({ do: 'idle' }, 60);
        return found;
      };
      const [whole, half] = [means(0.02), means(0.01)];
      whole.forEach((value, i) => {
        expect(
          Math.abs(value - (half[i] as number)) / Math.abs(half[i] as number),
          `value ${i}`,
        ).toBeLessThan(0.01);
      });
    },
  );
});

describe('worked values', () => {
  it('of friction, oxidation, pipes and the transfer line', () => {
    expect(frictionBar(3000, 90)).toBeCloseTo(2, 1);
    expect(sootRate(tarn, 600)).toBeCloseTo(0.0463, 3);
    expect(pipeTimeS(0.2, 0)).toBeCloseTo(2, 6);
    expect(pipeTimeS(0, 10)).toBe(Number.POSITIVE_INFINITY);
    const { vehicle } = running();
    vehicle.wear.deltaP.stuckAt = 500;
    const view = {
      ...vehicle,
      family: tarn,
      plant: vehicle.plant,
      wear: vehicle.wear,
      unplugged: new Set<string>(),
      seed: 1,
      tick: 1,
    };
    expect(sensorVolts(view, 'dpfDeltaP')).toBeCloseTo(2.5, 9);
  });

  it('of the families: ten and more, from 1.5 L to 12.8 L, each with a filter about as large as its engine', () => {
    expect(BENCH_FAMILIES.length).toBeGreaterThanOrEqual(10);
    const sizes = BENCH_FAMILIES.map(({ displacementL }) => displacementL);
    expect(Math.min(...sizes)).toBe(1.5);
    expect(Math.max(...sizes)).toBe(12.8);
    expect(new Set(BENCH_FAMILIES.map(({ name }) => name)).size).toBe(BENCH_FAMILIES.length);
    for (const { filter, displacementL } of BENCH_FAMILIES) {
      expect(filterVolumeL(filter) / displacementL).toBeGreaterThan(1.1);
      expect(filterVolumeL(filter) / displacementL).toBeLessThan(2.5);
    }
  });
});
