/** Causes of a set by id, each with the form in which it is there, where it has forms. */
export type CauseSet = readonly { readonly cause: string; readonly form: string | undefined }[];

/** What is in the way of the gas between the taps. */
export const FILTER_STATES = [
  'sound',
  'soot',
  'ash',
  'soot-and-ash',
  'cracked',
  'cracked-and-loaded',
  'catalyst',
  'catalyst-and-loaded',
] as const;
export type FilterState = (typeof FILTER_STATES)[number];

/** What the ΔP sensor makes of it. */
export const PATH_STATES = [
  'honest',
  'zero-off',
  'low',
  'high',
  'wrong-range',
  'high-pipe',
  'low-pipe',
  'hose-off',
  'crossed',
  'stuck',
  'dead',
] as const;
export type PathState = (typeof PATH_STATES)[number];

/** Causes that change what is in the way of the gas, or what the sensor makes of it. */
export const PRESSURE_CAUSES: readonly string[] = [
  'soot-loaded',
  'ash-full',
  'filter-cracked',
  'catalyst-restricted',
  'dp-sensor-failed',
  'dp-sensor-wrong',
  'dp-hoses-crossed',
  'dp-hose-off',
  'high-pipe-blocked',
  'low-pipe-blocked',
  'sensor-wiring',
];

const has = (set: CauseSet, cause: string, form?: string): boolean =>
  set.some((one) => one.cause === cause && (form === undefined || one.form === form));

/** Something else in the line keeps the gas up: what stands before the filter is high whatever the filter is. */
export const isChokedElsewhere = (set: CauseSet): boolean =>
  has(set, 'downstream-restricted') ||
  (has(set, 'catalyst-restricted') && !has(set, 'catalyst-restricted', 'between-taps'));

export function filterStateOf(set: CauseSet): FilterState {
  const [soot, ash] = [has(set, 'soot-loaded'), has(set, 'ash-full')];
  const loaded = soot || ash;
  if (has(set, 'filter-cracked')) return loaded ? 'cracked-and-loaded' : 'cracked';
  if (has(set, 'catalyst-restricted', 'between-taps')) return loaded ? 'catalyst-and-loaded' : 'catalyst';
  if (soot && ash) return 'soot-and-ash';
  return soot ? 'soot' : ash ? 'ash' : 'sound';
}

/** Of several faults of the way the one that leaves least of the pressure is what is seen. */
export function pathStateOf(set: CauseSet): PathState {
  if (has(set, 'dp-sensor-failed', 'dead')) return 'dead';
  if (has(set, 'dp-sensor-failed', 'stuck')) return 'stuck';
  if (has(set, 'dp-hoses-crossed')) return 'crossed';
  if (has(set, 'dp-hose-off')) return 'hose-off';
  if (has(set, 'high-pipe-blocked')) return 'high-pipe';
  if (has(set, 'dp-sensor-failed', 'low')) return 'low';
  if (has(set, 'dp-sensor-failed', 'high')) return 'high';
  if (has(set, 'dp-sensor-wrong') || has(set, 'sensor-wiring', 'supply')) return 'wrong-range';
  if (has(set, 'dp-sensor-failed', 'zero-off') || has(set, 'sensor-wiring', 'ground')) return 'zero-off';
  if (has(set, 'low-pipe-blocked')) return 'low-pipe';
  return 'honest';
}
