import type { Words } from '../words.ts';

export const outlook = {
  'two-cleans-with-an-after': 'Two cleans with an after reading and their distances are needed.',
  'all-cleans': 'All cleans are at the same distance: no trend without distance between them.',
  'its-filter-was-worked': ({ number }: { number: number }, w: Words) =>
    `Its filter was worked on (job ${w.number(number)}) and not read since: read it to get a forecast.`,
  'no-restriction-known-yet': 'No restriction known yet: the filter size and a hold at speed are needed.',
  'filter-due-again': 'The filter is due again',
  'by-its-trend': ({ limitRatio }: { limitRatio: number }, w: Words) =>
    `By its trend it comes to ${w.number(limitRatio)} × clean about then.`,
  'calendar-job': ({ plate, model, jobNumber }: { plate: string; model: string; jobNumber: number }) =>
    `${plate}, ${model}, job ${jobNumber}`,
  'at-about': ({ km }: { km: number }, w: Words) => `At about ${w.distance(km)} on the clock.`,
  'day-is-estimated': 'The day is worked out from how much the vehicle is driven.',
} as const;
