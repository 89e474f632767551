import { intakeOf, type DiagnosisQuestion } from '../diagnosis/index.ts';
import type { Limits } from '../limits/index.ts';
import { caseOfJob } from './caseOfJob.ts';
import type { DerivedJob, JobFacts } from './deriveJob.ts';

/** What of a vehicle its figures are judged by. */
export type VehicleOfJob = Pick<JobFacts, 'fitted' | 'displacementL' | 'geometry'>;

/** Whether anything is known of a job beside its complaint. */
export const isAnythingKnown = ({ facts }: DiagnosisQuestion): boolean =>
  facts.codes !== undefined ||
  facts.reading !== undefined ||
  Object.keys(facts.findings ?? {}).length + Object.keys(facts.checked ?? {}).length >= 2;

/** What is asked of a job: its scans, its before reading, its intake, its checks, what was put right; nothing while nothing is known. */
export function questionOfJob(
  derived: DerivedJob,
  limits: Limits,
  vehicle: VehicleOfJob,
): DiagnosisQuestion | undefined {
  const question = askedOfJob(derived, limits, vehicle);
  return isAnythingKnown(question) ? question : undefined;
}

/** The same, also where next to nothing is known. */
export function askedOfJob(
  derived: DerivedJob,
  limits: Limits,
  { fitted, displacementL, geometry }: VehicleOfJob,
): DiagnosisQuestion {
  const { facts, use } = caseOfJob(derived, limits, fitted);
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
