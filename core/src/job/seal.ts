import type { JobSummary, Seal, Vehicle } from '../contract/index.ts';
import { diagnoseCase, type Diagnosis } from '../diagnosis/index.ts';
import { effectiveEntries, type Entry } from '../ledger/index.ts';
import { DEFAULT_LIMITS, type Limits } from '../limits/index.ts';
import { flowPicture, type FlowPicture } from '../proof/index.ts';
import type { Unit } from '../quantities/index.ts';
import type { Visit } from '../outlook/index.ts';
import { deriveJob, type DerivedJob, type JobFacts, type NextJob } from './deriveJob.ts';
import { packJudged, unpackJudged } from './packJudged.ts';
import { questionOfJob } from './questionOfJob.ts';
import { summariseJob } from './summarise.ts';
import { visitOf } from './visitOf.ts';

/** What core needs of a vehicle to judge a job on it. */
export const vehicleFactsOf = (
  vehicle: Pick<Vehicle, 'displacementL' | 'filter' | 'fitted'>,
): Pick<JobFacts, 'displacementL' | 'geometry' | 'fitted'> => ({
  fitted: vehicle.fitted,
  ...(vehicle.displacementL === undefined ? {} : { displacementL: vehicle.displacementL }),
  ...(vehicle.filter ? { geometry: vehicle.filter } : {}),
});

/** A correction that counts stands in the time of what it corrects: so it is judged, and so it is found again by its id. */
const asTheyCount = (entries: readonly Entry[]): Entry[] => [...entries, ...effectiveEntries(entries)];

/**
 * Where what was derived stands in a seal. Seals of earlier versions have sentences instead of messages, one saying for each unit of
 * pressure: what was said then stays in its words.
 */
const SAID_AS = 'mbar';

/** A job at the moment when it is signed off. */
export interface SealedNow {
  readonly job: { readonly id: string; readonly number: number; readonly openedAt: string };
  readonly entries: readonly Entry[];
  readonly vehicle: Vehicle;
  readonly limits: Limits;
  readonly limitsProfile?: Seal['limitsProfile'];
  readonly workshop: string;
  readonly coreVersion: string;
  readonly sealedAt: string;
  /** Sealed after the fact, by the limits of the day of the sign-off. */
  readonly later?: true;
}

/**
 * All that is said of a signed-off job, as it is said on the day: limits, facts of the vehicle, verdict, figures and what was
 * likely. What is shown of the job later is this, whatever changes.
 * @returns nothing where the entries hold no sign-off
 */
export function sealJob(now: SealedNow): Seal | undefined {
  const { job, entries, vehicle, limits } = now;
  const facts = { entries, limits, ...vehicleFactsOf(vehicle) };
  const inBase = deriveJob(facts);
  if (!inBase.signedOff) return undefined;
  const question = questionOfJob(inBase, limits, vehicleFactsOf(vehicle));
  const known = asTheyCount(entries);
  return {
    entryId: inBase.signedOff.id,
    sealedAt: now.sealedAt,
    coreVersion: now.coreVersion,
    ...(now.later ? { later: true } : {}),
    workshop: now.workshop,
    vehicle,
    limits,
    ...(now.limitsProfile ? { limitsProfile: now.limitsProfile } : {}),
    summary: summariseJob(inBase),
    visit: visitOf(job, inBase, facts),
    derived: { [SAID_AS]: packJudged(inBase, known) },
    picture: packJudged(flowPicture(inBase, facts), known),
    ...(question ? { diagnosis: packJudged(diagnoseCase(question, { rank: false }), known) } : {}),
  };
}

/** A sealed job as it is shown. */
export interface SealedJob extends DerivedJob {
  readonly sealed: {
    readonly picture: FlowPicture | undefined;
    readonly diagnosis: Diagnosis | undefined;
    readonly coreVersion: string;
  };
}

/** Limits that a job was sealed by; one that was not known then has its starting value, and was used for nothing. */
export const sealedLimits = (seal: Seal): Limits => ({ ...DEFAULT_LIMITS, ...(seal.limits as Limits) });

/**
 * What a sealed job says, with what was written down after it. Only the vehicle's next visit can still contradict it: then
 * both stand there.
 */
export function unsealJob(
  seal: Seal,
  entries: readonly Entry[],
  { pressure = 'mbar', nextJob }: { readonly pressure?: Unit; readonly nextJob?: NextJob } = {},
): SealedJob {
  const packed = Object.hasOwn(seal.derived, pressure) ? seal.derived[pressure] : seal.derived[SAID_AS];
  const known = asTheyCount(entries);
  const judged = unpackJudged(packed, known) as DerivedJob;
  const overtaken = nextJob ? contradictedBy(seal, entries, nextJob) : undefined;
  return {
    ...judged,
    ...overtaken,
    entries: effectiveEntries(entries),
    sealed: {
      picture: unpackJudged(seal.picture, known) as FlowPicture | undefined,
      diagnosis: unpackJudged(seal.diagnosis, known) as Diagnosis | undefined,
      coreVersion: seal.coreVersion,
    },
  };
}

/** What the next visit makes of the verdict, by the limits and the filter of the day. */
function contradictedBy(
  seal: Seal,
  entries: readonly Entry[],
  nextJob: NextJob,
): Partial<DerivedJob> | undefined {
  const { contradiction, verdict, headline } = deriveJob({
    entries,
    limits: sealedLimits(seal),
    ...vehicleFactsOf(seal.vehicle),
    nextJob,
  });
  return contradiction ? { contradiction, verdict, headline } : undefined;
}

/** The line of a sealed job in lists, and what it leaves with its vehicle. */
export function keptOfSealed(seal: Seal, derived: SealedJob): { summary: JobSummary; visit: Visit } {
  const reopened = derived.contradiction !== undefined;
  return {
    summary: reopened
      ? { ...seal.summary, verdict: derived.verdict, headline: derived.headline }
      : seal.summary,
    visit: seal.visit,
  };
}

/** Before and after over the curves of the filter: of a sealed job as it was then. */
export const pictureOfJob = (
  derived: DerivedJob | SealedJob,
  facts: Pick<JobFacts, 'limits' | 'displacementL' | 'geometry'>,
): FlowPicture | undefined => ('sealed' in derived ? derived.sealed.picture : flowPicture(derived, facts));
