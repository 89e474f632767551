import type { CheckId } from '../checks/index.ts';
import { perform } from '../bench/index.ts';
import {
  evidenceOfCase,
  explanationsOf,
  FIXED_CHECKLIST,
  KNOWN_CHECKS,
  networkFor,
  posteriorSets,
  proposeChecks,
  rankChecks,
  rootsOf,
  type Evidence,
  type Explanation,
} from '../diagnosis/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { arrive, checkFindings, faultyVehicle, type ArrivedVehicle } from './diagnosedVehicle.ts';

/** What a technician arrives at who makes one check after the other. */
export interface LoopEnd {
  /** One explanation held 90 % before the checks ran out. */
  readonly finished: boolean;
  readonly roots: readonly string[];
  readonly minutes: number;
  readonly checks: readonly CheckId[];
  /** Checks that were made though they were held off by what was known. */
  readonly dangerous: readonly CheckId[];
}

export interface DiagnosedVehicle {
  readonly about: string;
  readonly faults: readonly string[];
  readonly right: boolean;
  readonly recommended: LoopEnd;
  /** The same vehicle by the fixed checklist. */
  readonly fixed: LoopEnd;
}

const HOLDS = 0.9;
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
const OIL_CHANGE_MIN = 25;

type Choose = (
  known: { readonly evidence: Evidence; readonly oilIsRight: boolean },
  done: ReadonlySet<string>,
) => { readonly check: CheckId; readonly heldOff: boolean } | undefined;

/** Makes checks in an order until one explanation holds. Diluted oil is changed where it is found, as revs are held off by it. */
function follow(arrived: ArrivedVehicle, answer: (check: CheckId) => Evidence, choose: Choose): LoopEnd {
  const network = networkFor(arrived.use);
  let { evidence } = evidenceOfCase(arrived.facts, DEFAULT_LIMITS);
  const done = new Set<CheckId>();
  const dangerous: CheckId[] = [];
  let minutes = 0;
  let oilIsRight = false;
  for (;;) {
    const [best] = explanationsOf(network, posteriorSets(network, evidence)) as [Explanation];
    const next = best.probability < HOLDS ? choose({ evidence, oilIsRight }, done) : undefined;
    if (!next)
      return {
        finished: best.probability >= HOLDS,
        roots: best.roots,
        minutes,
        checks: [...done],
        dangerous,
      };
    if (next.heldOff) dangerous.push(next.check);
    done.add(next.check);
    minutes += KNOWN_CHECKS.find(({ id }) => id === next.check)?.minutes ?? 0;
    evidence = { ...evidence, ...answer(next.check) };
    if (evidence['oil-diluted'] === true && !oilIsRight) {
      perform(arrived.vehicle, { do: 'change-oil' });
      oilIsRight = true;
      minutes += OIL_CHANGE_MIN;
    }
  }
}

const asKnown = ({ evidence, oilIsRight }: { evidence: Evidence; oilIsRight: boolean }): Evidence =>
  oilIsRight ? { ...evidence, 'oil-diluted': false } : evidence;

/** Brings vehicle number `seed` in and diagnoses it twice, by the recommended checks and by the fixed checklist. */
export function diagnosedVehicle(seed: number): DiagnosedVehicle {
  const vehicle = faultyVehicle(seed);
  const { faults } = vehicle;
  const arrived = arrive(vehicle, seed);
  const network = networkFor(arrived.use);
  const answers = new Map<CheckId, Evidence>();
  const answer = (check: CheckId): Evidence => {
    const known = answers.get(check) ?? checkFindings(arrived, check);
    answers.set(check, known);
    return known;
  };
  const recommended = follow(arrived, answer, (known, done) => {
    const ranked = rankChecks(network, known.evidence, WITHOUT_A_NIGHT);
    const [next] = proposeChecks(ranked, asKnown(known), KIT).filter(({ check }) => !done.has(check));
    return next && { check: next.check as CheckId, heldOff: next.heldOff !== undefined };
  });
  const fixed = follow(arrived, answer, (_known, done) => {
    const check = FIXED_CHECKLIST.find((id) => !done.has(id) && WITHOUT_A_NIGHT.some((one) => one.id === id));
    return check && { check, heldOff: false };
  });
  const ids = faults.map(({ id }) => id);
  return {
    about: `${seed}: ${vehicle.family.name}, ${faults.map(({ id, form, severity }) => `${id}${form ? ` ${form}` : ''} ${severity.toFixed(2)}`).join(' + ')}`,
    faults: ids,
    right: recommended.finished && recommended.roots.join() === rootsOf(ids).join(),
    recommended,
    fixed,
  };
}
