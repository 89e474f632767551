import { KNOWN_CAUSES, KNOWN_FINDINGS } from '@white-ember/core/diagnosis';

const SENTENCES = new Map(
  [...KNOWN_CAUSES, ...KNOWN_FINDINGS].map(({ id, sentence }): [string, string] => [id, sentence]),
);

/** A cause or finding in its plain sentence; what no table knows is said as it was written. */
export const sentenceOf = (id: string): string => SENTENCES.get(id) ?? id;
