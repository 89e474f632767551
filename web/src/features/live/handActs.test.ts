import { inEnglish } from '@white-ember/core/words';
import { describe, expect, it } from 'vitest';
import {
  BENCH_FAMILIES,
  BenchVehicle,
  benchFamily,
  Driver,
  perform,
  type BenchFamily,
} from '@white-ember/core/bench';
import { HANDS_ON } from './handActs.ts';

const tarn = benchFamily('Tarn 2.0') as BenchFamily;
const acts = HANDS_ON.flatMap(({ acts: its }) => its);

/** A vehicle with its ignition on, or its engine at idle. */
function vehicleWith({ running }: { running: boolean }, family = tarn): BenchVehicle {
  const vehicle = new BenchVehicle({ family, seed: 4 });
  const driver = new Driver(vehicle);
  driver.follow({ do: 'key-on' }, 2);
  if (running) {
    driver.follow({ do: 'start' }, 3);
    driver.follow({ do: 'idle' }, 8);
  }
  return vehicle;
}

describe('what hands can do', () => {
  it('has a name of its own for each act, so that a list of them can be read', () => {
    expect(new Set(acts.map(({ label }) => label)).size).toBe(acts.length);
    for (const { label } of acts) expect(label).toMatch(/^[A-Z]/);
  });

  it.each(acts.map((act) => [act.label, act] as const))(
    '%s: answers in words, on and off',
    (_label, { act }) => {
      for (const running of [false, true]) {
        const vehicle = vehicleWith({ running });
        const { text } = perform(vehicle, act(150));
        expect(inEnglish(text).length).toBeGreaterThan(3);
        // Whatever was done, the vehicle goes on.
        vehicle.run(2);
        expect(Number.isFinite(vehicle.read('dpfDeltaP'))).toBe(true);
      }
    },
  );

  it('puts no hand at a sensor port or a pipe while the engine runs', () => {
    for (const { label, act } of acts.filter(({ label }) =>
      /^(Pump|Soak|Work a cable|Blow|Replace)/.test(label),
    )) {
      const vehicle = vehicleWith({ running: true });
      expect(perform(vehicle, act(150)), label).toMatchObject({ done: false });
    }
  });

  it('shows at the sensor what is pumped, on every family', () => {
    const pump = acts.find(({ label }) => label === 'Pump on the high port');
    const off = acts.find(({ label }) => label === 'Take the pump off the high port');
    for (const family of BENCH_FAMILIES) {
      const vehicle = vehicleWith({ running: false }, family);
      if (pump) perform(vehicle, pump.act(150));
      vehicle.run(3);
      expect(vehicle.read('dpfDeltaP')).toBeGreaterThan(135);
      expect(vehicle.read('dpfDeltaP')).toBeLessThan(165);
      if (off) perform(vehicle, off.act(0));
      vehicle.run(3);
      expect(Math.abs(vehicle.read('dpfDeltaP') ?? 99)).toBeLessThan(6);
    }
  });
});
