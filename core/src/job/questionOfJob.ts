import { intakeOf, type DiagnosisQuestion } from '../diagnosis/index.ts';
import type { Limits } from '../limits/index.ts';
import { caseOfJob } from './caseOfJob.ts';
import type { DerivedJob, JobFacts } from './deriveJob.ts';

/** What of a vehicle its figures are judged by. */
export type VehicleOfJob = Pick<JobFacts, 'fitted' | 'displacementL' | 'geometry'>;

/** What is asked of a job: its scans, its before reading, its intake, its checks, what was put right; nothing while nothing is known. */
export function questionOfJob(
  derived: DerivedJob,
  limits: Limits,
  { fitted, displacementL, geometry }: VehicleOfJob,
): DiagnosisQuestion | undefined {
  const { facts, use } = caseOfJob(derived, limits, fitted);
  const known = Object.keys(facts.findings ?? {}).length + Object.keys(facts.checked ?? {}).length;
  if (!facts.codes && !facts.reading && known < 2) return undefined;
  const { kit } = intakeOf(derived.entries);
  return {
    facts,
    use,
    limits,
    vehicle: {
      ...(displacementL === undefined ? {} : { displacementL }),
      ...(geometry === undefined ? {} : { geometry }),
    },
    ...(kit ? { kit } : {}),
  };
}
