import type { Translation, Words } from '../words.ts';
import type { chart as english } from '../en/chart.ts';

export const chart: Translation<typeof english> = {
  before: 'vorher',
  after: 'nachher',
  log: 'diese Aufzeichnung',
  clean: 'sauber',
  load: ({ gPerL }: { gPerL: number }, w: Words) => w.loading(gPerL),
  title: 'Druckabfall über dem Abgasstrom',
  'flow-axis': ({ temperatureC }: { temperatureC: number }, w: Words) =>
    `Abgasstrom bei ${w.temperature(temperatureC)}, ${w.label('volumeFlow')}`,
  'pressure-axis': (_: undefined, w: Words) => `ΔP, ${w.label('pressure')}`,
  points: ({ side, count }: { side: string; count: number }, w: Words) =>
    `${side}: ${w.number(count)} ${count === 1 ? 'Punkt' : 'Punkte'}`,
  fall: (
    { flowM3PerH, beforeMbar, afterMbar }: { flowM3PerH: number; beforeMbar: number; afterMbar: number },
    w: Words,
  ) => `Bei ${w.volumeFlow(flowM3PerH)} von ${w.pressure(beforeMbar)} auf ${w.pressure(afterMbar)}.`,
  'as-a-table': 'Das Bild als Tabelle',
  reading: 'Messung',
  flow: (_: undefined, w: Words) => `Abgasstrom, ${w.label('volumeFlow')}`,
  'at-speed': ({ side, rpm }: { side: string; rpm: number }, w: Words) =>
    `${side}, ${w.number(rpm, 0)} 1/min`,
};
