import { say, type Said } from '../../words/index.ts';
import { correlation, median, quantile, toBase, type Unit } from '../../quantities/index.ts';
import { CHANNEL_ROLES, type ChannelRole, roleName } from '../channelRoles.ts';
import { indexAt } from '../indexAt.ts';
import type { RawColumn } from '../reader/rawLog.ts';
import { isAbsoluteOrGauge, isAir } from './columnUnit.ts';

/** A column as a role that it may have. */
export interface ReadAs {
  readonly column: RawColumn;
  readonly role: ChannelRole;
  readonly unit: Unit | 'none';
  readonly gauge: boolean;
}

/** What the values of a column say of a role that its heading names. */
export interface Saying {
  readonly agrees: readonly Said[];
  readonly contradicts: readonly Said[];
}

/** The moments at which all columns of a log are compared, and what is known of each. */
export interface Scene {
  readonly atS: Float64Array;
  /** Engine speed at those moments, rpm; empty where the log has none. */
  readonly rpm: Float64Array;
  /** Whether the speed moves enough for others to be seen following it. */
  readonly moves: boolean;
  /** Those of them at which the key is on and the engine off. */
  readonly atRest: readonly number[];
  /** As logged, mbar. */
  readonly barometerMbar?: number;
}

const MOMENTS = 1000;
const TURNING_RPM = 50;
/** Fewer moments at rest are a start, not a key-on. */
const LEAST_AT_REST = 3;
const SPEED_MOVES_RPM = 600;

/** Values of a column at the moments of a scene, in the base unit of its role. */
function valuesAt({ column, unit }: ReadAs, atS: Float64Array): Float64Array {
  const { timeS, values } = column;
  const base = (value: number): number => (unit === 'none' ? value : toBase(value, unit));
  return atS.map((at) => base(values[Math.max(0, indexAt(timeS, at, true) - 1)] as number));
}

/**
 * @param speed the column that is taken for the engine's speed, where there is one
 * @param barometer the one that is taken for the barometer
 */
export function sceneOf(speed: ReadAs | undefined, barometer: ReadAs | undefined): Scene {
  const timeS = speed?.column.timeS ?? new Float64Array();
  const count = Math.min(MOMENTS, timeS.length);
  const atS = Float64Array.from(
    { length: count },
    (_, i) => timeS[Math.floor((i * timeS.length) / count)] as number,
  );
  const rpm = speed ? valuesAt(speed, atS) : new Float64Array();
  const atRest = [...rpm.keys()].filter((i) => Math.abs(rpm[i] as number) < TURNING_RPM);
  const spread = (quantile(rpm, 0.95) ?? 0) - (quantile(rpm, 0.05) ?? 0);
  const air =
    barometer &&
    median(valuesAt(barometer, atS.length > 0 ? atS : barometer.column.timeS.subarray(0, MOMENTS)));
  return {
    atS,
    rpm,
    moves: spread >= SPEED_MOVES_RPM,
    atRest: atRest.length >= LEAST_AT_REST ? atRest : [],
    ...(air !== undefined && isAir(air) ? { barometerMbar: air } : {}),
  };
}

/** Sensors agree within this with the engine off; beyond `APART_MBAR` one of them is wrong, or not what it is called. */
const AGREE_MBAR = 30;
const APART_MBAR = 100;
/** No sensor of a filter's pressure drop is that far off with no flow. */
const NO_DIFFERENCE_MBAR = 300;
const NO_FLOW_GPERS = 3;
const SURE_FLOW_GPERS = 10;

/** With the key on and the engine off: pressures show the air, differences and flow nothing. */
function sayAtRest(read: ReadAs, values: Float64Array, scene: Scene): Saying {
  const shown = median(scene.atRest.map((i) => values[i] as number));
  if (shown === undefined) return NOTHING;
  const { role } = read;
  if (isAbsoluteOrGauge(role)) {
    const air = read.gauge ? 0 : scene.barometerMbar;
    if (air === undefined) return isAir(shown) ? agrees(say('logs.with-the-engine-off-it-shows')) : NOTHING;
    const apart = Math.abs(shown - air);
    const said = say('logs.with-the-engine-off-it-shows-2', { shown, air });
    return apart <= AGREE_MBAR ? agrees(said) : apart > APART_MBAR ? contradicts(said) : NOTHING;
  }
  if (role === 'dpfDeltaP' && Math.abs(shown) <= AGREE_MBAR)
    return agrees(say('logs.with-the-engine-off-it-shows-3'));
  if (role === 'massAirFlow') {
    if (Math.abs(shown) <= NO_FLOW_GPERS) return agrees(say('logs.with-the-engine-off-it-shows-3'));
    if (shown > SURE_FLOW_GPERS) return contradicts(say('logs.with-the-engine-off-it-shows-4', { shown }));
  }
  return NOTHING;
}

/** A pressure drop of an atmosphere at which an engine idles is the pressure itself. */
function sayOfLevel({ role }: ReadAs, values: Float64Array): Saying {
  const low = role === 'dpfDeltaP' ? quantile(values, 0.02) : undefined;
  return low !== undefined && low > NO_DIFFERENCE_MBAR && isAir(low)
    ? contradicts(say('logs.never-below-mbar-which-is-the', { low }))
    : NOTHING;
}

const FOLLOW_SPEED: ReadonlySet<ChannelRole> = new Set([
  'dpfDeltaP',
  'dpfInletPressure',
  'exhaustBackPressure',
  'manifoldPressure',
  'massAirFlow',
  'fuelRate',
]);
const KEEP_STILL: ReadonlySet<ChannelRole> = new Set(['barometricPressure', 'ambientTemp', 'fuelLevel']);
const FOLLOWS = 0.5;
const DOES_NOT_FOLLOW = 0.1;

function sayOfMovement({ role }: ReadAs, values: Float64Array, scene: Scene): Saying {
  if (!scene.moves) return NOTHING;
  const low = quantile(values, 0.05) ?? 0;
  const high = quantile(values, 0.95) ?? 0;
  if (FOLLOW_SPEED.has(role)) {
    const r = correlation(values, scene.rpm);
    return r >= FOLLOWS
      ? agrees(say('logs.it-moves-with-engine-speed'))
      : Math.abs(r) < DOES_NOT_FOLLOW
        ? contradicts(say('logs.it-does-not-move-with-engine'))
        : NOTHING;
  }
  if (!KEEP_STILL.has(role)) return NOTHING;
  const { low: least, high: most } = CHANNEL_ROLES[role];
  return high - low > 0.05 * (most - least) && correlation(values, scene.rpm) >= FOLLOWS
    ? contradicts(say('logs.it-moves-with-engine-speed'))
    : NOTHING;
}

const LEAST_FOR_STATE = 20;
const LEAST_FALLS = 3;

/** How its values go: a state has two, a counter only rises, a measured value does neither. */
function sayOfSteps({ role, column }: ReadAs): Saying {
  const { values } = column;
  const { quantity } = CHANNEL_ROLES[role];
  const two = (): boolean => {
    let seen = 0;
    for (const value of values) {
      if (value !== 0 && value !== 1) return false;
      seen |= value === 0 ? 1 : 2;
    }
    return seen === 3;
  };
  if (quantity !== 'fraction' && values.length >= LEAST_FOR_STATE && two())
    return contradicts(say('logs.only-0-and-1-like-a'));
  if (role === 'regenActive' && values.some((value) => value !== Math.round(value)))
    return contradicts(say('logs.a-state-has-no-values-in'));
  if (role !== 'distanceSinceRegen') return NOTHING;
  let falls = 0;
  for (let i = 1; i < values.length; i++) {
    const [before, now] = [values[i - 1] as number, values[i] as number];
    if (now < before && now > 0.1 * before) falls++;
  }
  return falls >= LEAST_FALLS ? contradicts(say('logs.a-distance-does-not-fall')) : NOTHING;
}

/** From the engine on: what lies further down is not hotter for long, whatever burns. */
const DOWNSTREAM: readonly (readonly [ChannelRole, ChannelRole, marginK: number])[] = [
  ['egt1', 'egt2', 30],
  ['egt3', 'egt4', 80],
  ['egt1', 'ambientTemp', 15],
  ['egt4', 'ambientTemp', 15],
];

/** Whether temperatures stand in the order of the way the gas takes. */
function sayOfOrder(read: ReadAs, values: Float64Array, scene: Scene, others: OthersOf): Saying {
  const agreed: Said[] = [];
  const wrong: Said[] = [];
  const middle = median(values);
  for (const [upper, lower, margin] of DOWNSTREAM) {
    const isUpper = read.role === upper;
    if (!isUpper && read.role !== lower) continue;
    const other = others(isUpper ? lower : upper);
    const theirs = other && other.column !== read.column ? median(valuesAt(other, scene.atS)) : undefined;
    if (theirs === undefined || middle === undefined) continue;
    const hotter = isUpper ? theirs - middle : middle - theirs;
    if (hotter > margin)
      wrong.push(
        say(isUpper ? 'logs.colder-than-what-lies-after' : 'logs.hotter-than-what-lies-before', {
          byK: Math.abs(hotter),
          role: roleName(isUpper ? lower : upper),
        }),
      );
    else if (hotter < 0)
      agreed.push(
        say(isUpper ? 'logs.hotter-than' : 'logs.colder-than', {
          role: roleName(isUpper ? lower : upper),
        }),
      );
  }
  return { agrees: agreed, contradicts: wrong };
}

const NOTHING: Saying = { agrees: [], contradicts: [] };
const agrees = (text: Said): Saying => ({ agrees: [text], contradicts: [] });
const contradicts = (text: Said): Saying => ({ agrees: [], contradicts: [text] });

/** The column that is likeliest to have a role. */
export type OthersOf = (role: ChannelRole) => ReadAs | undefined;

/** All that the values of a column say of one role, beside whether they lie in its range. */
export function valuesSay(read: ReadAs, scene: Scene, others: OthersOf): Saying {
  if (read.column.values.length === 0) return NOTHING;
  const values = valuesAt(read, scene.atS.length > 0 ? scene.atS : read.column.timeS.subarray(0, MOMENTS));
  const said = [
    sayOfSteps(read),
    sayOfLevel(read, values),
    ...(scene.atS.length === 0
      ? []
      : [
          sayAtRest(read, values, scene),
          sayOfMovement(read, values, scene),
          sayOfOrder(read, values, scene, others),
        ]),
  ];
  return {
    agrees: said.flatMap((one) => one.agrees),
    contradicts: said.flatMap((one) => one.contradicts),
  };
}
