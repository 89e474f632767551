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
} as const;
