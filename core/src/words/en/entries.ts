import type { Said } from '../message.ts';
import type { Words } from '../words.ts';

/** What stands at an entry's pin. */
export const entries = {
  complaint: 'complaint',
  codes: ({ count }: { count: number }, w: Words) =>
    count === 0 ? 'no codes' : `${w.number(count)} ${count === 1 ? 'code' : 'codes'}`,
  reading: ({ at, dpMbar }: { at: string; dpMbar: number | undefined }, w: Words) =>
    `${at}: ${dpMbar === undefined ? `– ${w.label('pressure')}` : w.pressure(dpMbar)}`,
  work: ({ work }: { work: Said }, w: Words) => w.within(work),
  'work-dwell': ({ work, minutes }: { work: Said; minutes: number }, w: Words) =>
    `${w.within(work)}, dwell ${w.number(minutes)} min`,
  drive: ({ distanceKm }: { distanceKm: number }, w: Words) => `drive ${w.distance(distanceKm)}`,
  'part-state': ({ part, state }: { part: string; state: string }, w: Words) =>
    `${w.within({ say: `parts.${part}` })} ${w.say({ say: `partStates.${state}` })}`,
  check: ({ check }: { check: Said }, w: Words) => `check: ${w.say(check)}`,
  cause: ({ state }: { state: string }) => `cause ${state.replace('-', ' ')}`,
  'known-good': ({ part, changed }: { part: string; changed: Said }, w: Words) =>
    `known-good ${w.within({ say: `parts.${part}` })}: ${w.say(changed)}`,
  changed: ({ what, elsewhere }: { what: string; elsewhere: boolean }) =>
    `${what} changed${elsewhere ? ' elsewhere' : ''}`,
  'temporary-repair': 'temporary repair',
  within: ({ what }: { what: Said }, w: Words) => w.within(what),
  chosen: ({ treatment }: { treatment: Said }, w: Words) => `chosen: ${w.within(treatment)}`,
  timer: ({ clock, minutes }: { clock: Said; minutes: number }, w: Words) =>
    `${w.within(clock)} ${w.number(minutes)} min`,
  'timer-ended': 'timer ended',
  'ready-for': ({ treatment }: { treatment: Said }, w: Words) => `ready for: ${w.within(treatment)}`,
  'read-during-the-regeneration': 'read during the regeneration',
  'before-the-filter': ({ egt3C }: { egt3C: number }, w: Words) =>
    `${w.temperature(egt3C)} before the filter`,
  'regeneration-ended': ({ how, minutes }: { how: Said; minutes: number }, w: Words) =>
    `burn ${w.say(how)}, ${w.number(minutes, 0)} min`,
  off: ({ what }: { what: string }) => `off: ${what}`,
  'part-refitted': 'a part refitted',
  fastener: ({ number, torqueNm }: { number: number; torqueNm: number }, w: Words) =>
    `fastener ${w.number(number)}: ${w.torque(torqueNm)}`,
  broke: ({ what }: { what: string }) => `broke: ${what}`,
  'filter-looked-at': ({ when }: { when: string }) => `filter ${when} the clean, looked at`,
  'filter-weighed': ({ when, massKg }: { when: string; massKg: number }, w: Words) =>
    `filter ${when} the clean: ${w.weight(massKg, 2)}`,
  reset: (
    { reset, fromG, toG }: { reset: Said; fromG: number | undefined; toG: number | undefined },
    w: Words,
  ) => {
    if (fromG === undefined) return w.within(reset);
    return `${w.within(reset)}, ${w.soot(fromG, 1)} → ${toG === undefined ? '?' : w.soot(toG, 1)}`;
  },
  settled: 'settled',
  offers: ({ count }: { count: number }, w: Words) =>
    `${w.number(count)} ${count === 1 ? 'offer' : 'offers'} to the customer`,
  'customers-choice': 'customer’s choice',
  'noted-for-the-family': 'noted for the engine family',
  'to-do': ({ what }: { what: string }) => `to do: ${what}`,
  'follow-up-done': 'follow-up done',
  photo: 'photo',
  note: 'note',
  'signed-off': 'signed off',
  'caution-read': 'caution read',
  withdrawn: 'withdrawn',
} as const;
