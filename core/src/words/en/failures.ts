import type { Said } from '../message.ts';
import type { Words } from '../words.ts';

export const failures = {
  'not-so': (
    { field, requirement, value }: { field: Said; requirement: Said; value: string | number | undefined },
    w: Words,
  ) =>
    `${w.say(field)} ${w.say(requirement)}${value === undefined ? '' : ` (it is ${typeof value === 'number' ? w.number(value) : value})`}`,
  'a-finite-number': 'must be a finite number',
  between: ({ low, high, unit }: { low: number; high: number; unit: string }, w: Words) =>
    `must lie between ${w.number(low)} and ${w.number(high)} ${unit}`.trimEnd(),
  'no-filter-size': ({ why }: { why: Said }, w: Words) => `is not a filter size that exists – ${w.say(why)}`,
  'leaves-no-channel': ({ cpsi, pitchMm }: { cpsi: number; pitchMm: number }, w: Words) =>
    `leaves no channel: at ${w.number(cpsi)} cells per square inch the pitch is ${w.length(pitchMm)}`,
  'fills-the-channels': 'would fill nearly the whole length of the inlet channels',
  'closes-the-channels': 'would close the inlet channels of a filter of this size',
  'no-flow-no-soot': 'must be above 0: without flow a pressure says nothing about soot',
  'too-small-for-a-sensor': 'is too small: a clean filter would show less than any sensor resolves',
  'no-reading-with-flow': 'must hold at least one reading with flow through the filter',
  'unknown-unit': 'is not one that is known here; use for example mbar, kPa, psi, °C, g/s or rpm',
} as const;
