import { type Said } from '../words/index.ts';
import { filterVolumeL } from '../filter/index.ts';
import { type Treatment } from '../ledger/index.ts';
import { sootByPressure } from './sootLoad.ts';
import {
  commandInterlocks,
  latestReading,
  type BurnForecast,
  type Interlock,
  type InterlockFacts,
} from './interlocks.ts';

export interface TreatmentQuestion extends InterlockFacts {
  /** What holds a regeneration off now, in sentences. */
  readonly inhibitors?: readonly Said[];
  /** What the burn model says of a burn of this filter. */
  readonly forecast?: BurnForecast;
}

export interface TreatmentOption {
  readonly treatment: Treatment;
  /** Chance that the filter is proved after it, 0–1. */
  readonly chance: number;
  readonly handsOnMin: number;
  readonly waitingMin: number;
  /** Labour and material, in the currency of the profile. */
  readonly cost: number;
  /** Cost over chance: what it comes to if what fails is done again. */
  readonly expectedCost: number;
  readonly reasons: readonly Said[];
  readonly risks: readonly Said[];
  /** Where practitioners differ, what the other school says. */
  readonly otherSchool?: Said;
  /** Why it may not be done now; nothing where it may. */
  readonly held: readonly Interlock[];
}

/** What is in the way of the gas, as far as it is known. */
export interface FilterChances {
  readonly soot: number;
  readonly ash: number;
  readonly cracked: number;
  readonly oil: number;
  /** None of them. */
  readonly sound: number;
}

/** Before anything is diagnosed most full filters are full of soot. */
const UNDIAGNOSED: readonly (readonly [string, number])[] = [
  ['soot-loaded', 0.6],
  ['ash-full', 0.15],
  ['filter-cracked', 0.03],
  ['oil-in-exhaust', 0.03],
];

/** What may make a pressure look high that is not. */
const LIES_HIGH = ['dp-sensor-failed', 'dp-sensor-wrong', 'low-pipe-blocked', 'dp-hose-off', 'sensor-wiring'];

/**
 * The diagnosis knows a filter that is full; one that is due for a regeneration shows in its pressure long before. What the
 * pressure says of soot counts beside it, as far as the sensor is to be believed and it is not ash.
 */
export const filterChances = (question: TreatmentQuestion): FilterChances =>
  chancesBy(question, sootLoad(question));

/** What is worked out once for all treatments. */
export interface FilterFacts {
  readonly chances: FilterChances;
  readonly load: EstimatedLoad | undefined;
}

export function filterFacts(question: TreatmentQuestion): FilterFacts {
  const load = sootLoad(question);
  return { chances: chancesBy(question, load), load };
}

function chancesBy(question: TreatmentQuestion, load: EstimatedLoad | undefined): FilterChances {
  const { likely, limits } = question;
  const known = new Map(UNDIAGNOSED);
  const of = (id: string): number => likely?.get(id) ?? (likely ? 0 : (known.get(id) ?? 0));
  const [ash, cracked, oil] = [of('ash-full'), of('filter-cracked'), of('oil-in-exhaust')];
  const due = load !== undefined && load.gPerL >= limits.regenerationDueGPerL;
  const honest = LIES_HIGH.reduce((share, id) => share * (1 - of(id)), 1);
  const proven = !commandInterlocks('burn', question).some(({ id }) => id === 'pressure-unproven');
  const measured = due
    ? ((proven ? limits.believedProvenPercent : limits.believedUnprovenPercent) / 100) * honest * (1 - ash)
    : 0;
  const soot = Math.max(of('soot-loaded'), measured);
  return { soot, ash, cracked, oil, sound: (1 - soot) * (1 - ash) * (1 - cracked) * (1 - oil) };
}

/** Held by something that no decision gets past. */
export const isRefused = ({ held }: TreatmentOption): boolean => held.some(({ overridable }) => !overridable);

interface EstimatedLoad {
  readonly gPerL: number;
  readonly lowG: number;
  readonly highG: number;
}

/** Soot by the pressure of the last reading, as far as it can be told. */
function sootLoad(question: TreatmentQuestion): EstimatedLoad | undefined {
  const { filter, derived, limits, displacementL } = question;
  const reading = latestReading(derived);
  if (!reading) return undefined;
  const estimate = sootByPressure(reading.body, filter, {
    limits,
    ...(displacementL === undefined ? {} : { displacementL }),
  });
  if (!estimate.ok) return undefined;
  const { sootG, lowG, highG } = estimate.value;
  return { gPerL: sootG / filterVolumeL(filter), lowG, highG };
}
