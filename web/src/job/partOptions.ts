import type { Words } from '@white-ember/core/words';
import type { OpenJob } from './useJob.ts';

/** The parts of this vehicle’s line, to choose one from; first what says that it is none of them. */
export const partOptions = (
  open: OpenJob,
  words: Words,
  none?: string,
): readonly (readonly [id: string, label: string])[] => [
  ...(none === undefined ? [] : [['', none] as const]),
  ...open.vehicle.fitted.map((id) => [id, words.name('parts', id)] as const),
];
