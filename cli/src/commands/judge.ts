import { told } from '../told.ts';
import { inEnglish, PLAIN_WORDS } from '@white-ember/core/words';
import { z } from 'zod';
import { KNOWN_FINDINGS, sentenceOf } from '@white-ember/core/diagnosis';
import { FILTER_MATERIALS, filterGeometrySchema } from '@white-ember/core/filter';
import { whileWaiting } from '@white-ember/core/guide';
import { judgeJob, type JobJudgement, type JobVerdict } from '@white-ember/core/job';
import {
  entryBodySchema,
  PART_IDS,
  readingSampleSchema,
  type Entry,
  type EntryBody,
  happenedAt,
} from '@white-ember/core/ledger';
import type { Limits } from '@white-ember/core/limits';
import { readJson, readLimits, type Options } from '../input.ts';
import { InputError } from '../InputError.ts';
import { codesOf, scannedCodesSchema } from '../scannedCodes.ts';
import { print, printJson } from '../output.ts';

const id = z.string().min(1).max(80);
const jobSchema = z.strictObject({
  vehicle: z
    .strictObject({
      family: z.string().max(120).optional(),
      displacementL: z.number().min(0.5).max(20).optional(),
      distanceKm: z.number().min(0).max(3_000_000).optional(),
      use: z.enum(['short-trips', 'mixed', 'long']).optional(),
      filter: filterGeometrySchema.extend({ material: z.enum(FILTER_MATERIALS).optional() }).optional(),
      parts: z.array(z.enum(PART_IDS)).max(60).optional(),
    })
    .optional(),
  family: z
    .strictObject({
      jobs: z.number().int().min(0).max(100_000),
      confirmed: z.record(id, z.number().int().min(0)),
    })
    .optional(),
  findings: z.record(id, z.boolean()).optional(),
  checks: z.record(id, id).optional(),
  codes: scannedCodesSchema.optional(),
  readings: z
    .strictObject({
      barometerMbar: z.number().min(500).max(1100).optional(),
      sootG: z.number().min(0).max(2000).optional(),
      sootPercent: z.number().min(0).max(1000).optional(),
      samples: z.array(readingSampleSchema).max(60).optional(),
      dpIdleMbar: z.number().min(-500).max(3000).optional(),
      dp3000Mbar: z.number().min(-500).max(3000).optional(),
    })
    .optional(),
  entries: z.array(entryBodySchema).max(5000).optional(),
});
type JobFile = z.infer<typeof jobSchema>;

const parseJob = (told: unknown) => jobSchema.safeParse(told);

function readJob(file: string): JobFile {
  const parsed = parseJob(readJson(file, 'job'));
  if (parsed.success) return parsed.data;
  const [issue] = parsed.error.issues;
  const where = issue?.path.join('.') ?? '';
  throw new InputError(`${file}: ${where === '' ? '' : `${where}: `}${issue?.message ?? told('is-no-job')}`);
}

/** What was told in shorthand, as entries before all others. */
function toldEntries({ vehicle = {}, codes, checks = {}, readings, findings = {} }: JobFile): EntryBody[] {
  const { barometerMbar, sootG, sootPercent, samples = [], dpIdleMbar, dp3000Mbar } = readings ?? {};
  const rows = [
    ...samples,
    ...(dpIdleMbar === undefined ? [] : [{ kind: 'idle' as const, rpm: 820, dpMbar: dpIdleMbar }]),
    ...(dp3000Mbar === undefined ? [] : [{ kind: 'hold' as const, rpm: 3000, dpMbar: dp3000Mbar }]),
  ];
  const observed = Object.fromEntries(
    KNOWN_FINDINGS.flatMap(({ id: finding, from }) =>
      from === 'observation' && findings[finding] !== undefined ? [[finding, findings[finding]]] : [],
    ),
  );
  return [
    {
      kind: 'complaint',
      text: 'As reported',
      ...(vehicle.use === undefined ? {} : { use: vehicle.use }),
      ...(vehicle.distanceKm === undefined ? {} : { distanceKm: vehicle.distanceKm }),
      ...(Object.keys(observed).length > 0 ? { seen: observed } : {}),
    },
    ...(codes === undefined
      ? []
      : [
          {
            kind: 'code-scan' as const,
            when: 'before' as const,
            codes: codesOf(codes),
          } as EntryBody,
        ]),
    ...(rows.length === 0
      ? []
      : [
          {
            kind: 'reading' as const,
            purpose: 'before' as const,
            origin: { type: 'hand' as const },
            samples: rows,
            ...(barometerMbar === undefined ? {} : { barometerMbar }),
            ...(sootG === undefined ? {} : { sootCounterG: sootG }),
            ...(sootPercent === undefined ? {} : { sootPercent }),
          },
        ]),
    ...Object.entries(checks).map(([check, outcome]): EntryBody => ({
      kind: 'check',
      check,
      values: {},
      outcome,
    })),
  ];
}

const START_MS = Date.UTC(2026, 0, 5, 8);
const MINUTE_MS = 60_000;
const NOBODY = '00000000-0000-7000-8000-000000000000';

const asEntries = (bodies: readonly EntryBody[]): Entry[] =>
  bodies.map((body, i): Entry => {
    const time = new Date(START_MS + i * MINUTE_MS).toISOString();
    return {
      id: `00000000-0000-7000-9000-${String(i + 1).padStart(12, '0')}`,
      jobId: NOBODY,
      seq: i + 1,
      authorId: NOBODY,
      authorName: '–',
      deviceTime: time,
      serverTime: time,
      body,
    };
  });

function judgement(job: JobFile, limits: Limits): JobJudgement {
  const { vehicle = {}, readings, entries = [], family } = job;
  const measures = (readings?.samples?.length ?? 0) > 0 || readings?.dpIdleMbar !== undefined;
  // A counter alone is no reading of the filter.
  const counted = !measures && readings?.sootG !== undefined;
  const facts = {
    entries: asEntries([...toldEntries(job), ...entries]),
    limits,
    ...(vehicle.displacementL === undefined ? {} : { displacementL: vehicle.displacementL }),
    ...(vehicle.filter === undefined ? {} : { geometry: vehicle.filter }),
    ...(vehicle.parts === undefined ? {} : { fitted: vehicle.parts }),
    ...(family === undefined ? {} : { family }),
    told: {
      findings: {
        ...job.findings,
        ...(counted ? { 'soot-high': (readings.sootG ?? 0) > limits.sootHighG } : {}),
      },
    },
  };
  return judgeJob(facts, undefined, { explained: false });
}

const RESET_NAMES: Readonly<Record<string, string>> = {
  'reset-soot': 'soot',
  'reset-oil': 'oil',
  'adapt-delta-p': 'sensor',
  'new-filter': 'filter',
  'clear-codes': 'codes',
};
/** The verdict in the words of the contract: what fell at equal flow and is not shown in all else is *better*. */
function saidVerdict(verdict: JobVerdict, worked: boolean): string {
  if (verdict === 'open') return worked ? 'not-proved' : 'none';
  if (verdict === 'equal-flow') return 'better';
  return verdict === 'reopened' ? 'not-proved' : verdict;
}

const SHOWN_REASONS = 6;
const LEAST_WEIGHT = 0.05;

/** What is printed of a job, in words. */
function answerTo(job: JobFile, limits: Limits) {
  const judged = judgement(job, limits);
  const { derived, diagnosis, choice, notJudged, drive, worked, resets } = judged;
  // A file has no clock of its own: what was begun last runs, and what something came after is over.
  const last = derived.entries.at(-1);
  const [next, ...then] = whileWaiting(
    judged.next ? [judged.next, ...judged.then] : [],
    derived.clocks.filter(({ entryId }) => entryId === last?.id),
    last ? happenedAt(last) : 0,
  );
  const { posterior, inhibitors } = diagnosis;
  const { proof, comparison, proofKind, evidence } = derived;
  // What is not printed is not put into words.
  return inEnglish({
    likely: posterior.causes.map(({ id: cause, probability, reasons }) => ({
      id: cause,
      probability,
      reasons: reasons.filter(({ weight }) => Math.abs(weight) >= LEAST_WEIGHT).slice(0, SHOWN_REASONS),
    })),
    sets: posterior.sets,
    unexplained: posterior.unexplained.map(({ finding }) => finding),
    inhibitors,
    next,
    then,
    choice: choice.map(({ treatment, chance, allowed, heldBy }) => ({
      treatment,
      chance,
      allowed,
      heldBy: [
        ...heldBy,
        ...(notJudged && !heldBy.some(({ id: hold }) => hold === notJudged.id) ? [notJudged] : []),
      ].map(({ id: hold, text, overridable }) => ({
        id: hold,
        text,
        overridable: overridable ?? false,
      })),
    })),
    drive,
    resets: resets.map(({ reset, need, held }) => ({
      id: RESET_NAMES[reset] ?? reset,
      allowed: need === 'due' && held.length === 0,
      heldBy: held.map((text) => ({ id: reset, text, overridable: false })),
    })),
    proof: {
      verdict: saidVerdict(derived.verdict, worked),
      kind: proofKind,
      ...(comparison?.removedPercent === undefined ? {} : { removedPercent: comparison.removedPercent }),
      missing: [
        ...(proof?.missing ?? []),
        ...evidence.filter(({ state }) => state !== 'shown').map(({ text }) => text),
      ],
      shown: evidence.filter(({ state }) => state === 'shown').map(({ text }) => text),
    },
  });
}

/** Judges a job that is told and says nothing: what a program has run once it need not make ready again. */
export function practise(told: unknown): void {
  const { success, data } = parseJob(told);
  if (!success) throw new Error('A job to practise on is no job.');
  JSON.stringify(answerTo(data, readLimits(undefined)));
}

/** All that the job page says of a job, by the same function of core. */
export function judge(file: string, options: Options): void {
  const answer = answerTo(readJob(file), readLimits(options['limits']));
  if (options['json']) {
    printJson(answer);
    return;
  }
  print('likely');
  for (const { id: cause, probability } of answer.likely.slice(0, 5))
    print(`  ${(100 * probability).toFixed(0).padStart(3)} %  ${PLAIN_WORDS.say(sentenceOf(cause))}`);
  if (answer.next)
    print(
      'next',
      `  ${answer.next.do}${answer.next.id === undefined ? '' : `: ${PLAIN_WORDS.say(sentenceOf(answer.next.id))}`} – ${answer.next.why}`,
    );
  print(
    told('may-be-done-to-the-filter'),
    ...answer.choice
      .filter(({ allowed }) => allowed)
      .map(({ treatment, chance }) => `  ${treatment}: ${(100 * chance).toFixed(0)} %`),
  );
  print('driving', `  ${answer.drive.verdict}: ${answer.drive.reasons.join('; ')}`);
  print('proof', `  ${answer.proof.verdict}`);
}
