import { mbarOfPin, pinVolts, UNPOWERED_V } from '../../bench/index.ts';
import { dropAt, FILTER_L, standing, steps } from '../example.ts';
import { setChoice, setFigure, type Model } from '../model.ts';

const FULL_MBAR = 1000;
const OFFSET_MBAR = 25;
const STUCK_MBAR = 40;
/** Below this nothing flows that a sensor could show. */
const TURNS_RPM = 300;

export const SENSOR_STATES = [
  'sound',
  'zero-off',
  'dead',
  'stuck',
  'crossed',
  'high-blocked',
  'low-blocked',
  'high-off',
] as const;
export type SensorState = (typeof SENSOR_STATES)[number];

interface Seen {
  /** At its two ports, mbar above the air. */
  readonly high: number;
  readonly low: number;
  readonly truth: number;
  readonly volts: number;
  readonly shown: number;
}

/**
 * What a ΔP sensor to 1000 mbar shows of a filter in neutral. A pipe that is blocked holds the pressure of rest, that of the air;
 * so does a hose that is off.
 * rpm and g in; mbar and V out. Valid 0–4500 rpm and to 8 g/L.
 */
export function dpSensorSees(state: SensorState, rpm: number, sootG: number): Seen {
  const { outletMbar } = standing(rpm);
  const truth = dropAt(rpm, { sootG, ashG: 0 }).mbar;
  const atFilter = { high: outletMbar + truth, low: outletMbar };
  const high = state === 'high-blocked' || state === 'high-off' ? 0 : atFilter.high;
  const low = state === 'low-blocked' ? 0 : atFilter.low;
  const [first, second] = state === 'crossed' ? [low, high] : [high, low];
  const felt = state === 'stuck' ? STUCK_MBAR : first - second + (state === 'zero-off' ? OFFSET_MBAR : 0);
  const volts = state === 'dead' ? UNPOWERED_V : pinVolts(felt, FULL_MBAR);
  return { high: first, low: second, truth, volts, shown: mbarOfPin(volts, FULL_MBAR) };
}

const moves = [
  { id: 'state', options: SENSOR_STATES, start: 'sound' },
  { id: 'rpm', from: 0, to: 4000, step: 100, start: 2500, unit: 'rpm' },
  { id: 'soot', from: 0, to: 8, step: 0.5, start: 4, unit: 'per-litre' },
] as const;

/** The sensor at its filter: what is there, what it feels, what it shows. */
export const dpSensor: Model<SensorState | 'at-rest'> = {
  moves,
  answer(settings) {
    const state = setChoice(SENSOR_STATES, settings, 'state');
    const rpm = setFigure(moves, settings, 'rpm');
    const sootG = setFigure(moves, settings, 'soot') * FILTER_L;
    const seen = dpSensorSees(state, rpm, sootG);
    const along = steps(0, 4000, 20).map((at) => ({ at, ...dpSensorSees(state, at, sootG) }));
    return {
      figures: [
        { id: 'true-drop', quantity: 'pressure', value: seen.truth },
        { id: 'high-port', quantity: 'pressure', value: seen.high },
        { id: 'low-port', quantity: 'pressure', value: seen.low },
        { id: 'signal', quantity: 'volts', value: seen.volts },
        { id: 'shown', quantity: 'pressure', value: seen.shown },
      ],
      picture: {
        kind: 'lines',
        x: { id: 'engine-speed', quantity: 'rpm' },
        y: { id: 'pressure-drop', quantity: 'pressure' },
        lines: [
          { id: 'true-drop', points: along.map(({ at, truth }) => [at, truth]) },
          { id: 'shown', points: along.map(({ at, shown }) => [at, shown]) },
        ],
        marks: [{ id: 'shown', at: [rpm, seen.shown] }],
      },
      tells: rpm < TURNS_RPM && state === 'sound' ? 'at-rest' : state,
    };
  },
};
