import { describeFailure, asSentence, say, type Said } from '../words/index.ts';
import {
  entriesOfKind,
  happenedAt,
  type Entry,
  type EntryOf,
  type PartId,
  type PartState,
  type WorkType,
} from '../ledger/index.ts';
import { filterVolumeL } from '../filter/index.ts';
import type { Limits } from '../limits/index.ts';
import { SENSOR_UNPROVEN } from '../readings/index.ts';
import { sentenceOf } from '../diagnosis/index.ts';
import { readinessOf, type ReadyHold } from './readiness.ts';
import { mostSoot, type KnownFilter } from './sootLoad.ts';

/** What is asked of the ECU, sorted by what it can do harm to. */
export type LinkCommand = 'burn' | 'clear-codes' | 'reset-counter';

export interface Interlock {
  readonly id:
    | 'no-reading'
    | 'pressure-unproven'
    | 'over-full'
    | 'drop-too-hot'
    | 'codes-not-kept'
    | 'oil-in-exhaust'
    | 'oil-diluted'
    | 'inhibited'
    | 'cause-open'
    | 'nothing-in-it'
    | 'burns-off'
    | ReadyHold['id'];
  /** Why it is held, with the value and the limit, and what to do. */
  readonly text: Said;
  /** The open cause that it is about. */
  readonly cause?: string;
  /** May be gone past by a decision that is written down with its reason. */
  readonly overridable?: boolean;
}

/** What the burn model says of the upper end of the soot in this filter. */
export interface BurnForecast {
  readonly sootG: number;
  readonly sootLeftG: number;
  readonly plannedPeakC: number;
  /** The worst drop to idle. */
  readonly dropPeakC: number;
  /** What the bed stands. */
  readonly limitC: number;
}

export interface InterlockFacts {
  /** Chance of each cause by its id, as the diagnosis has it; absent: not diagnosed. */
  readonly likely?: ReadonlyMap<string, number>;
  /** What counts of a job, and the state of each part. */
  readonly derived: {
    readonly entries: readonly Entry[];
    readonly parts: ReadonlyMap<PartId, { readonly state: PartState }>;
    /** What is said of each cause, and what the checks found. */
    readonly causes?: readonly { readonly cause: string; readonly state: string; readonly entry: Entry }[];
    readonly checks?: readonly {
      readonly judgement: { readonly findings: Readonly<Record<string, boolean>> };
    }[];
    /** What the readings came to, and whether it is a new filter that they are of. */
    readonly proof?: { readonly newFilter?: boolean; readonly verdict: string };
  };
  readonly limits: Limits;
  readonly filter: KnownFilter;
  readonly displacementL?: number;
}

/** What stands between the filter and its ΔP. */
export const PRESSURE_PATH: Readonly<Partial<Record<PartId, Said>>> = {
  'dp-sensor': say('treatment.the-dp-sensor'),
  'high-pipe': say('treatment.the-high-pipe'),
  'low-pipe': say('treatment.the-low-pipe'),
};

/** Findings of a log after which its ΔP is no measure of the filter. */
const PRESSURE_DOUBTED = new Set([...SENSOR_UNPROVEN, 'dp-zero-offset', 'dp-saturated']);

/** The last reading that was taken of the filter as it is. */
export const latestReading = ({ entries }: InterlockFacts['derived']): EntryOf<'reading'> | undefined =>
  entriesOfKind(entries, 'reading')
    .toSorted((a, b) => happenedAt(a) - happenedAt(b))
    .at(-1);

const TAKES_SOOT_OUT: ReadonlySet<WorkType> = new Set<WorkType>([
  'chemical-clean',
  'off-vehicle-clean',
  'filter-exchanged',
]);

const BURNS_SOOT: ReadonlySet<WorkType> = new Set<WorkType>(['drive-regeneration', 'standing-regeneration']);

/** Whether soot was taken out, not burnt, before this moment: the ECU does not know of it. */
const sootWasTakenOut = ({ entries }: InterlockFacts['derived'], before: number): boolean =>
  entriesOfKind(entries, 'work').some(
    (entry) => TAKES_SOOT_OUT.has(entry.body.work) && happenedAt(entry) < before,
  );

/** A counter from before the soot was taken out is what a reset is for; a burn goes by the higher all the same. */
export const counterIsStale = (
  command: LinkCommand,
  derived: InterlockFacts['derived'],
  readAt: number,
): boolean => command !== 'burn' && sootWasTakenOut(derived, readAt);

/** Whether a new filter was fitted here that nobody has read full since: there is nothing in it that a reset could release. */
export function isNewlyFitted({ entries, proof }: InterlockFacts['derived']): boolean {
  const last = entriesOfKind(entries, 'work').findLast(
    ({ body }) => TAKES_SOOT_OUT.has(body.work) || BURNS_SOOT.has(body.work),
  );
  if (last?.body.work !== 'filter-exchanged') return false;
  const since = entriesOfKind(entries, 'reading').some((entry) => happenedAt(entry) >= happenedAt(last));
  return !since || (proof?.newFilter === true && proof.verdict === 'proved');
}

/** Why the pressure that the reading rests on is not proven; nothing where it is. */
function unproven(reading: EntryOf<'reading'>, { parts }: InterlockFacts['derived']): Said | undefined {
  const bad = [...parts].find(
    ([id, { state }]) => PRESSURE_PATH[id] !== undefined && (state === 'doubtful' || state === 'failed'),
  );
  if (bad) return say('treatment.is', { part: PRESSURE_PATH[bad[0]] ?? '', state: bad[1].state });
  const { origin } = reading.body;
  if (origin.type === 'log') {
    const finding = origin.findings.find((id) => PRESSURE_DOUBTED.has(id));
    return finding === undefined ? undefined : say('treatment.the-last-log-shows', { finding });
  }
  const seen = ['sound', 'replaced'].includes(parts.get('dp-sensor')?.state ?? '');
  return seen ? undefined : say('treatment.the-last-reading');
}

/** Most soot for a burn by the limits profile, g/L: by the material, the weaker where it is not known. */
export const burnLimitGPerL = ({ material }: KnownFilter, limits: Limits): number =>
  material === 'silicon-carbide' ? limits.burnLimitSiliconCarbideGPerL : limits.burnLimitOtherGPerL;

/**
 * What holds a command off on this job, each with its reason; nothing where it may go. To clear codes or reset a counter
 * can release an automatic burn, so the same stands before them as before a burn: a believed load under the limit of the
 * material, by the upper end of the estimate.
 */
export function commandInterlocks(
  command: LinkCommand,
  facts: InterlockFacts & { readonly forecast?: BurnForecast },
): readonly Interlock[] {
  const { derived, limits, filter, displacementL, forecast } = facts;
  const held: Interlock[] = [];
  if (command === 'clear-codes' && entriesOfKind(derived.entries, 'code-scan').length === 0) {
    held.push({
      id: 'codes-not-kept',
      text: say('treatment.the-codes-are-not-saved'),
    });
  }
  held.push(...oilInterlocks(facts), ...dropInterlock(forecast), ...dilutedInterlock(facts));
  // A burn that is released may come on the road, on whatever is in tank and sump then.
  if (command !== 'burn') held.push(...shortOf(facts));
  if (command !== 'burn' && isNewlyFitted(derived)) return held;
  const reading = latestReading(derived);
  if (!reading) {
    held.push({
      id: 'no-reading',
      text: say('treatment.soot-load-unknown-take'),
    });
    return held;
  }
  const doubt = unproven(reading, derived);
  if (doubt !== undefined) {
    held.push({
      id: 'pressure-unproven',
      text: say('treatment.no-soot-estimate-can', { doubt }),
    });
  }
  const load = mostSoot(
    reading.body,
    filter,
    { limits, ...(displacementL === undefined ? {} : { displacementL }) },
    { counterIsStale: counterIsStale(command, derived, happenedAt(reading)) },
  );
  const limit = burnLimitGPerL(filter, limits);
  if (!load.ok) held.push({ id: 'no-reading', text: asSentence(describeFailure(load.failure)) });
  else if (load.value.gPerL > limit) {
    const { gPerL, grams, by } = load.value;
    held.push({
      id: 'over-full',
      text: say('treatment.up-to-g-l', {
        gPerL,
        grams,
        by,
        limit,
        size: filter.size
          ? say('treatment.size-taken', { volumeL: filterVolumeL(filter), from: filter.size.from })
          : undefined,
        what:
          filter.material === 'silicon-carbide'
            ? say('treatment.silicon-carbide')
            : filter.material === 'cordierite'
              ? 'cordierite'
              : say('treatment.a-filter'),
      }),
    });
  }
  return held;
}

const found = ({ derived }: InterlockFacts, finding: string): boolean =>
  (derived.checks ?? []).some(({ judgement }) => judgement.findings[finding] === true);

const said = ({ derived }: InterlockFacts, cause: string): string | undefined =>
  derived.causes?.find((one) => one.cause === cause)?.state;

/** Oil that would feed a fire, or that comes out of the sump by a burn that never ends. */
function oilInterlocks(facts: InterlockFacts): Interlock[] {
  const { limits, likely } = facts;
  const state = said(facts, 'oil-in-exhaust');
  if (state === 'put-right' || state === 'ruled-out') return [];
  if (state === 'confirmed' || found(facts, 'inlet-oily'))
    return [
      {
        id: 'oil-in-exhaust',
        text: say('treatment.oil-is-entering-the-exhaust'),
      },
    ];
  const chance = 100 * (likely?.get('oil-in-exhaust') ?? 0);
  return chance > limits.oilHoldsBurnPercent
    ? [
        {
          id: 'oil-in-exhaust',
          text: say('treatment.oil-in-the-exhaust', {
            chance,
            oilHoldsBurnPercent: limits.oilHoldsBurnPercent,
          }),
        },
      ]
    : [];
}

/** The drop to idle by the burn model, with the upper end of the soot. */
const dropInterlock = (forecast: BurnForecast | undefined): Interlock[] =>
  forecast && forecast.dropPeakC > forecast.limitC
    ? [
        {
          id: 'drop-too-hot',
          text: say('treatment.with-g-of-soot', {
            sootG: forecast.sootG,
            dropPeakC: forecast.dropPeakC,
            limitC: forecast.limitC,
          }),
        },
      ]
    : [];

const dilutedInterlock = (facts: InterlockFacts): Interlock[] =>
  found(facts, 'oil-diluted')
    ? [
        {
          id: 'oil-diluted',
          text: say('treatment.fuel-in-the-oil-more'),
        },
      ]
    : [];

/** Too little fuel or oil by the last answers before a burn, or by the check of the tank. */
const shortOf = (facts: InterlockFacts): Interlock[] => {
  const last = entriesOfKind(facts.derived.entries, 'made-ready').findLast(
    ({ body }) => body.treatment === 'standing' || body.treatment === 'drive',
  );
  const asked = last?.body.treatment === 'drive' ? 'drive' : 'standing';
  return readinessOf(asked, facts).held.filter(({ id }) => id === 'fuel-low' || id === 'oil-low');
};

/** What holds a burn off: all that holds a reset off, what the ECU waits for, and the drop to idle by the model. */
export function burnInterlocks(
  facts: InterlockFacts & {
    readonly inhibitors?: readonly Said[];
    readonly forecast?: BurnForecast;
  },
): readonly Interlock[] {
  const { inhibitors = [] } = facts;
  return [
    ...commandInterlocks('burn', facts),
    ...(inhibitors.length > 0
      ? [
          {
            id: 'inhibited' as const,
            text: say('treatment.regeneration-is-inhibited', { by: inhibitors }),
          },
        ]
      : []),
  ];
}

/** Causes that a treatment of the filter answers itself. */
const ANSWERED_BY_TREATMENT = new Set([
  'soot-loaded',
  'ash-full',
  'filter-cracked',
  'counter-not-reset',
  'soot-counter-reset',
]);
const REPAIRS: ReadonlySet<WorkType> = new Set<WorkType>([
  'pipe-cleared',
  'sensor-replaced',
  'cause-repaired',
]);

/** Causes that are confirmed and not repaired: allowed as a decision that is written down. */
export function outstandingCauses({ derived }: InterlockFacts): readonly Interlock[] {
  const repairs = entriesOfKind(derived.entries, 'work').filter(({ body }) => REPAIRS.has(body.work));
  return (derived.causes ?? [])
    .filter(
      ({ cause, state, entry }) =>
        state === 'confirmed' &&
        !ANSWERED_BY_TREATMENT.has(cause) &&
        !repairs.some((repair) => happenedAt(repair) >= happenedAt(entry)),
    )
    .map(({ cause }) => ({
      id: 'cause-open' as const,
      text: say('treatment.a-cause-is-found-but', { cause: sentenceOf(cause) }),
      cause,
      overridable: true,
    }));
}
