import { inEnglish } from '../words/index.ts';
import type { CheckContext, CheckId } from '../checks/index.ts';
import { perform, type BenchVehicle, type Fault, type FaultId } from '../bench/index.ts';
import { BenchHand } from '../bench/answers/bench.ts';
import {
  CODE_FINDING_IDS,
  evidenceOfCase,
  explanationsOf,
  FIXED_CHECKLIST,
  fooledBy,
  KNOWN_CHECKS,
  networkFor,
  nextCheck,
  posteriorSets,
  weigh,
  proposeChecks,
  rankChecks,
  revsHeldOff,
  rootsOf,
  type Evidence,
  type Explanation,
  type Network,
  type Beyond,
} from '../diagnosis/index.ts';
import { expectedLoss } from '../guide/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { arrive, checkFindings, faultyVehicle, readIn, type ArrivedVehicle } from './diagnosedVehicle.ts';
import type { Life } from './life.ts';
import { livelyVehicle, ORDINARY } from './livelyVehicle.ts';

/** What a technician arrives at who makes one check after the other. */
export interface LoopEnd {
  /** One explanation held before no check was worth its minutes any more. */
  readonly finished: boolean;
  readonly roots: readonly string[];
  /** What else was thought of at the end, for whoever looks at one vehicle. */
  readonly thought: readonly Explanation[];
  readonly minutes: number;
  readonly checks: readonly CheckId[];
  /** Causes that were found and put right on the way. */
  readonly putRight: readonly string[];
  /** Checks, and readings again, in which the engine was revved with fuel in its oil or oil in its filter that a check had shown. */
  readonly dangerous: readonly string[];
}

export interface DiagnosedVehicle {
  readonly about: string;
  readonly faults: readonly string[];
  readonly right: boolean;
  readonly recommended: LoopEnd;
  /** The same vehicle by the fixed checklist: another whole vehicle, so only where somebody asks. */
  readonly fixed: () => LoopEnd;
}

/** From here on one explanation holds. Each look clears nine in ten, so a little of every other cause is always left. */
const HOLDS = 0.93;
/** All that a van carries; a night to cool down is not along. */
const KIT: ReadonlySet<string> = new Set([
  'scan-tool',
  'multimeter',
  'hand-pump',
  'known-good-sensor',
  'smoke-generator',
  'gauge',
  'spanners',
  'contact-thermometer',
]);
const WITHOUT_A_NIGHT = KNOWN_CHECKS.filter(({ needs }) => !needs.includes('cold-engine'));
/** A check is made as long as a minute of it avoids so much of what a minute costs: somebody who wants to be sure goes on for long. */
const WORTH = 0.08;
const PER_MINUTE = DEFAULT_LIMITS.labourPerHour / 60;
const OIL_CHANGE_MIN = 25;

/** What is put right at once where it is found: of the air and of the pressure path, as it makes or hides signs of something else. */
const PUT_RIGHT_AT_ONCE: ReadonlySet<string> = new Set<FaultId>([
  'dp-sensor-failed',
  'dp-sensor-wrong',
  'high-pipe-blocked',
  'dp-hose-off',
  'dp-hoses-crossed',
  'sensor-wiring',
  'intake-leak',
  'manifold-sensor-failed',
]);
/** As sure as this a technician repairs without waiting for the rest. */
const SURE = 0.97;
const READ_AGAIN_MIN = 8;

/** Above idle by so much an engine is revved. */
const REVVED_RPM = 500;
const DILUTED_PERCENT = 4;
const OILY_G = 4;

/**
 * Watches the vehicle itself, whatever the proposals hold of their own work: whether it was revved while it has what makes that
 * dangerous, after a check had shown it.
 */
export function revvedInDanger(vehicle: BenchVehicle, made: readonly CheckId[], work: () => void): boolean {
  const { plant, family } = vehicle;
  const shown = new Set(made);
  let danger = false;
  const step = vehicle.step.bind(vehicle);
  vehicle.step = () => {
    step();
    if (plant.engine.rpm < family.idleRpm + REVVED_RPM) return;
    const diluted = shown.has('oil') && (vehicle.read('oilDilution') ?? 0) > DILUTED_PERCENT;
    danger ||= diluted || (shown.has('filter-look') && plant.filter.oilG > OILY_G);
  };
  work();
  vehicle.step = step;
  return danger;
}

type Choose = (
  known: { readonly network: Network; readonly evidence: Evidence; readonly beyond: Beyond },
  done: ReadonlySet<string>,
) => CheckId | undefined;

/**
 * Makes checks in an order until one explanation holds. What is found for sure is put right as soon as it stands in the way, and
 * the baseline read again, as a technician does. Diluted oil is changed where it is found, as revs are held off by it.
 */
function follow(arrived: ArrivedVehicle, choose: Choose): LoopEnd {
  const { vehicle, use } = arrived;
  let { context } = arrived;
  let { evidence, beyond } = evidenceOfCase(arrived.facts, DEFAULT_LIMITS, context);
  const done = new Set<CheckId>();
  const made: CheckId[] = [];
  const dangerous: string[] = [];
  const putRight = new Map<string, Set<string>>();
  let minutes = 0;
  let oilIsRight = false;
  const see = (seen: Evidence): void => {
    evidence = { ...evidence, ...seen };
    for (const since of putRight.values()) for (const id of Object.keys(seen)) since.add(id);
  };
  for (;;) {
    const network = networkFor({
      ...use,
      putRight: [...putRight].map(([cause, since]) => ({ cause, seenSince: [...since] })),
    });
    const weighed = weigh(network, evidence, beyond);
    const posterior = posteriorSets(weighed);
    const thought = explanationsOf(network, posterior, [...putRight.keys()]);
    const [best] = thought as [Explanation];
    const end = (): LoopEnd => ({
      finished: best.probability >= HOLDS,
      roots: best.roots,
      thought: thought.slice(0, 4),
      minutes,
      checks: made,
      putRight: [...putRight.keys()],
      dangerous,
    });
    const asKnown = oilIsRight ? { ...evidence, 'oil-diluted': false } : evidence;
    const sure = sureOf(network, posterior);
    // What holds revs off holds the reading off too that would follow.
    if (sure !== undefined && revsHeldOff(asKnown) === undefined) {
      evidence = withoutFooled(sure, evidence, done);
      putRight.set(sure, new Set());
      // One repair ends all that no check tells from it.
      for (const { id } of vehicle.faults)
        if (rootsOf([id]).join() === rootsOf([sure]).join()) perform(vehicle, { do: 'repair', fault: id });
      const reads = (): void => {
        const again = readAgain(vehicle, arrived.tool);
        see(again.evidence);
        ({ context, beyond } = again);
      };
      if (revvedInDanger(vehicle, made, reads)) dangerous.push('read again');
      minutes += READ_AGAIN_MIN;
      continue;
    }
    const next = best.probability >= HOLDS ? undefined : choose({ network, evidence: asKnown, beyond }, done);
    if (!next) return end();
    done.add(next);
    minutes += KNOWN_CHECKS.find(({ id }) => id === next)?.minutes ?? 0;
    if (revvedInDanger(vehicle, made, () => see(checkFindings({ vehicle, context }, next))))
      dangerous.push(next);
    made.push(next);
    if (evidence['oil-diluted'] === true && !oilIsRight) {
      perform(vehicle, { do: 'change-oil' });
      oilIsRight = true;
      minutes += OIL_CHANGE_MIN;
    }
  }
}

/** The surest cause that is sure enough and put right on the spot. */
function sureOf(
  { causes }: Network,
  { sets, probabilities }: ReturnType<typeof posteriorSets>,
): string | undefined {
  const sum = new Float64Array(causes.length);
  sets.forEach((set, s) => {
    for (const i of set) sum[i] = (sum[i] as number) + (probabilities[s] as number);
  });
  return causes
    .map(({ id }, i) => ({ id, probability: sum[i] as number }))
    .filter(({ id, probability }) => probability >= SURE && PUT_RIGHT_AT_ONCE.has(id))
    .sort((a, b) => b.probability - a.probability)[0]?.id;
}

/** What a cause may have made or hidden does not count any more: those checks are open again. */
function withoutFooled(cause: string, evidence: Evidence, done: Set<CheckId>): Evidence {
  const fooled = fooledBy(cause);
  for (const { id, outcomes } of KNOWN_CHECKS) if (outcomes.some((one) => fooled.has(one))) done.delete(id);
  return Object.fromEntries(Object.entries(evidence).filter(([id]) => !fooled.has(id)));
}

/** Codes cleared, the baseline read anew. Codes that come back count; that one does not within minutes says nothing. */
function readAgain(
  vehicle: BenchVehicle,
  tool: Life['tool'],
): {
  readonly evidence: Evidence;
  readonly beyond: Beyond;
  readonly context: CheckContext;
} {
  const hand = new BenchHand(vehicle);
  hand.keyOn(8);
  const cleared = vehicle.startRoutine('clear-codes');
  if (cleared.status !== 'done') throw new Error(`Codes were not cleared: ${inEnglish(cleared.text)}`);
  const { facts, context } = readIn(vehicle, { pull: false }, tool);
  const { evidence, beyond } = evidenceOfCase(facts, DEFAULT_LIMITS, context);
  const codes = new Set(CODE_FINDING_IDS);
  return {
    evidence: Object.fromEntries(Object.entries(evidence).filter(([id, seen]) => seen || !codes.has(id))),
    beyond,
    context,
  };
}

/** Brings vehicle number `seed` in, with its own faults or given ones, and diagnoses it twice, by the recommended checks and by the fixed checklist. */
export function diagnosedVehicle(seed: number, given?: readonly Fault[]): DiagnosedVehicle {
  const { faults, family } = faultyVehicle(seed, given);
  const about = aboutVehicle(seed, family.name, faults);
  return diagnosed(about, faults, () => arrive(faultyVehicle(seed, given), seed));
}

/** The same as in life: by computers of any temper, memories with a history, tools that tell less and customers who tell otherwise. */
export function livelyDiagnosis(seed: number, given?: Life): DiagnosedVehicle & { readonly life: Life } {
  const { vehicle, life } = livelyVehicle(seed, given);
  const about = aboutVehicle(seed, vehicle.family.name, vehicle.faults);
  const comes = (): ArrivedVehicle => arrive(livelyVehicle(seed, given).vehicle, seed, life);
  const whole = `${about}, ${life.temper}, ${life.memory}, ${life.tool}, ${life.customer}`;
  return { ...diagnosed(whole, vehicle.faults, comes), life };
}

/** Its faults on a vehicle with an ordinary computer, a whole scan and a customer who tells what there is. */
export const ordinaryDiagnosis = (seed: number): DiagnosedVehicle => livelyDiagnosis(seed, ORDINARY);

const aboutVehicle = (seed: number, family: string, faults: readonly Fault[]): string =>
  `${seed}: ${family}, ${faults.map(({ id, form, severity }) => `${id}${form ? ` ${form}` : ''} ${severity.toFixed(2)}`).join(' + ')}`;

function diagnosed(about: string, faults: readonly Fault[], comes: () => ArrivedVehicle): DiagnosedVehicle {
  const byRecommended: Choose = ({ network, evidence, beyond }, done) => {
    const ranked = rankChecks(weigh(network, evidence, beyond), WITHOUT_A_NIGHT, (of) =>
      expectedLoss(of, PER_MINUTE),
    );
    // As a job proposes them: what loss a minute avoids, and where none avoids any, what it tells.
    const proposed = proposeChecks(ranked, evidence, KIT).filter(
      ({ lacking, lossPerMinute }) => lacking.length === 0 && lossPerMinute > WORTH * PER_MINUTE,
    );
    const next = nextCheck(
      proposed.toSorted((a, b) => b.lossPerMinute - a.lossPerMinute),
      done,
    );
    return next?.check as CheckId | undefined;
  };
  const byChecklist: Choose = (_known, done) =>
    FIXED_CHECKLIST.find((id) => !done.has(id) && WITHOUT_A_NIGHT.some((one) => one.id === id));
  const recommended = follow(comes(), byRecommended);
  const ids = faults.map(({ id }) => id);
  return {
    about,
    faults: ids,
    right: recommended.roots.join() === rootsOf(ids).join(),
    recommended,
    fixed: () => follow(comes(), byChecklist),
  };
}
