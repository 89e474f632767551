import type { Said } from '../message.ts';
import type { Words } from '../words.ts';

type Order = { readonly name: string } | undefined;
const onOrder = (order: Order): string => (order ? `. On order: ${order.name}` : '');
const stop = (text: string): string => (text === '' || /[.!?…]$/.test(text) ? text : `${text}.`);
/** Sentences one after the other; what is empty says nothing. */
const sentences = (...parts: readonly (string | undefined)[]): string =>
  parts
    .filter((part): part is string => part !== undefined && part !== '')
    .map(stop)
    .join(' ');
const STATES: Readonly<Record<string, string>> = {
  confirmed: 'confirmed',
  suspected: 'suspected',
  'ruled-out': 'ruled out',
  'put-right': 'repaired',
};

/** All that an entry says, where it is opened. */
export const told = {
  work: ({ work, what }: { work: Said; what: string }, w: Words) => `${w.say(work)}: ${what}`,
  codes: ({ codes }: { codes: readonly string[] }) => (codes.length === 0 ? 'No codes' : codes.join(', ')),
  drive: (
    { distanceKm, full, by, note }: { distanceKm: number; full: boolean; by: string; note: string },
    w: Words,
  ) =>
    sentences(
      `${w.distance(distanceKm)}, ${full ? 'full power' : 'power still limited'}, reported by the ${by}`,
      note,
    ),
  check: ({ outcome, note }: { outcome: Said; note: string }, w: Words) =>
    sentences(outcome === '' ? 'Not decided' : w.say(outcome), note),
  cause: ({ cause, state, why }: { cause: Said; state: string; why: Said }, w: Words) =>
    sentences(`${w.say(cause)}: ${STATES[state] ?? state}`, w.say(why)),
  substitution: ({ what, putBack, note }: { what: string; putBack: boolean; note: string }) =>
    sentences(what, putBack ? 'Old part refitted' : 'New part kept', note),
  'part-changed': ({ parts }: { parts: readonly string[] }) => parts.filter((part) => part !== '').join(', '),
  'with-order': ({ what, order }: { what: string; order: Order }) => `${what}${onOrder(order)}`,
  drivable: (
    { verdict, why, limits, until }: { verdict: Said; why: Said; limits: string; until: string },
    w: Words,
  ) => sentences(`${w.say(verdict)}: ${w.say(why)}`, limits, until === '' ? '' : `Until ${until}`),
  chosen: (
    { treatment, why, outstanding }: { treatment: Said; why: string; outstanding: readonly Said[] },
    w: Words,
  ) =>
    sentences(
      `${w.say(treatment)}${why === '' ? '' : `: ${why}`}`,
      outstanding.length === 0 ? '' : `Not repaired: ${outstanding.map(w.say).join('; ')}`,
    ),
  'timer-started': (
    { clock, minutes, what, next }: { clock: Said; minutes: number; what: Said; next: Said },
    w: Words,
  ) =>
    sentences(
      `${w.say(clock)}, ${w.number(minutes)} min: ${w.say(what)}`,
      next === '' ? '' : `Next: ${w.say(next)}`,
    ),
  'timer-ended': ({ why }: { why: Said }, w: Words) => (why === '' ? 'Ended' : `Ended: ${w.say(why)}`),
  reset: (
    { reset, live, answer, why }: { reset: Said; live: boolean; answer: string; why: string },
    w: Words,
  ) => sentences(`${w.say(reset)}, ${live ? 'by the scan link' : 'by another tool'}`, answer, why),
  'made-ready': (
    { treatment, answers, helper, site }: { treatment: Said; answers: number; helper: string; site: string },
    w: Words,
  ) =>
    `${w.say(treatment)}: ${w.number(answers)} answers${helper === '' ? '' : `, with ${helper}`}${site === '' ? '' : `, ${site}`}`,
  'regeneration-ended': ({ how, minutes, why }: { how: Said; minutes: number; why: string }, w: Words) =>
    sentences(`The regeneration ${w.say(how)} after ${w.number(minutes, 0)} min`, why),
  'part-off': (
    { what, torqueNm, note }: { what: string; torqueNm: number | undefined; note: string },
    w: Words,
  ) => sentences(`${what}${torqueNm === undefined ? '' : `, ${w.torque(torqueNm)}`}`, note),
  'filter-off': (
    {
      massKg,
      dry,
      inlet,
      outlet,
      note,
    }: { massKg: number | undefined; dry: boolean; inlet: Said; outlet: Said; note: string },
    w: Words,
  ) =>
    sentences(
      massKg === undefined ? '' : `${w.weight(massKg)}, ${dry ? 'dry' : 'not dry'}`,
      inlet === '' ? '' : `Inlet ${w.say(inlet)}`,
      outlet === '' ? '' : `Outlet ${w.say(outlet)}`,
      note,
    ),
  offer: (
    {
      question,
      options,
      currency,
    }: {
      question: string;
      options: readonly { what: string; price: number }[];
      currency: string;
    },
    w: Words,
  ) => `${question} ${options.map(({ what, price }) => `${what} ${w.money(price, currency)}`).join('; ')}`,
  choice: ({ option, by }: { option: string; by: string }) => `Option ${option}, approved by ${by}`,
  'follow-up': ({ what, due, dueKm }: { what: string; due: string; dueKm: number | undefined }, w: Words) =>
    `${what}${due === '' ? '' : `, by ${w.date(due)}`}${dueKm === undefined ? '' : `, at ${w.distance(dueKm)}`}`,
  done: 'Done',
  'nothing-remains': 'Nothing remains.',
  'caution-read': ({ caution }: { caution: string }) => `Caution read: ${caution}`,
  reading: ({ rows }: { rows: number }, w: Words) => `${w.number(rows)} ${rows === 1 ? 'row' : 'rows'}`,
  photo: 'Photo',
} as const;
