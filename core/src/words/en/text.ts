import type { Said } from '../message.ts';
import type { Words } from '../words.ts';

/** What holds other sentences together. */
export const text = {
  'calendar-name': ({ workshop }: { workshop: string }) => `${workshop}: to do`,
  joined: ({ parts, by }: { parts: readonly Said[]; by: string }, w: Words) =>
    parts
      .map((part) => w.say(part))
      .filter((part) => part !== '')
      .join(by),
  sentence: ({ of }: { of: Said }, w: Words) => `${w.say(of)}.`,
  lead: ({ of }: { of: Said }, w: Words) => `${w.say(of)}:`,
  because: ({ what, why }: { what: Said; why: Said }, w: Words) =>
    why === '' ? w.say(what) : `${w.say(what)}: ${w.say(why)}`,
  quoted: ({ words }: { words: string }) => `“${words}”`,
  ratio: ({ ratio }: { ratio: number }, w: Words) => w.number(ratio, 1),
  number: ({ value }: { value: number }, w: Words) => w.number(value),
  pressure: ({ mbar }: { mbar: number }, w: Words) => w.pressureFigure(mbar),
  'volume-flow': ({ m3PerH }: { m3PerH: number }, w: Words) => w.volumeFlowFigure(m3PerH),
  date: ({ at }: { at: string }, w: Words) => w.date(at),
  distance: ({ km }: { km: number }, w: Words) => w.distance(km),
} as const;
