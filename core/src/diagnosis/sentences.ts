import { KNOWN_CAUSES, KNOWN_FINDINGS } from './vocabulary.ts';

const SENTENCES = new Map(
  [...KNOWN_CAUSES, ...KNOWN_FINDINGS].map(({ id, sentence }): [string, string] => [id, sentence]),
);

const FORMS = new Map(
  KNOWN_CAUSES.flatMap(({ id, forms = [] }) =>
    forms.map((form): [string, string] => [`${id}:${form.id}`, form.sentence]),
  ),
);

/** In which form a cause is there. */
export const formSentence = (cause: string, form: string | undefined): string | undefined =>
  form === undefined ? undefined : FORMS.get(`${cause}:${form}`);

/** A cause or finding in its plain sentence; what no table knows is said as it was written. */
export const sentenceOf = (id: string): string => SENTENCES.get(id) ?? id;
