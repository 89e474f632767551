import type { Words } from '../words.ts';

const seconds = (leftS: number, w: Words): string => `${w.number(leftS)} s`;

/** What is said while a vehicle is read. */
export const live = {
  'read-at-key-off': 'Read at key off.',
  'came-warm': 'The engine came warm.',
  'snaps-read': ({ count }: { count: number }, w: Words) => `${w.number(count)} snaps read.`,
  'snaps-to-do': ({ count, of }: { count: number; of: number }, w: Words) =>
    `${of === 3 ? 'Three' : w.number(of)} snaps: full throttle briefly, release, wait 5 s. ${w.number(count)} of ${w.number(of)} so far.`,
  'step-read': ({ readS }: { readS: number }, w: Words) => `Read, ${seconds(readS, w)}.`,
  'key-on': ({ leftS }: { leftS: number }, w: Words) => `Ignition on, engine off: ${seconds(leftS, w)}.`,
  'cold-idle': ({ leftS }: { leftS: number }, w: Words) => `Start and let it idle: ${seconds(leftS, w)}.`,
  'warm-idle': ({ leftS }: { leftS: number }, w: Words) => `Let it idle: ${seconds(leftS, w)}.`,
  'warm-up': ({ coolantC, warmC }: { coolantC: number; warmC: number }, w: Words) =>
    `Warm it up: coolant ${w.temperature(coolantC)}, counts from ${w.temperature(warmC)}.`,
  hold: ({ rpm, leftS }: { rpm: number; leftS: number }, w: Words) =>
    `Hold ${rpm} rpm: ${seconds(leftS, w)}.`,
  'key-off': ({ leftS }: { leftS: number }, w: Words) => `Engine off, ignition on: ${seconds(leftS, w)}.`,
  'too-slow-for-holds': ({ everyS }: { everyS: number }, w: Words) =>
    `A reading every ${w.number(everyS, 0)} s: too slow to find steady holds. Choose fewer channels.`,
  'too-slow-for-pipes': ({ hz }: { hz: number }, w: Words) =>
    `At ${w.number(hz, 1)} readings a second a restricted pipe looks like an open one. Choose fewer channels for the snaps.`,
} as const;
