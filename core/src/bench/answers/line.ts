import { noise } from '../../quantities/index.ts';
import { filterVolumeL } from '../../filter/index.ts';
import { perform, type JointName } from '../acts.ts';
import type { BenchVehicle } from '../benchVehicle.ts';
import { recirculatedC } from '../vehicle/airPath.ts';
import type { Answer, Answers } from './answer.ts';
import { entered, written, type BenchHand } from './bench.ts';

const RELEASE_S = 12;
const RECORD_HZ = 10;

/** What an eye sees of a share of damage: below this nothing. */
const SEEN = {
  pipeLeak: 0.2,
  hoseLeak: 0.12,
  hoseOff: 0.9,
  unmetered: 0.05,
  chargeLeak: 0.08,
  bypass: 0.15,
} as const;
const SEEN_OIL_G = 4;
const MUCH_ASH_G_PER_L = 25;

const hoses: Answer = ({ vehicle: { wear, family } }) => ({
  backPipe: !family.backPressureSensor
    ? 'none'
    : wear.backPressurePipeLeak > SEEN.pipeLeak
      ? 'cracked'
      : 'whole',
  order: wear.hosesCrossed ? 'low' : 'high',
  state: wear.highHoseLeak > SEEN.hoseOff ? 'off' : wear.highHoseLeak > SEEN.hoseLeak ? 'split' : 'whole',
});

/** The hold, then recorded from the moment at which the engine stands. */
const response: Answer = (hand) => {
  const { vehicle } = hand;
  hand.hold(hand.holdRpm, 20);
  const [dpHoldMbar, backPressureHoldMbar, manifoldHoldMbar] = hand.means(
    ['dpfDeltaP', 'exhaustBackPressure', 'manifoldPressure'],
    { do: 'hold', rpm: hand.holdRpm },
  );
  hand.follow({ do: 'off' }, 0.2);
  for (let i = 0; i < 60 && vehicle.plant.engine.rpm > 60; i++) hand.follow({ do: 'key-on' }, 0.1);
  const dp: number[][] = [];
  const back: number[][] = [];
  const manifold: number[][] = [];
  for (let i = 0; i <= RELEASE_S * RECORD_HZ; i++) {
    const at = i / RECORD_HZ;
    dp.push([at, written(vehicle.read('dpfDeltaP') ?? 0)]);
    const pressure = vehicle.read('exhaustBackPressure');
    if (pressure !== undefined) back.push([at, Number(pressure.toPrecision(4))]);
    manifold.push([at, Number((vehicle.read('manifoldPressure') ?? 0).toPrecision(4))]);
    hand.follow({ do: 'key-on' }, 1 / RECORD_HZ);
  }
  return {
    ...entered({ dpHoldMbar, backPressureHoldMbar, manifoldHoldMbar }),
    dpRelease: dp,
    manifoldRelease: manifold,
    ...(back.length > 0 ? { backPressureRelease: back } : {}),
  };
};

const pump: Answer = (hand) => {
  hand.keyOn(20);
  const { vehicle } = hand;
  const test = (pipe: 'high' | 'low' | 'back-pressure'): [number, number] => {
    const shown = (): number => vehicle.plant.pipes[pipe === 'back-pressure' ? 'backPressure' : pipe];
    perform(vehicle, { do: 'pump-pipe', pipe, mbar: 400 });
    hand.follow({ do: 'key-on' }, 0.3);
    const start = shown();
    hand.follow({ do: 'key-on' }, 2);
    return [start, shown()];
  };
  const { family } = vehicle;
  const [highStartMbar, highLeftMbar] = test('high');
  const [lowStartMbar, lowLeftMbar] = family.dpLowSide === 'pipe' ? test('low') : [];
  const [backStartMbar, backLeftMbar] = family.backPressureSensor ? test('back-pressure') : [];
  return entered({ highStartMbar, highLeftMbar, lowStartMbar, lowLeftMbar, backStartMbar, backLeftMbar });
};

const smoke: Answer = ({ vehicle: { wear } }) => {
  const before = wear.unmeteredShare > SEEN.unmetered;
  const behind = wear.chargeLeak > SEEN.chargeLeak;
  return { where: before && behind ? 'both' : before ? 'before' : behind ? 'behind' : 'nowhere' };
};

const airMass: Answer = (hand) => {
  hand.hold(hand.holdRpm, 15);
  const [rpm, manifoldMbar, intakeC, airGPerS, egrPercent] = hand.means(
    ['engineSpeed', 'manifoldPressure', 'intakeAirTemp', 'massAirFlow', 'egrPosition'],
    { do: 'hold', rpm: hand.holdRpm },
    5,
  );
  return entered({ rpm, manifoldMbar, intakeC, airGPerS, egrPercent });
};

const turbo: Answer = ({ vehicle: { wear } }) => ({
  turns: wear.turboEfficiency < 0.45 ? 'drags' : wear.turboEfficiency < 0.82 ? 'wobbles' : 'free',
  oil: wear.oilIntoExhaustGPerS > 0.004 ? 'wet' : 'dry',
});

const vanes: Answer = (hand) => {
  hand.keyOn(3);
  const { vehicle } = hand;
  vehicle.startRoutine('vane-sweep');
  let [least, most] = [200, -200];
  hand.follow({ do: 'key-on' }, 9, () => {
    const at = vehicle.read('turboVanePosition') ?? 0;
    least = Math.min(least, at);
    most = Math.max(most, at);
  });
  return entered({ leastPercent: least, mostPercent: most });
};

/** A sound valve does not go quite to its end. */
const OPEN_PERCENT = 92;

const egr: Answer = (hand) => {
  hand.keyOn(3);
  const { vehicle } = hand;
  const shutPercent = hand.mean('egrPosition', { do: 'key-on' });
  hand.hold(0.4 * vehicle.family.governedRpm, 60);
  return entered({
    shutPercent,
    // Commanded wide open; on this vehicle nothing keeps it shut.
    openPercent: Math.max(OPEN_PERCENT, shutPercent ?? 0),
    behindC: recirculatedC(vehicle.plant, vehicle.wear),
    coolantC: vehicle.plant.coolantC,
    gasC: vehicle.plant.exhaust.gasC[0],
  });
};

/** Gauge after the turbine in a hold, mbar above the air, with what the needle swings. */
function gaugeInHold(hand: BenchHand, seconds: number): { mean: number; swing: number } {
  const { plant } = hand.vehicle;
  hand.hold(hand.holdRpm, seconds);
  let [sum, count] = [0, 0];
  hand.follow({ do: 'hold', rpm: hand.holdRpm }, 3, () => {
    sum += plant.exhaust.afterTurbineMbar - plant.barometerMbar;
    count++;
  });
  const mean = sum / count;
  return { mean, swing: 0.15 * mean + 8 };
}

const gauge: Answer = (hand) => {
  const { mean, swing } = gaugeInHold(hand, 15);
  return {
    port: 'after-turbine',
    ...entered({
      rpm: hand.holdRpm,
      lowMbar: mean - swing / 2,
      highMbar: mean + swing / 2,
      sensorMbar: hand.vehicle.read('dpfDeltaP'),
    }),
  };
};

const sections: Answer = (hand) => {
  const { vehicle } = hand;
  const at = (joint: JointName | undefined): number => {
    hand.keyOn(2);
    perform(vehicle, { do: 'open-joint', joint });
    return gaugeInHold(hand, 12).mean;
  };
  const [closedMbar, afterFilterMbar, beforeFilterMbar, beforeCatalystMbar] = [
    at(undefined),
    at('after-filter'),
    at('before-filter'),
    at('before-catalyst'),
  ];
  hand.keyOn(1);
  perform(vehicle, { do: 'open-joint', joint: undefined });
  return entered({ rpm: hand.holdRpm, closedMbar, afterFilterMbar, beforeFilterMbar, beforeCatalystMbar });
};

const look: Answer = ({ vehicle: { plant, wear, family } }) => ({
  outlet: wear.filterBypass > SEEN.bypass ? 'sooty' : 'clean',
  inlet: plant.filter.oilG > SEEN_OIL_G ? 'oily' : 'dry',
  powder: plant.filter.ashG / filterVolumeL(family.filter) > MUCH_ASH_G_PER_L ? 'much' : 'little',
});

/** Distance since the soot counter was set back, or since the vehicle was new: the computer keeps it. */
const sinceReset = ({ computer, plant }: BenchVehicle): number =>
  plant.road.km - (computer.adaptations.sootResetAtKm ?? 0);

const counter: Answer = (hand) => {
  hand.keyOn(2);
  return entered({
    counterG: hand.vehicle.read('sootMass'),
    sinceRegenKm: hand.vehicle.read('distanceSinceRegen'),
    sinceResetKm: sinceReset(hand.vehicle),
  });
};

const fuelLevel: Answer = ({ vehicle }) => entered({ fuelPercent: vehicle.read('fuelLevel') });

const useHistory: Answer = ({ vehicle }) =>
  entered({ distanceKm: vehicle.plant.road.km, hours: vehicle.engineHours });

const dosing: Answer = ({ vehicle: { wear } }) => ({
  passage: wear.dosingOpen < 0.3 ? 'shut' : wear.dosingOpen < 0.85 ? 'narrow' : 'clear',
});

const DEAD_OHM = 99_999;
const PLUG_OHM = 0.6;

const glow: Answer = ({ vehicle: { wear, family, plant, seed } }) => ({
  plugs: Array.from({ length: family.cylinders }, (_, i) => [
    i + 1,
    i < wear.glowPlugsDead ? DEAD_OHM : written(PLUG_OHM * (1 + 0.08 * noise(seed, 60, i))),
  ]),
  preheatV: wear.glowRelayDead ? 0 : written(plant.battery.volts - 0.9),
});

/** Oil between the marks, as a share of the fill. */
const BETWEEN_MARKS = 0.17;

const oil: Answer = ({ vehicle }) => {
  const { plant, family, computer } = vehicle;
  const spanL = BETWEEN_MARKS * family.oilL;
  const overL = plant.oil.litres + plant.oil.fuelG / 835 - family.oilL;
  const dilutionPercent = vehicle.read('oilDilution');
  return {
    ...entered({
      level: 0.85 + overL / spanL,
      sumpL: family.oilL,
      spanL,
      dilutionPercent,
      lifePercent: computer.oilLifePercent,
    }),
    smell: (dilutionPercent ?? 0) > 4 ? 'fuel' : 'oil',
    lowAsh: 'yes',
  };
};

/** On the road until it is through, then recorded. */
const thermostat: Answer = (hand) => {
  hand.start();
  hand.follow({ do: 'cruise', kmPerH: 60 }, 900);
  const coolant: number[][] = [];
  for (let at = 0; at <= 180; at += 15) {
    coolant.push([at, written(hand.vehicle.read('coolantTemp') ?? 0)]);
    hand.follow({ do: 'cruise', kmPerH: 60 }, 15);
  }
  hand.follow({ do: 'cruise', kmPerH: 5 }, 20);
  hand.follow({ do: 'idle' }, 10);
  return { coolant };
};

const injectors: Answer = ({ vehicle: { wear, family, seed } }) => ({
  quantities: Array.from({ length: family.cylinders }, (_, i) => [
    i + 1,
    written(20 * (1 + 0.03 * noise(seed, 61, i)) * (i === 1 ? 1 + wear.overFuelling * family.cylinders : 1)),
  ]),
});

/** What checks of air, engine, line and filter show. */
export const LINE_ANSWERS = {
  hoses,
  'pipe-response': response,
  'pipe-pump': pump,
  'intake-smoke': smoke,
  'air-mass': airMass,
  turbo,
  'vane-sweep': vanes,
  egr,
  'dosing-injector': dosing,
  glow,
  oil,
  thermostat,
  gauge,
  sections,
  'filter-look': look,
  counter,
  'fuel-level': fuelLevel,
  'use-history': useHistory,
  injectors,
} as const satisfies Answers;
