/** Parts of the line. */
export const parts = {
  engine: 'Engine',
  turbine: 'Turbine',
  catalyst: 'Catalyst (DOC)',
  filter: 'Filter (DPF)',
  scr: 'SCR brick',
  silencer: 'Silencer',
  'dp-sensor': 'ΔP sensor',
  'high-pipe': 'High pipe',
  'low-pipe': 'Low pipe',
  'back-pressure-sensor': 'Back-pressure sensor',
  egt1: 'EGT 1, before turbo',
  egt2: 'EGT 2, before catalyst',
  egt3: 'EGT 3, before filter',
  egt4: 'EGT 4, after filter',
} as const;

/** How a part was found. */
export const partStates = {
  'not-looked-at': 'not looked at',
  sound: 'sound',
  doubtful: 'doubtful',
  failed: 'failed',
  replaced: 'replaced',
  'proven-clear': 'proven clear',
} as const;

/** Work that is done. */
export const works = {
  'chemical-clean': 'Chemical clean in place',
  'drive-regeneration': 'Drive regeneration',
  'standing-regeneration': 'Parked regeneration',
  'off-vehicle-clean': 'Off-vehicle back-flush',
  'filter-exchanged': 'Filter replaced',
  'pipe-cleared': 'Pipe cleared',
  'sensor-replaced': 'Sensor replaced',
  'cause-repaired': 'Cause repaired',
  'oil-changed': 'Oil changed',
  other: 'Other work',
} as const;

/** What can be done to a filter. */
export const treatments = {
  nothing: 'Leave the filter alone',
  drive: 'Drive regeneration',
  standing: 'Parked regeneration',
  chemical: 'Chemical clean in place',
  'off-vehicle': 'Off-vehicle clean, back-flushed',
  exchange: 'Replacement filter',
} as const;

/** How a regeneration ended. */
export const burnEnds = {
  'by-itself': 'finished by itself',
  stopped: 'stopped',
  fire: 'ended in a fire',
  unknown: 'end not seen',
} as const;

/** What a face of the filter looks like. */
export const faces = {
  clean: 'clean',
  grey: 'grey, dry',
  black: 'black, soot',
  oily: 'oily',
  white: 'white, ash',
  cracked: 'cracked',
  melted: 'melted',
  plugged: 'plugged',
} as const;

/** What is set back or learned anew. */
export const resets = {
  'adapt-delta-p': 'ΔP sensor zero learned',
  'reset-oil': 'Oil life reset',
  'reset-soot': 'Soot counter reset',
  'new-filter': 'New filter registered in the ECU',
  'learned-values': 'Learned values reset',
  'clear-codes': 'Codes cleared',
} as const;

/** May it be driven. */
export const drivable = {
  drive: 'It may be driven',
  limited: 'It may be driven, limited',
  no: 'It may not be driven',
} as const;

/** The stages of a job. */
export const stages = {
  intake: 'Intake',
  codes: 'Codes',
  baseline: 'Baseline',
  checks: 'Checks',
  decide: 'Decide',
  treat: 'Treat',
  prove: 'Prove',
  'hand-over': 'Hand over',
} as const;

/** What is on the van. */
export const kit = {
  'scan-tool': 'scan tool',
  multimeter: 'multimeter',
  'hand-pump': 'pressure and vacuum hand pump',
  'known-good-sensor': 'known-good sensor',
  'smoke-generator': 'smoke generator',
  gauge: 'back-pressure gauge with adapters',
  spanners: 'spanners and a way under the vehicle',
  'contact-thermometer': 'contact thermometer',
  'cold-engine': 'engine cold for 6 h or more',
} as const;

/** What is waited for. */
export const clocks = {
  dwell: 'Dwell',
  soak: 'Soak',
  rinse: 'Rinse',
  drying: 'Drying',
  cooling: 'Cooling down',
  'warm-up': 'Warm-up',
  steam: 'Boiling off',
  site: 'At another site',
} as const;

export { checkNames } from './checkNames.ts';

/** Pages of what there is to learn. */
export const topics = {
  'dp-sensor': 'Differential pressure sensor',
  'equal-flow': 'Pressure drop and flow',
  restriction: 'Restriction: times clean',
  'soot-and-ash': 'Soot and ash',
  pipes: 'Blocked pipes',
  temperatures: 'Exhaust temperatures',
  inhibitors: 'What blocks a regeneration',
  'drop-to-idle': 'Drop to idle in a hot bed',
  counter: 'Why a counter proves nothing',
  judging: 'How White Ember judges',
} as const;
