import { say, type Said } from '../words/index.ts';
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
} from '../diagnosis/index.ts';
import { expectedLoss, nextSteps, NOT_REPAIRED, type Step } from '../guide/index.ts';
import { entriesOfKind, happenedAt, type Treatment } from '../ledger/index.ts';
import { boundedBy, filterAsKnown, type FilterSize } from '../filter/index.ts';
import type { Limits } from '../limits/index.ts';
import { judgeReading, PATH_CAUSES, planResets, type ResetStep } from '../proof/index.ts';
import {
  burnOfJob,
  commandInterlocks,
  filterChances,
  forecastBurn,
  isRefused,
  rankTreatments,
  sootByPressure,
  type BurnForecast,
  type FilterChances,
  type Interlock,
  type JobBurn,
  type KnownFilter,
  type TreatmentOption,
  type TreatmentQuestion,
} from '../treatment/index.ts';
import type { FlowContext } from '../readings/index.ts';
import { deriveJob, type DerivedJob, type JobFacts } from './deriveJob.ts';
import { driveAdvice, type DriveAdvice } from './driveAdvice.ts';
import { askedOfJob, isAnythingKnown } from './questionOfJob.ts';

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

/**
 * The filter that a job is judged by: as entered, else as its family has it, else of the class of its engine. Once it is cleaned and
 * reads good at equal flow, what it was before bounds how far that may be off.
 */
export function filterOfJob(
  { geometry, family, displacementL, limits }: Omit<JudgedFacts, 'entries'>,
  derived: DerivedJob,
): KnownFilter {
  const known = filterAsKnown<KnownFilter>(
    geometry,
    family?.filter,
    displacementL,
    limits.filterPerEngineSize,
  );
  if (!known.size || !isFreed(derived)) return known;
  const context = { limits, ...(displacementL === undefined ? {} : { displacementL }) };
  return boundedBy(
    known,
    derived.befores.flatMap(({ body }) =>
      judgeReading(body, context)
        .samples.filter(({ kind }) => kind === 'hold')
        .map(({ dpMbar, flow }) => ({ dpMbar, gas: flow })),
    ),
  );
}

/** A treatment as it may be offered now. */
export interface OfferedTreatment extends TreatmentOption {
  readonly allowed: boolean;
  readonly heldBy: readonly Interlock[];
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

/** Looks that settle what is in the filter without any pressure. */
const SETTLED_BY_LOOK = ['filter-cracked', 'oil-in-exhaust', 'ash-full'] as const;
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

/** What the burn model says of a burn; nothing where it says nothing, or not yet. */
export type ForecastOf = (burn: JobBurn) => BurnForecast | undefined;

/**
 * All that is said of a job, in one place: what is likely, what to do next, what may be done to the filter, whether it may be
 * driven, what is set back and what is proved. Page and command line show this.
 * @param forecastOf the burn model, some tenths of a second of work: whoever waits for it elsewhere gives what it said
 */
export function judgeJob(facts: JudgedFacts, forecastOf: ForecastOf = byModel(facts.limits)): JobJudgement {
  const { limits, displacementL, told = {} } = facts;
  const geometry = facts.geometry ?? facts.family?.filter;
  const derived = deriveJob(facts);
  const filter = filterOfJob(facts, derived);
  const asked = askedOfJob(derived, limits, facts);
  const question = {
    facts: {
      ...asked.facts,
      findings: { ...asked.facts.findings, ...told.findings },
      ...(told.partialScan ? { partialScan: true } : {}),
    },
    use: {
      ...(facts.distanceKm === undefined ? {} : { distanceKm: facts.distanceKm }),
      ...(facts.fitted === undefined ? {} : { fitted: facts.fitted }),
      ...asked.use,
      ...(facts.family ? { family: facts.family } : {}),
    },
    limits,
    vehicle: {
      ...(displacementL === undefined ? {} : { displacementL }),
      ...(geometry === undefined ? {} : { geometry }),
    },
    ...(asked.kit ? { kit: asked.kit } : {}),
  };
  const perMinute = limits.labourPerHour / 60;
  const weighed = weighCase(question);
  const diagnosis = diagnoseCase(question, { of: weighed, lossOf: (of) => expectedLoss(of, perMinute) });
  const freed = isFreed(derived);
  const likely = new Map(
    diagnosis.posterior.causes.map(({ id, probability }) => [id, freed && FILLS.has(id) ? 0 : probability]),
  );
  const chance = (id: string): number => likely.get(id) ?? 0;
  const { evidence, beyond, overFull } = weighed.known;
  const samples = question.facts.reading?.samples;
  // With the engine off it tells of the sensor only.
  const pressureRead =
    beyond.measured.some(({ id }) => id === 'dp-measured') &&
    (samples?.some(({ kind, rpm }) => kind !== 'key-off' && rpm > 0) ?? true);
  const pathLies = 1 - [...PATH_CAUSES].reduce((honest, id) => honest * (1 - chance(id)), 1);

  const treatmentFacts = {
    derived,
    limits,
    filter,
    ...(displacementL === undefined ? {} : { displacementL }),
  };
  const burnHeld = commandInterlocks('burn', { ...treatmentFacts, likely }).some(
    ({ overridable }) => !overridable,
  );
  const burn = burnOfJob(treatmentFacts);
  const forecast = burn && !burnHeld ? forecastOf(burn) : undefined;
  const resetHeld = heldResets({ ...treatmentFacts, likely }, forecastOf);
  const options = rankTreatments({
    ...treatmentFacts,
    likely,
    inhibitors: diagnosis.inhibitors,
    ...(forecast ? { forecast } : {}),
  });
  const inFilter = filterChances({ ...treatmentFacts, likely });
  const byLook = SETTLED_BY_LOOK.some((id) => 100 * chance(id) >= limits.settledByLookPercent);
  // A crack that nobody saw and a pressure that does not arrive show the same.
  const notTheFilter = 1 - (1 - pathLies) * (1 - chance('filter-cracked'));
  const coolant = samples?.map(({ coolantC }) => coolantC).filter((one) => one !== undefined);
  const warm =
    pressureRead && coolant && coolant.length > 0 ? Math.max(...coolant) >= limits.coldEngineC : undefined;
  const judged = byLook || (pressureRead && 100 * notTheFilter < limits.pathDoubtPercent && warm !== false);
  const choice = options.map((option): OfferedTreatment => {
    const hopeless = uselessFor(option.treatment, chance, inFilter, limits);
    return {
      ...option,
      heldBy: hopeless ? [...option.held, hopeless] : option.held,
      allowed: judged && !hopeless && !isRefused(option),
    };
  });

  const pathProven =
    derived.checks.some(({ entry }) => PROVES_PATH.has(entry.body.check)) ||
    ['sound', 'replaced'].includes(derived.parts.get('dp-sensor')?.state ?? '');
  const atRest = samples?.find(
    ({ kind, backPressureMbar }) => kind === 'key-off' && backPressureMbar !== undefined,
  )?.backPressureMbar;
  const raised = raisedCauses(diagnosis.posterior.causes, weighed.weighed.network.causes);
  const checks = diagnosis.next
    .filter(({ check }) => !derived.checks.some(({ entry }) => entry.body.check === check))
    .sort((a, b) => b.lossPerMinute - a.lossPerMinute)
    .map((check) => ({ ...check, pointedTo: looksFor(check.check, raised) }));
  const scanned = question.facts.codes !== undefined;
  const known = isAnythingKnown(question) || derived.checks.length > 0;
  const saidOpen = derived.causes
    .filter(({ cause, state }) => state === 'confirmed' && !NOT_REPAIRED.has(cause))
    .map(({ cause }) => cause);
  const worked = isWorkedOn(derived);
  const resets = withCounter(
    planResets({
      entries: derived.entries,
      parts: derived.parts,
      causes: derived.causes,
      shownAtEqualFlow: derived.proof?.verdict === 'proved',
      limits,
      held: resetHeld,
    }),
    pressureRead &&
      100 * pathLies < limits.counterLeftHighPercent &&
      100 * chance('soot-loaded') < limits.counterLeftHighPercent &&
      (100 * chance('counter-not-reset') >= limits.settledByLookPercent ||
        countsWhatWasNotThere(derived, filter, { ...facts, limits })),
    Math.max(0, ...entriesOfKind(derived.entries, 'reading').map(happenedAt)),
  );
  const [next, ...then] = nextSteps({
    likely: diagnosis.posterior.causes.filter(
      ({ id }) => !derived.causes.some(({ cause, state }) => cause === id && state === 'put-right'),
    ),
    checks,
    open: saidOpen,
    known: {
      scan: scanned,
      pressure: pressureRead,
      anything: known,
      ...(warm === undefined ? {} : { warm }),
    },
    seen: seenCauses(evidence),
    pathProven,
    sensorKilled: atRest !== undefined && atRest > limits.deadBackPressureMbar,
    noRevs: revsHeldOff(evidence),
    oilToldOf: oilToldOf(evidence),
    pathLies,
    treatments: choice.filter(({ allowed }) => allowed).map(({ treatment }) => treatment),
    stage: derived.signedOff
      ? 'signed-off'
      : derived.verdict === 'proved'
        ? 'proved'
        : worked
          ? 'treated'
          : 'before',
    toShow: derived.evidence.filter(({ state }) => state !== 'shown').map(({ id }) => id),
    notCured:
      (derived.after !== undefined &&
        derived.evidence.some(({ id, state }) => id === 'equal-flow' && state === 'failed')) ||
      derived.evidence.some(({ id, state }) => id === 'no-codes' && state === 'failed'),
    unread: isUnread(derived),
    resets: resets
      .filter(({ need, held }) => need === 'due' && held.length === 0)
      .map(({ reset, why }) => ({ id: reset, why })),
    chosen: worked ? undefined : derived.treatment?.body.treatment,
    sentence: sentenceOf,
    limits,
  });
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
    // What may be done stands before what may not.
    choice: choice.toSorted((a, b) => Number(b.allowed) - Number(a.allowed)),
    ...(judged ? {} : { notJudged: notJudged(pressureRead, pathLies, notTheFilter, warm, limits) }),
    ...(burn ? { burn } : {}),
    ...(forecast ? { forecast } : {}),
    worked,
    drive: driveAdvice({
      derived,
      chance,
      pathLies,
      overFull: overFull && !freed,
      evidence,
      pressureRead,
      limits,
    }),
    resets,
  };
}

/** What was in a filter that is cleaned, burnt free or exchanged. */
const FILLS: ReadonlySet<string> = new Set(['soot-loaded', 'ash-full', 'filter-cracked']);

/** Whether the filter was worked on and has since read good at equal flow: what filled it is what was found, and no more there. */
const isFreed = ({ verdict, proofKind }: DerivedJob): boolean =>
  (verdict === 'proved' || verdict === 'equal-flow') &&
  proofKind !== 'untouched' &&
  proofKind !== 'pressure-path';

/**
 * Whether what there was to do is done and has to be shown. What was chosen for the filter after the last work is still to be done; and
 * a repair after which it was read anew, as *before*, has only cleared the view of the filter.
 */
function isWorkedOn({ entries, causes, treatment, before, after }: DerivedJob): boolean {
  const works = [
    ...entriesOfKind(entries, 'work').map(happenedAt),
    ...entriesOfKind(entries, 'part-changed')
      .filter(({ body }) => body.where === 'here')
      .map(happenedAt),
    ...causes.filter(({ state }) => state === 'put-right').map(({ entry }) => happenedAt(entry)),
  ];
  if (works.length === 0) return false;
  const last = Math.max(...works);
  if (treatment && treatment.body.treatment !== 'nothing' && happenedAt(treatment) > last) return false;
  return after !== undefined || before === undefined || happenedAt(before) < last;
}

/** Whether the way of the pressure was put right and nothing was read since. */
function isUnread({ causes, entries }: DerivedJob): boolean {
  const putRight = causes
    .filter(({ cause, state }) => state === 'put-right' && PATH_CAUSES.has(cause))
    .map(({ entry }) => happenedAt(entry));
  if (putRight.length === 0) return false;
  const worked = entriesOfKind(entries, 'work').map(happenedAt);
  const since = Math.min(Math.max(...putRight), ...worked.slice(-1));
  return !entriesOfKind(entries, 'reading').some((entry) => happenedAt(entry) >= since);
}

/** Whether the way of the pressure was put right, and the counter stands above all that the pressure read since leaves room for. */
function countsWhatWasNotThere(derived: DerivedJob, filter: FilterSize, context: FlowContext): boolean {
  const reading = derived.after ?? derived.before;
  const counter = reading?.body.sootCounterG;
  if (!reading || counter === undefined || isUnread(derived)) return false;
  if (!derived.causes.some(({ cause, state }) => state === 'put-right' && PATH_CAUSES.has(cause)))
    return false;
  const room = sootByPressure(reading.body, filter, context);
  return room.ok && counter > room.value.highG;
}

/** What a filter that lets soot past, or one with nothing in it, makes useless. */
function uselessFor(
  treatment: Treatment,
  chance: (cause: string) => number,
  { soot, ash, oil }: FilterChances,
  limits: Limits,
): Interlock | undefined {
  if (treatment === 'nothing') return undefined;
  const cracked = chance('filter-cracked');
  if (treatment !== 'exchange' && 100 * cracked >= limits.crackDecidesPercent)
    return {
      id: 'cause-open',
      cause: 'filter-cracked',
      text: say('job.a-cracked-filter-cannot'),
    };
  // One that is only due for a regeneration is burnt free; it needs no clean.
  const full = treatment === 'drive' || treatment === 'standing' ? soot : chance('soot-loaded');
  const inIt = 1 - (1 - full) * (1 - ash) * (1 - oil);
  const least = limits.worthCleaningPercent;
  if (100 * Math.max(inIt, treatment === 'exchange' ? cracked : 0) >= least) return undefined;
  return {
    id: 'nothing-in-it',
    text: say('job.only-likely-that-there', { inIt: 100 * inIt, least }),
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

function notJudged(
  pressureRead: boolean,
  pathLies: number,
  notTheFilter: number,
  warm: boolean | undefined,
  { pathDoubtPercent, coldEngineC }: Limits,
): Interlock {
  if (!pressureRead) return { id: 'no-reading', text: say('job.no-dp-read-yet') };
  if (warm === false)
    return {
      id: 'no-reading',
      text: say('job.read-below-c-coolant-warm', { coldEngineC }),
    };
  if (100 * pathLies < pathDoubtPercent)
    return {
      id: 'pressure-unproven',
      text: say('job.with-likely-the-filter', { notTheFilter: 100 * notTheFilter }),
    };
  return {
    id: 'pressure-unproven',
    text: say('job.only-likely-that-the-pressure', { pathLies: 100 * (1 - pathLies) }),
  };
}

/** A counter that was left high after a clean elsewhere, with a pressure that is low, may be set back though nothing was cleaned here. */
const withCounter = (resets: readonly ResetStep[], leftHigh: boolean, readMs: number): ResetStep[] =>
  resets.map((step) =>
    step.reset === 'reset-soot' && leftHigh && (step.done === undefined || happenedAt(step.done) < readMs)
      ? {
          ...step,
          need: 'due',
          why: say('job.it-was-cleaned-before-without'),
          held: [],
        }
      : step,
  );

/** Asks the burn model once for each burn: what is treated and what is set back mostly mean the same one. */
function byModel(limits: Limits): ForecastOf {
  const asked = new Map<string, BurnForecast | undefined>();
  return (burn) => {
    const key = JSON.stringify([burn.plan, burn.displacementL]);
    if (!asked.has(key)) {
      const forecast = forecastBurn(burn, limits);
      asked.set(key, forecast.ok ? forecast.value : undefined);
    }
    return asked.get(key);
  };
}

/**
 * What holds clearing or setting back off: what is cleared can release a burn, so the drop to idle of that burn counts. The model is
 * asked only where nothing else holds it off.
 */
function heldResets(
  facts: TreatmentQuestion,
  forecastOf: ForecastOf,
): (command: 'reset-counter' | 'clear-codes') => readonly Said[] {
  return (command) => {
    const held = commandInterlocks(command, facts);
    const burn = held.length > 0 ? undefined : burnOfJob(facts, 'reset-counter');
    const forecast = burn && forecastOf(burn);
    return (forecast ? commandInterlocks(command, { ...facts, forecast }) : held).map(({ text }) => text);
  };
}
