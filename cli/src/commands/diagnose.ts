import { told } from '../told.ts';
import { named, PLAIN_WORDS } from '@white-ember/core/words';
import { z } from 'zod';
import {
  evidenceOfCase,
  infer,
  inhibitorsOf,
  KNOWN_CHECKS,
  sentenceOf,
  networkFor,
  weigh,
  rankChecks,
  type CaseFacts,
  type VehicleUse,
} from '@white-ember/core/diagnosis';
import { readJson, readLimits, type Options } from '../input.ts';
import { InputError } from '../InputError.ts';
import { print, printJson } from '../output.ts';
import { codesOf, scannedCodesSchema } from '../scannedCodes.ts';

const caseSchema = z.strictObject({
  vehicle: z
    .strictObject({
      family: z.string().max(120).optional(),
      distanceKm: z.number().min(0).max(3_000_000).optional(),
      use: z.enum(['short-trips', 'mixed', 'long']).optional(),
    })
    .optional(),
  findings: z.record(z.string().max(80), z.boolean()).optional(),
  checks: z.record(z.string().max(80), z.string().max(80)).optional(),
  codes: scannedCodesSchema.optional(),
  readings: z
    .object({
      dpIdleMbar: z.number().min(-500).max(3000).optional(),
      dp3000Mbar: z.number().min(-500).max(3000).optional(),
      sootG: z.number().min(0).max(2000).optional(),
    })
    .optional(),
});

/** Reasons below this say nothing that a person would want to read. */
const LEAST_WEIGHT = 0.05;
const SHOWN_REASONS = 5;

function readCase(file: string): { vehicle: VehicleUse; facts: CaseFacts } {
  const parsed = caseSchema.safeParse(readJson(file, 'case'));
  if (!parsed.success) {
    const [issue] = parsed.error.issues;
    const where = issue?.path.join('.') ?? '';
    throw new InputError(
      `${file}: ${where === '' ? '' : `${where}: `}${issue?.message ?? told('is-no-case')}`,
    );
  }
  const { vehicle = {}, codes, findings, checks, readings } = parsed.data;
  const { distanceKm, use } = vehicle;
  const { dpIdleMbar, dp3000Mbar, sootG } = readings ?? {};
  return {
    vehicle: {
      ...(distanceKm === undefined ? {} : { distanceKm }),
      ...(use === undefined ? {} : { use }),
    },
    facts: {
      ...(findings === undefined ? {} : { findings }),
      ...(checks === undefined ? {} : { checks }),
      ...(codes === undefined ? {} : { codes: codesOf(codes) }),
      readings: {
        ...(dpIdleMbar === undefined ? {} : { dpIdleMbar }),
        ...(dp3000Mbar === undefined ? {} : { dp3000Mbar }),
        ...(sootG === undefined ? {} : { sootG }),
      },
    },
  };
}

/** Likely causes with what speaks for and against them, the next checks, and what holds a regeneration off. */
export function diagnose(file: string, options: Options): void {
  const { vehicle, facts } = readCase(file);
  const known = evidenceOfCase(facts, readLimits(options['limits']));
  const weighed = weigh(networkFor(vehicle), known.evidence, known.beyond);
  const posterior = infer(weighed);
  const next = rankChecks(weighed, KNOWN_CHECKS).filter(({ check }) => facts.checks?.[check] === undefined);
  const inhibitors = inhibitorsOf(facts, known);
  const causes = posterior.causes.map(({ id, probability, reasons }) => ({
    id,
    probability,
    reasons: reasons.filter(({ weight }) => Math.abs(weight) >= LEAST_WEIGHT).slice(0, SHOWN_REASONS),
  }));
  if (options['json']) {
    printJson({
      causes,
      sets: posterior.sets,
      next: next.map(({ check, bitsPerMinute, bits, minutes, cost }) => ({
        check,
        bitsPerMinute,
        bits,
        minutes,
        cost,
      })),
      inhibitors,
      unexplained: posterior.unexplained,
      unknown: known.unknown,
    });
    return;
  }
  const sentence = (id: string): string => PLAIN_WORDS.say(sentenceOf(id));
  print('likely');
  for (const { id, probability, reasons } of causes.slice(0, 5)) {
    print(`  ${(100 * probability).toFixed(0).padStart(3)} %  ${sentence(id)}`);
    for (const { finding, weight } of reasons.slice(0, 3)) {
      const seen = known.evidence[finding] === true ? '' : 'not ';
      print(
        told('seen-or-not', { against: weight > 0 ? 'for' : 'against', seen, finding: sentence(finding) }),
      );
    }
  }
  print('next');
  for (const { check, bits, minutes } of next.slice(0, 4))
    print(
      told('min-bits', {
        check: PLAIN_WORDS.say(named('checkNames', check, check)),
        minutes,
        bits: bits.toFixed(2),
      }),
    );
  if (inhibitors.length > 0)
    print(told('inhibits-regeneration'), ...inhibitors.map((text) => `  ${PLAIN_WORDS.say(text)}`));
  if (posterior.unexplained.length > 0)
    print(told('not-explained'), ...posterior.unexplained.map(({ finding }) => `  ${sentence(finding)}`));
  if (known.unknown.length > 0)
    print(told('not-in-the-vocabulary-left-aside'), ...known.unknown.map((id) => `  ${id}`));
}
