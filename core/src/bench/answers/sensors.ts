import { meterShows } from '../../checks/index.ts';
import { perform } from '../acts.ts';
import { egtResting, SENSOR_A } from '../vehicle/sensors.ts';
import { entered, written, type BenchHand } from './bench.ts';
import type { Answer, Answers } from './answer.ts';

const KEY_ON = { do: 'key-on' } as const;

const zero: Answer = (hand) => {
  hand.keyOn(30);
  const restMbar = hand.mean('dpfDeltaP', KEY_ON);
  const { vehicle } = hand;
  vehicle.pumped.set('dp-high', 0).set('dp-low', 0);
  const hosesOffMbar = hand.mean('dpfDeltaP', KEY_ON);
  vehicle.pumped.clear();
  return entered({ restMbar, hosesOffMbar });
};

/** What a meter shows at supply and ground: the ground loses what the sensor's current drops in it. */
const feed = ({ vehicle }: BenchHand) => {
  const batteryV = vehicle.plant.battery.volts;
  return { batteryV, groundFromPlusV: batteryV - vehicle.wear.groundOhm * SENSOR_A };
};

const electrical: Answer = (hand) => {
  hand.keyOn(5);
  const { vehicle } = hand;
  vehicle.pumped.set('dp-high', 0).set('dp-low', 0);
  hand.follow(KEY_ON, 0.5);
  const signalV = vehicle.volts('dpfDeltaP');
  vehicle.pumped.clear();
  return entered({ ...feed(hand), supplyV: vehicle.wear.supplyV, signalV });
};

const supply: Answer = (hand) => {
  hand.keyOn(5);
  const { supplyV } = hand.vehicle.wear;
  return entered({ ...feed(hand), firstV: supplyV, secondV: supplyV });
};

/** Up to full scale in fifths and down again; then the low port. */
const ladder: Answer = (hand) => {
  hand.keyOn(3);
  const { vehicle } = hand;
  const full = vehicle.family.dpFullScaleMbar;
  const at = (mbar: number): number => {
    perform(vehicle, { do: 'pump', port: 'dp-high', mbar });
    return written(hand.mean('dpfDeltaP', KEY_ON, 0.5) ?? 0);
  };
  const rungs = [0, 0.2, 0.4, 0.6, 0.8, 1].map((share) => share * full);
  const up = rungs.map(at);
  const down = [...rungs].reverse().map(at).reverse();
  perform(vehicle, { do: 'pump', port: 'dp-high', mbar: undefined });
  perform(vehicle, { do: 'pump', port: 'dp-low', mbar: 0.2 * full });
  const lowPortMbar = hand.mean('dpfDeltaP', KEY_ON, 0.5);
  perform(vehicle, { do: 'pump', port: 'dp-low', mbar: undefined });
  return {
    fullScaleMbar: full,
    gaugeZeroMbar: 0,
    rungs: rungs.map((applied, i) => [applied, up[i] ?? null, down[i] ?? null]),
    ...entered({ lowPortMbar }),
  };
};

/** The same at rest and in a hold with the old and with a known-good sensor. */
function pairs(hand: BenchHand, sensor: 'dpfDeltaP' | 'exhaustBackPressure'): (number | null)[][] {
  const read = (): (number | undefined)[] => {
    hand.keyOn(4);
    const rest = hand.mean(sensor, KEY_ON);
    hand.hold();
    return [rest, hand.mean(sensor, { do: 'hold', rpm: hand.holdRpm }, 3)];
  };
  const old = read();
  const good = hand.withKnownGood(sensor, read);
  return [0, hand.holdRpm].map((rpm, i) => [rpm, written(old[i] ?? 0), written(good[i] ?? 0)]);
}

const swap: Answer = (hand) => ({ pairs: pairs(hand, 'dpfDeltaP') });

const compare: Answer = (hand) =>
  hand.vehicle.family.backPressureSensor ? { pairs: pairs(hand, 'exhaustBackPressure') } : {};

const agree: Answer = (hand) => {
  hand.keyOn(10);
  const [barometerMbar, manifoldMbar, backPressureMbar] = hand.means(
    ['barometricPressure', 'manifoldPressure', 'exhaustBackPressure'],
    KEY_ON,
  );
  return entered({ barometerMbar, manifoldMbar, backPressureMbar });
};

const coldSoak: Answer = (hand) => {
  hand.keyOn(1);
  hand.follow({ do: 'off' }, 1);
  perform(hand.vehicle, { do: 'stand', hours: 9 });
  hand.keyOn(2);
  const [egt1C, egt2C, egt3C, egt4C, coolantC, intakeC, ambientC] = hand.means(
    ['egt1', 'egt2', 'egt3', 'egt4', 'coolantTemp', 'intakeAirTemp', 'ambientTemp'],
    KEY_ON,
  );
  return entered({ hours: 9, egt1C, egt2C, egt3C, egt4C, coolantC, intakeC, ambientC });
};

const OPEN_OHM = 1e9;
const OPEN_MV = 500;

/** At the plugs, the line cooled down to what a hand bears. */
const resistance: Answer = (hand) => {
  const { vehicle } = hand;
  hand.keyOn(1);
  hand.follow({ do: 'off' }, 1);
  perform(vehicle, { do: 'stand', hours: 1 });
  const { egtKind, egts } = vehicle.family;
  const ambientC = vehicle.plant.ambientC;
  return {
    kind: egtKind,
    ambientC: written(ambientC),
    readings: egts.map((number) => {
      const its = egtResting(vehicle.plant, vehicle.wear, number);
      const open = egtKind === 'thermocouple' ? OPEN_MV : OPEN_OHM;
      return [
        number,
        its.senses === undefined ? open : Number(meterShows(egtKind, its.senses, ambientC).toPrecision(4)),
        written(its.standsIn),
      ];
    }),
  };
};

/** When each channel has risen by 20 °C after a cold start. */
const position: Answer = (hand) => {
  const { vehicle } = hand;
  hand.keyOn(1);
  hand.follow({ do: 'off' }, 1);
  perform(vehicle, { do: 'stand', hours: 9 });
  hand.keyOn(2);
  const roles = vehicle.family.egts.map((number) => `egt${number}` as const);
  const begin = hand.means(roles, KEY_ON);
  hand.start();
  const rises: (number | null)[] = roles.map(() => null);
  for (let s = 0; s < 900 && rises.includes(null); s++) {
    hand.follow({ do: 'idle' }, 1);
    roles.forEach((role, i) => {
      if (rises[i] === null && (vehicle.read(role) ?? 0) > (begin[i] ?? 0) + 20) rises[i] = s + 1;
    });
  }
  return { rises: vehicle.family.egts.map((number, i) => [number, rises[i] ?? null]) };
};

/** What checks of sensors and their wiring show. */
export const SENSOR_ANSWERS = {
  'dp-zero': zero,
  'dp-electrical': electrical,
  'dp-ladder': ladder,
  'dp-swap': swap,
  'absolute-agree': agree,
  'sensor-compare': compare,
  'egt-position': position,
  'egt-cold-soak': coldSoak,
  'egt-resistance': resistance,
  supply,
} as const satisfies Answers;
