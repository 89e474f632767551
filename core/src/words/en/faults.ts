import { limitUnit } from '../limitUnit.ts';
import type { Said } from '../message.ts';
import type { Words } from '../words.ts';

type Of = { readonly field: Said };

/** What is wrong with something that was entered, beside its field. */
export const faults = {
  'enter-a-number': ({ field }: Of, w: Words) => `${w.say(field)}: enter a number`,
  'whole-number': ({ field }: Of, w: Words) => `${w.say(field)}: enter a whole number`,
  'enter-text': ({ field }: Of, w: Words) => `${w.say(field)}: enter text`,
  empty: ({ field }: Of, w: Words) => `${w.say(field)} must not be empty`,
  'too-long': ({ field, most }: Of & { most: number }, w: Words) =>
    `${w.say(field)}: at most ${w.number(most)} characters`,
  'too-short': ({ field, least }: Of & { least: number }, w: Words) =>
    `${w.say(field)}: at least ${w.number(least)} characters`,
  unprintable: ({ field }: Of, w: Words) => `${w.say(field)}: holds characters that cannot be printed`,
  'one-line': ({ field }: Of, w: Words) => `${w.say(field)}: one line without < or >`,
  invisible: ({ field }: Of, w: Words) => `${w.say(field)}: holds signs that cannot be seen`,
  range: ({ field, low, high, unit }: Of & { low: number; high: number; unit: string }, w: Words) =>
    `${w.say(field)}: ${w.range(low, high, unit, 'to')}`,
  limit: (
    {
      label,
      low,
      high,
      unit,
      difference,
    }: { label: Said; low: number; high: number; unit: Said; difference: boolean },
    w: Words,
  ) => {
    const its = limitUnit(unit, difference, w);
    const [from = '', to = ''] = [low, high].map((bound) =>
      w.number(Number(its.shown(bound).toPrecision(4))),
    );
    return `${w.say(label)}: must lie between ${from} and ${to} ${its.label}`.trimEnd();
  },
  date: ({ field }: Of, w: Words) => `${w.say(field)}: a date as 2026-05-11`,
  'too-early': ({ year, is }: { year: string; is: string }) =>
    `must not lie before ${year} (it is ${is}): look at the clock of this device`,
  'too-late': ({ is }: { is: string }) =>
    `must not lie after tomorrow (it is ${is}): look at the clock of this device`,
  years: ({ from, to, is }: { from: string; to: string; is: string }) =>
    `must lie between the years ${from} and ${to} (it is ${is})`,
  digits: ({ field, count }: Of & { count: number }, w: Words) =>
    `${w.say(field)}: ${w.number(count)} digits`,
  currency: 'Currency: three capital letters, as EUR or USD',
  'too-many': ({ field, most }: Of & { most: number }, w: Words) =>
    `${w.say(field)}: at most ${w.number(most)}`,
  missing: ({ field }: Of, w: Words) => `${w.say(field)}: is missing`,
  'no-options': 'Offer at least one thing',
  'nothing-read': 'Enter at least one value',
  'empty-row': 'A row needs at least one figure',
  'no-rows': 'A reading needs at least one row',
  'mass-or-look': 'Enter the mass or a look',
  'dry-or-not': 'Say whether it was dry: water weighs more than soot',
  'why-cause-open': 'Say why it is treated with the cause still open',
  id: 'An id must be a UUID of version 7',
  time: 'A time must be ISO 8601 with its zone',
  role: 'Role: is not one that is known',
  'language-tag': 'must be a language tag, as en-GB',
  'time-zone': 'must be a time zone, as Europe/London',
  'link-days': ({ days }: { days: readonly number[] }, w: Words) =>
    `A link is open for ${days.map((one) => w.number(one)).join(', ')} days`,
  'no-mail-address': 'This is no mail address',
  'next-page': 'must be the “next” of an earlier page',
} as const;
