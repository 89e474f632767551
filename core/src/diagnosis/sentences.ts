import { causeNow } from './formerCauses.ts';
import { KNOWN_CAUSES, KNOWN_FINDINGS } from './vocabulary.ts';

/** Measured values, which stand by their size. */
const MEASURED: readonly (readonly [id: string, sentence: string])[] = [
  ['dp-measured', 'ΔP as read'],
  ['soot-measured', 'Soot as counted'],
  ['back-pressure-measured', 'Pressure before the turbo as read'],
  ['air-measured', 'Air mass against speed and manifold pressure'],
  ['manifold-measured', 'Manifold pressure as read'],
  ['temperatures-measured', 'EGTs as read'],
  ['coolant-measured', 'Coolant as read'],
];
const SENTENCES = new Map<string, string>([
  ...[...KNOWN_CAUSES, ...KNOWN_FINDINGS].map(({ id, sentence }) => [id, sentence] as const),
  ...MEASURED,
]);

const FORMS = new Map(
  KNOWN_CAUSES.flatMap(({ id, forms = [] }) =>
    forms.map((form): [string, string] => [`${id}:${form.id}`, form.sentence]),
  ),
);

/** In which form a cause is there. */
export const formSentence = (cause: string, form: string | undefined): string | undefined =>
  form === undefined ? undefined : FORMS.get(`${cause}:${form}`);

/** A cause or finding in its plain sentence; what no table knows is said as it was written. */
export const sentenceOf = (id: string): string => SENTENCES.get(causeNow(id)) ?? id;
