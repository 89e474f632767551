import * as wording from '@white-ember/core/words/screens/job';
import { entryFigure, entryBodySchema, isSilent, type EntryBody } from '@white-ember/core/ledger';
import { spokenNow } from '../data/words.ts';

export type CheckedEntry =
  | { readonly ok: true; readonly body: EntryBody; readonly silent: boolean; readonly entered: string }
  | { readonly ok: false; readonly faults: readonly { readonly field: string; readonly message: string }[] };

/** An entry by the ledger's own schema. Loaded when first wanted: the schemas of all kinds are a quarter of the first screen. */
export function checkEntry(body: EntryBody): CheckedEntry {
  const parsed = entryBodySchema.safeParse(body);
  if (!parsed.success)
    return {
      ok: false,
      faults: parsed.error.issues.map(({ path, message }) => ({ field: path.join('.'), message })),
    };
  const figure = spokenNow(entryFigure({ body: parsed.data }));
  return {
    ok: true,
    body: parsed.data,
    silent: isSilent(body.kind),
    entered: wording.entered(figure.charAt(0).toUpperCase(), figure.slice(1)),
  };
}
