import * as wording from '@white-ember/core/words/screens/finder';
import { codeMeaning, readCode } from '@white-ember/core/codes';
import { topics } from '@white-ember/core/words/screens/learn';
import { TOPIC_IDS } from '@white-ember/core/learn';
import { LIMIT_DEFINITIONS, LIMIT_IDS } from '@white-ember/core/limits';
import { ENGLISH, named, type Words } from '@white-ember/core/words';

/** Something that is found by the words that people use for it, and where it is. */
export interface Findable {
  readonly id: string;
  readonly what: 'check' | 'part' | 'cause' | 'code' | 'limit' | 'learn';
  readonly name: string;
  readonly to: string;
  /** What else people type for it. */
  readonly also?: string;
}

/** What people type for what is written otherwise. */
const ALSO: readonly (readonly [written: RegExp, typed: string])[] = [
  [/ΔP/i, wording.dpDeltaPDifferentialPressure],
  [/EGT/, wording.exhaustTemperatureThermocouple],
  [/turbo/i, wording.chargerVgt],
  [/vanes/i, wording.vgtGeometryActuator],
  [/pipes?|hoses?/i, wording.lineTube],
  [/filter/i, 'dpf'],
  [/catalyst/i, wording.docCat],
  [/regenerat/i, wording.regenBurn],
  [/MAF|air mass/i, wording.mafAirflowMeter],
  [/back-pressure|before the turbo/i, wording.exhaustPressureSensor],
  [/fuses?|relay/i, wording.electricBox],
];

const typedFor = (name: string): string =>
  [name, ...ALSO.filter(([written]) => written.test(name)).map(([, typed]) => typed)].join(' ').toLowerCase();

/** Enough of a word to mean one. */
const LEAST_TYPED = 2;
/** A list that a thumb can still go through. */
const MOST_FOUND = 12;

/** A trouble code that was typed, with what it means. */
function codeTyped(typed: string, words: Words, jobId: string | undefined): Findable[] {
  const read = readCode(typed);
  if (/^\d*$/.test(typed) || read.notation === 'name' || read.notation === 'unknown') return [];
  return [
    {
      id: 'code',
      what: 'code',
      name: `${read.code}: ${words.say(codeMeaning(typed).meaning)}`,
      to: jobId === undefined ? '/jobs' : `/jobs/${jobId}?stage=codes`,
    },
  ];
}

/** Checks, parts and causes of the job that is open, limits everywhere, and what a typed code means: all that holds each word typed. */
export function found(typed: string, words: Words, jobId: string | undefined): readonly Findable[] {
  const wanted = typed.trim().toLowerCase().split(/\s+/).filter(Boolean);
  if (wanted.join('').length < LEAST_TYPED) return [];
  const onJob = (
    what: Findable['what'],
    subject: 'parts' | 'checkNames' | 'causes',
    stage: string,
  ): Findable[] =>
    jobId === undefined
      ? []
      : Object.keys(ENGLISH[subject]).map((id) => ({
          id: `${what} ${id}`,
          what,
          name: words.say(named(subject, id)),
          to: `/jobs/${jobId}?stage=${stage}&${what}=${id}`,
        }));
  const all = [
    ...codeTyped(typed.trim(), words, jobId),
    ...[
      ...onJob('part', 'parts', 'checks'),
      ...onJob('check', 'checkNames', 'checks'),
      ...onJob('cause', 'causes', 'decide'),
      ...LIMIT_IDS.map((id): Findable => ({
        id: `limit ${id}`,
        what: 'limit',
        name: words.say(LIMIT_DEFINITIONS[id].label),
        to: `/limits#limit-${id}`,
      })),
      ...TOPIC_IDS.map((id): Findable => ({
        id: `/learn/${id}`,
        what: 'learn',
        name: words.name('topics', id),
        to: `/learn/${id}`,
        also: topics[id]?.(words).also ?? '',
      })),
    ].filter(({ name, also = '' }) => {
      const text = `${typedFor(name)} ${also}`;
      return wanted.every((word) => text.includes(word));
    }),
  ];
  return all.slice(0, MOST_FOUND);
}
