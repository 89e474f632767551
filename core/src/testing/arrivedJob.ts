import { FAULT_IDS, type Fault, type FaultId } from '../bench/index.ts';
import { groupOf } from '../bench/signature.ts';
import { KNOWN_CHECKS, KNOWN_FINDINGS, rootsOf } from '../diagnosis/index.ts';
import { filterVolumeL } from '../filter/index.ts';
import { judgeJob, type JobJudgement } from '../job/index.ts';
import type { EntryBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { PATH_CAUSES } from '../proof/index.ts';
import { arrive, type ArrivedVehicle } from './diagnosedVehicle.ts';
import type { Life } from './life.ts';
import { livelyVehicle } from './livelyVehicle.ts';
import { madeEntry } from './madeEntries.ts';

/** A cause that the judgement of a job is sure of, and whether it is so. */
export interface SureOf {
  readonly cause: string;
  readonly probability: number;
  readonly really: boolean;
}

/** A vehicle in life as it stands in a job that was just taken in: told, scanned, read; and what is said of it then. */
export interface ArrivedJob {
  readonly about: string;
  readonly life: Life;
  readonly sureOf: readonly SureOf[];
  /** It has one fault, and a code or a finding points to it. */
  readonly clear: boolean;
  readonly next: string;
  /** The next step is about what is really wrong, or sees that the pressure which says so is right. */
  readonly inFamily: boolean;
  /** The same without looks at the way of the pressure before a filter is treated. */
  readonly atFault: boolean;
}

const SURE = 0.9;
/** From here on a filter holds more than is usual between regenerations, or has lost room to ash, g/L. */
const SOOTY_G_PER_L = 4;
const ASHY_G_PER_L = 40;

/** Everything that is so on a vehicle, in the words of the diagnosis: its faults, and what they have made of the filter. */
function reallySo({
  vehicle: { faults, truth, family, plant, computer },
}: ArrivedVehicle): ReadonlySet<string> {
  const litres = filterVolumeL(family.filter);
  return new Set([
    ...faults.map(({ id }) => id),
    ...rootsOf(faults.map(({ id }) => id)),
    ...(faults.some(({ id }) => id === 'dp-sensor-failed') ? ['dp-sensor-wrong'] : []),
    ...(truth.sootG / litres > SOOTY_G_PER_L ? ['soot-loaded'] : []),
    ...(truth.ashG / litres > ASHY_G_PER_L ? ['ash-full'] : []),
    ...(computer.oilLifePercent <= 2 ? ['oil-counter'] : []),
    ...(plant.fuelL / family.tankL < 0.125 ? ['fuel-low'] : []),
  ]);
}

/** From so surely on a finding points to a cause. */
const POINTS = 0.25;

/** Causes that sit on the same part: who looks at one of them looks at all. */
const alikeWith = (id: string): ReadonlySet<string> => {
  const known = FAULT_IDS.find((one) => one === id);
  return new Set(known ? FAULT_IDS.filter((one) => groupOf(one) === groupOf(known)) : [id]);
};

const pointsTo = (finding: string, causes: ReadonlySet<string>): boolean =>
  KNOWN_FINDINGS.some(
    ({ id, links }) =>
      id === finding &&
      links.some(({ cause, chance, how }) => how === 'activates' && chance >= POINTS && causes.has(cause)),
  );

/**
 * Steps that are about what is wrong: a check that can see it, its repair; for the filter what is done to a filter, and seeing before that
 * that the pressure which says so is right.
 */
function isAbout({ next }: JobJudgement, fault: FaultId, wayOfPressureCounts: boolean): boolean {
  if (!next) return false;
  const family = alikeWith(fault);
  if (next.do === 'check') {
    const check = KNOWN_CHECKS.find(({ id }) => id === next.id);
    const about =
      wayOfPressureCounts && groupOf(fault) === 'filter' ? new Set([...family, ...PATH_CAUSES]) : family;
    return check?.outcomes.some((outcome) => pointsTo(outcome, about)) ?? false;
  }
  // What puts a wrong counter right is its reset.
  if (next.do === 'prove') return next.id === 'reset-soot' && family.has('counter-not-reset');
  if (next.do === 'repair') return next.id !== undefined && family.has(next.id);
  return next.do === 'treat' && groupOf(fault) === 'filter';
}

const nameOf = ({ id, form, severity }: Fault): string =>
  `${id}${form ? ` ${form}` : ''} ${severity.toFixed(2)}`;

/** A job of vehicle number `seed` as in life, judged when it was told, scanned and read, and nothing more. */
export function arrivedJob(seed: number): ArrivedJob {
  const { vehicle, life } = livelyVehicle(seed);
  const arrived = arrive(vehicle, seed, life);
  const { facts, use, context, seen } = arrived;
  const bodies: EntryBody[] = [
    {
      kind: 'complaint',
      text: 'As reported',
      ...(use.distanceKm === undefined ? {} : { distanceKm: use.distanceKm }),
      seen: { ...seen },
    },
    ...(facts.codes
      ? [{ kind: 'code-scan' as const, when: 'before' as const, codes: [...facts.codes] } as EntryBody]
      : []),
    ...(arrived.reading ? [arrived.reading] : []),
  ];
  const judged = judgeJob(
    {
      entries: bodies.map((body, i) => madeEntry(i + 1, body)),
      limits: DEFAULT_LIMITS,
      ...(context.displacementL === undefined ? {} : { displacementL: context.displacementL }),
      ...(context.geometry === undefined ? {} : { geometry: context.geometry }),
      ...(use.fitted === undefined ? {} : { fitted: use.fitted }),
      ...(use.distanceKm === undefined ? {} : { distanceKm: use.distanceKm }),
      told: facts.partialScan === undefined ? {} : { partialScan: facts.partialScan },
    },
    () => undefined,
  );
  const really = reallySo(arrived);
  const { posterior, evidence } = judged.diagnosis;
  const [only, ...others] = vehicle.faults;
  const clear =
    only !== undefined &&
    others.length === 0 &&
    Object.entries({ ...facts.findings, ...evidence }).some(
      ([id, found]) => found && pointsTo(id, new Set([only.id])),
    );
  return {
    about: `${seed}: ${vehicle.family.name}, ${vehicle.faults.map(nameOf).join(' + ')}, ${life.temper}, ${life.memory}, ${life.tool}, ${life.customer}`,
    life,
    sureOf: posterior.causes
      .filter(({ probability }) => probability > SURE)
      .map(({ id, probability }) => ({ cause: id, probability, really: really.has(id) })),
    clear,
    next: `${judged.next?.do ?? 'nothing'} ${judged.next?.id ?? ''}`.trim(),
    inFamily: only !== undefined && isAbout(judged, only.id, true),
    atFault: only !== undefined && isAbout(judged, only.id, false),
  };
}
