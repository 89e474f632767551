import type { Said } from '@white-ember/core/words';
import { useWords } from '../data/words.ts';

/** Something of core in this person’s words and units. */
export function Say({ it }: { it: Said }) {
  return useWords().say(it);
}
