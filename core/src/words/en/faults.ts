import { limitUnit } from '../limitUnit.ts';
import type { Said } from '../message.ts';
import type { Words } from '../words.ts';

type Of = { readonly field: Said };

/** What is wrong with something that was entered, beside its field. */
export const faults = {
  outrun: ({
    how,
    timeMs,
    memoryBytes,
  }: {
    how: 'time' | 'memory' | 'stopped';
    timeMs: number;
    memoryBytes: number;
  }) =>
    ({
      time: `reading it takes longer than the ${Math.round(timeMs / 1000)} s that a file of this size is given`,
      memory: `reading it takes more than the ${Math.round(memoryBytes / 1024 ** 2)} MB that a file of this size is given`,
      stopped: 'reading it stopped unexpectedly: the file is damaged or made to harm',
    })[how],
  'reading-stopped': 'reading it stopped unexpectedly',
  'photo-too-large': ({ millions }: { millions: number }) => `it has more than ${millions} million points`,
  'photo-damaged': 'it is damaged, or no picture',
  moment: 'must be a moment, as 2026-05-11T08:00:00+00:00',
  'no-seal': 'is not what a job is sealed with',
  'no-archive': 'This is no archive of a workshop',
  'archive-versions': ({ versions }: { versions: readonly (string | number)[] }) =>
    `Archives of versions ${versions.join(' and ')} are read here`,
  'not-right': 'is not right',
  'weak-password': ({ why }: { why: string }) => `Password: too easy to guess. ${why}`.trim(),
  'code-wanted': 'Enter the six digits of your authenticator, or a recovery code.',
  'lead-signs-off': 'In this workshop a lead signs a job off before its report leaves.',
  'disk-nearly-full': ({ megabytes }: { megabytes: number }) =>
    `The disk of the server is nearly full: ${megabytes} MB are left. Make room, or nothing can be stored soon.`,
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
