import { named, say, type Catalogue, type Said } from '../words/index.ts';
import { CHECK_CARDS } from '../checks/index.ts';
import { causeNow } from '../ledger/index.ts';
import { CAUSES, type CauseId } from './knowledge/causes.ts';
import { CODE_FINDINGS } from './knowledge/codeFindings.ts';
import { LOG_FINDINGS } from './knowledge/logFindings.ts';
import { OBSERVATIONS } from './knowledge/observations.ts';

/** Measured values, which stand by their size. */
const MEASURED = {
  'dp-measured': true,
  'soot-measured': true,
  'back-pressure-measured': true,
  'air-measured': true,
  'manifold-measured': true,
  'temperatures-measured': true,
  'coolant-measured': true,
} as const;
const SHOWN: ReadonlySet<string> = new Set(
  [
    LOG_FINDINGS,
    CODE_FINDINGS,
    OBSERVATIONS,
    MEASURED,
    ...CHECK_CARDS.map(({ outcomes }) => outcomes),
  ].flatMap((known) => Object.keys(known)),
);
/** Whatever is read, seen or found and says something of a cause. */
export type FindingId = keyof Catalogue['shown'];
type FormsOf<K extends CauseId> = (typeof CAUSES)[K] extends { readonly forms: infer F }
  ? `${K}:${keyof F & string}`
  : never;
/** A cause in one of its forms. */
export type CauseFormId = { [K in CauseId]: FormsOf<K> }[CauseId];

const isCause = (id: string): id is CauseId => Object.hasOwn(CAUSES, id);
const isShown = (id: string): id is FindingId => SHOWN.has(id);

/** In which form a cause is there. */
export function formSentence(cause: string, form: string | undefined): Said | undefined {
  const entry: object = isCause(cause) ? CAUSES[cause] : {};
  const forms: object =
    'forms' in entry && typeof entry.forms === 'object' && entry.forms !== null ? entry.forms : {};
  return form !== undefined && Object.hasOwn(forms, form)
    ? named('causeForms', `${cause}:${form}`)
    : undefined;
}

/** A cause or finding in its plain sentence; what no table knows is said as it was written. */
export function sentenceOf(id: string): Said {
  const now = causeNow(id);
  if (isCause(now)) return say(`causes.${now}`);
  return isShown(now) ? say(`shown.${now}`) : id;
}
