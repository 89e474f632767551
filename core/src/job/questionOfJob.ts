import { intakeOf, type DiagnosisQuestion } from '../diagnosis/index.ts';
import type { PartId } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import { caseOfJob } from './caseOfJob.ts';
import type { DerivedJob } from './deriveJob.ts';

/** What is asked of a job: its scans, its before reading, its intake, its checks, what was put right; nothing while nothing is known. */
export function questionOfJob(
  derived: DerivedJob,
  limits: Limits,
  fitted?: readonly PartId[],
): DiagnosisQuestion | undefined {
  const { facts, use } = caseOfJob(derived, limits, fitted);
  const known = Object.keys(facts.findings ?? {}).length + Object.keys(facts.checked ?? {}).length;
  if (!facts.codes && !facts.readings && known < 2) return undefined;
  const { kit } = intakeOf(derived.entries);
  return { facts, use, limits, ...(kit ? { kit } : {}) };
}
