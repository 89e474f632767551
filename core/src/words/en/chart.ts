import type { Words } from '../words.ts';

/** Pressure drop over exhaust flow as a picture. */
export const chart = {
  before: 'before',
  after: 'after',
  log: 'this log',
  clean: 'clean',
  load: ({ gPerL }: { gPerL: number }, w: Words) => w.loading(gPerL),
  title: 'Pressure drop against exhaust flow',
  'flow-axis': ({ temperatureC }: { temperatureC: number }, w: Words) =>
    `exhaust flow at ${w.temperature(temperatureC)}, ${w.label('volumeFlow')}`,
  'pressure-axis': (_: undefined, w: Words) => `ΔP, ${w.label('pressure')}`,
  points: ({ side, count }: { side: string; count: number }, w: Words) =>
    `${side}: ${w.number(count)} ${count === 1 ? 'point' : 'points'}`,
  fall: (
    { flowM3PerH, beforeMbar, afterMbar }: { flowM3PerH: number; beforeMbar: number; afterMbar: number },
    w: Words,
  ) => `At ${w.volumeFlow(flowM3PerH)} from ${w.pressure(beforeMbar)} to ${w.pressure(afterMbar)}.`,
  'as-a-table': 'The chart as a table',
  reading: 'reading',
  flow: (_: undefined, w: Words) => `flow, ${w.label('volumeFlow')}`,
  'at-speed': ({ side, rpm }: { side: string; rpm: number }, w: Words) => `${side}, ${w.number(rpm, 0)} rpm`,
} as const;
