import {
  diagnoseCase,
  looksFor,
  raisedCauses,
  KNOWN_FINDINGS,
  oilToldOf,
  revsHeldOff,
  sentenceOf,
  weighCase,
  type CaseFacts,
  type Diagnosis,
  type DiagnosisQuestion,
  type WeighedCase,
} from '../diagnosis/index.ts';
import { expectedLoss, nextSteps, NOT_REPAIRED, type GuideFacts, type Step } from '../guide/index.ts';
import type { FilterSize } from '../filter/index.ts';
import type { Limits } from '../limits/index.ts';
import type { ResetStep } from '../proof/index.ts';
import {
  burnOfJob,
  removedParts,
  type BurnForecast,
  type Interlock,
  type JobBurn,
} from '../treatment/index.ts';
import { deriveJob, type DerivedJob, type JobFacts } from './deriveJob.ts';
import { driveAdvice, type DriveAdvice } from './driveAdvice.ts';
import { filterOfJob, FILLS, isFreed } from './filterOfJob.ts';
import { viewOfFilter, type FilterView } from './filterView.ts';
import { byModel, type ForecastOf } from './forecastOf.ts';
import { offerTreatments, type OfferedTreatment } from './offerTreatments.ts';
import { askedOfJob, isAnythingKnown } from './questionOfJob.ts';
import { resetsOfJob } from './resetsOfJob.ts';
import { countsWhatWasNotThere, isUnread, isWorkedOn } from './workState.ts';

/** A job to be judged: its ledger, its vehicle, its limits, and what was told in shorthand. */
export interface JudgedFacts extends JobFacts {
  readonly told?: Pick<CaseFacts, 'findings' | 'partialScan'>;
  /** How often the workshop found each cause on earlier vehicles of the family. */
  readonly family?: {
    readonly jobs: number;
    readonly confirmed: Readonly<Record<string, number>>;
    /** The filter that its other vehicles have, as far as that is known. */
    readonly filter?: FilterSize | undefined;
  };
  readonly distanceKm?: number;
}

export interface JobJudgement {
  readonly derived: DerivedJob;
  /** Something is known beside a complaint. */
  readonly known: boolean;
  readonly diagnosis: Diagnosis;
  /** The likeliest cause, where one stands out. */
  readonly standsOut?: { readonly cause: string; readonly probability: number };
  readonly next: Step | undefined;
  readonly then: readonly Step[];
  readonly choice: readonly OfferedTreatment[];
  /** Why nothing may be offered for the filter yet: the next step is to settle that. */
  readonly notJudged?: Interlock;
  /** A burn of the filter as it would be planned, where its soot is known, and what the model says of it. */
  readonly burn?: JobBurn;
  readonly forecast?: BurnForecast;
  readonly drive: DriveAdvice;
  /** Something was done that has to be shown. */
  readonly worked: boolean;
  readonly resets: readonly ResetStep[];
}

/** How surely an outcome follows from a cause to be the cause itself. */
const SHOWS = 0.9;
/** Seldom seen where it is there, and surely there where it is seen. */
const SURELY_SEEN: Readonly<Record<string, string>> = { 'duct-split': 'intake-leak' };
/** Checks after which the pressure shown is that of the filter. */
const PROVES_PATH: ReadonlySet<string> = new Set([
  'dp-swap',
  'dp-ladder',
  'dp-electrical',
  'dp-zero',
  'pipe-response',
]);
/** What comes after that is decided anew by then. */
const MOST_THEN = 6;

/**
 * All that is said of a job, in one place: what is likely, what to do next, what may be done to the filter, whether it may be
 * driven, what is set back and what is proved. Page and command line show this.
 * @param explained whether the sets of causes are told as explanations, too; a list and a command line show none
 * @param forecastOf the burn model, some tenths of a second of work: whoever waits for it elsewhere gives what it said
 */
export function judgeJob(
  facts: JudgedFacts,
  forecastOf: ForecastOf = byModel(facts.limits),
  { explained = true }: { readonly explained?: boolean } = {},
): JobJudgement {
  const { limits, displacementL } = facts;
  const derived = deriveJob(facts);
  const filter = filterOfJob(facts, derived);
  const question = questionOf(facts, derived);
  const perMinute = limits.labourPerHour / 60;
  const weighed = weighCase(question);
  const diagnosis = diagnoseCase(question, {
    explained,
    of: weighed,
    lossOf: (of) => expectedLoss(of, perMinute),
  });
  const freed = isFreed(derived);
  const likely = new Map(
    diagnosis.posterior.causes.map(({ id, probability }) => [id, freed && FILLS.has(id) ? 0 : probability]),
  );
  const chance = (id: string): number => likely.get(id) ?? 0;
  const view = viewOfFilter(weighed, question.facts.reading, chance, limits);
  const { notJudged, pressureRead, pathLies } = view;
  const treatmentFacts = {
    derived,
    limits,
    filter,
    ...(displacementL === undefined ? {} : { displacementL }),
  };
  const burn = burnOfJob(treatmentFacts);
  const { choice, forecast } = offerTreatments(
    { ...treatmentFacts, likely, inhibitors: diagnosis.inhibitors },
    { judged: notJudged === undefined, chance, burn, forecastOf },
  );
  const undecided =
    notJudged ??
    (choice.some(({ allowed }) => allowed)
      ? undefined
      : choice.flatMap(({ heldBy }) => heldBy).find(({ id }) => id === 'burns-off'));
  const leftHigh =
    pressureRead &&
    100 * pathLies < limits.counterLeftHighPercent &&
    100 * chance('soot-loaded') < limits.counterLeftHighPercent &&
    (100 * chance('counter-not-reset') >= limits.settledByLookPercent ||
      countsWhatWasNotThere(derived, filter, treatmentFacts));
  const resets = resetsOfJob(derived, { ...treatmentFacts, likely }, leftHigh, forecastOf);
  const known = isAnythingKnown(question) || derived.checks.length > 0;
  const worked = isWorkedOn(derived);
  const [next, ...then] = nextSteps(
    guided({ derived, question, weighed, diagnosis, view, choice, resets, known, worked, limits }),
  );
  const [likeliest] = known ? diagnosis.posterior.causes : [];
  return {
    derived,
    known,
    diagnosis,
    ...(likeliest && 100 * likeliest.probability >= limits.standsOutPercent
      ? { standsOut: { cause: likeliest.id, probability: likeliest.probability } }
      : {}),
    next,
    then: then.slice(0, MOST_THEN),
    choice,
    ...(undecided ? { notJudged: undecided } : {}),
    ...(burn ? { burn } : {}),
    ...(forecast ? { forecast } : {}),
    worked,
    drive: driveAdvice({
      derived,
      chance,
      pathLies,
      overFull: weighed.known.overFull && !freed,
      evidence: weighed.known.evidence,
      pressureRead,
      limits,
    }),
    resets,
  };
}

/** What is asked of a job, with what was told in shorthand and what the workshop knows of its family. */
function questionOf(facts: JudgedFacts, derived: DerivedJob): DiagnosisQuestion {
  const { limits, told = {}, family, distanceKm, fitted } = facts;
  const geometry = facts.geometry ?? family?.filter;
  const asked = askedOfJob(derived, limits, geometry ? { ...facts, geometry } : facts);
  return {
    ...asked,
    facts: {
      ...asked.facts,
      findings: { ...asked.facts.findings, ...told.findings },
      ...(told.partialScan ? { partialScan: true } : {}),
    },
    use: {
      ...(distanceKm === undefined ? {} : { distanceKm }),
      ...(fitted === undefined ? {} : { fitted }),
      ...asked.use,
      ...(family ? { family } : {}),
    },
  };
}

/** What the list of next steps is made from. */
function guided({
  derived,
  question,
  weighed,
  diagnosis,
  view,
  choice,
  resets,
  known,
  worked,
  limits,
}: {
  readonly derived: DerivedJob;
  readonly question: DiagnosisQuestion;
  readonly weighed: WeighedCase;
  readonly diagnosis: Diagnosis;
  readonly view: FilterView;
  readonly choice: readonly OfferedTreatment[];
  readonly resets: readonly ResetStep[];
  readonly known: boolean;
  readonly worked: boolean;
  readonly limits: Limits;
}): GuideFacts {
  const { evidence } = weighed.known;
  const { checks, causes, parts } = derived;
  const atRest = question.facts.reading?.samples?.find(
    ({ kind, backPressureMbar }) => kind === 'key-off' && backPressureMbar !== undefined,
  )?.backPressureMbar;
  const raised = raisedCauses(diagnosis.posterior.causes, weighed.weighed.network.causes, limits);
  const failed = (id: string): boolean =>
    derived.evidence.some((one) => one.id === id && one.state === 'failed');
  return {
    likely: diagnosis.posterior.causes.filter(
      ({ id }) => !causes.some(({ cause, state }) => cause === id && state === 'put-right'),
    ),
    checks: diagnosis.next
      .filter(({ check }) => !checks.some(({ entry }) => entry.body.check === check))
      .sort((a, b) => b.lossPerMinute - a.lossPerMinute)
      .map((check) => ({ ...check, pointedTo: looksFor(check.check, raised) })),
    open: causes
      .filter(({ cause, state }) => state === 'confirmed' && !NOT_REPAIRED.has(cause))
      .map(({ cause }) => cause),
    known: {
      scan: question.facts.codes !== undefined,
      pressure: view.pressureRead,
      anything: known,
      ...(view.warm === undefined ? {} : { warm: view.warm }),
    },
    seen: seenCauses(evidence),
    pathProven:
      checks.some(({ entry }) => PROVES_PATH.has(entry.body.check)) ||
      ['sound', 'replaced'].includes(parts.get('dp-sensor')?.state ?? ''),
    sensorKilled: atRest !== undefined && atRest > limits.deadBackPressureMbar,
    noRevs: revsHeldOff(evidence),
    oilToldOf: oilToldOf(evidence),
    pathLies: view.pathLies,
    burnsOnceProven: choice.some(
      ({ treatment, heldBy }) => treatment === 'nothing' && heldBy.some(({ id }) => id === 'burns-off'),
    ),
    unproven: choice.some(({ held }) => held.some(({ id }) => id === 'pressure-unproven')),
    treatments: choice.filter(({ allowed }) => allowed).map(({ treatment }) => treatment),
    stage: derived.signedOff
      ? 'signed-off'
      : derived.verdict === 'proved'
        ? 'proved'
        : worked
          ? 'treated'
          : 'before',
    toShow: derived.evidence.filter(({ state }) => state !== 'shown').map(({ id }) => id),
    notCured: (derived.after !== undefined && failed('equal-flow')) || failed('no-codes'),
    unread: isUnread(derived),
    resets: resets
      .filter(({ need, held }) => need === 'due' && held.length === 0)
      .map(({ reset, why }) => ({ id: reset, why })),
    stillOff: removedParts(derived.entries).filter(({ missing }) => missing.length > 0).length,
    chosen: worked ? undefined : derived.treatment?.body.treatment,
    sentence: sentenceOf,
    limits,
  };
}

/** Causes that a look or a measurement has shown themselves; what fits two of them shows neither. */
function seenCauses(evidence: Readonly<Record<string, boolean>>): Set<string> {
  return new Set(
    KNOWN_FINDINGS.filter(({ id, from }) => from === 'check' && evidence[id] === true).flatMap(
      ({ id, links }) => {
        const surely = SURELY_SEEN[id];
        if (surely !== undefined) return [surely];
        const shown = new Set(
          links.filter(({ chance, how }) => how === 'activates' && chance >= SHOWS).map(({ cause }) => cause),
        );
        return shown.size === 1 ? [...shown] : [];
      },
    ),
  );
}
