import { say } from '../words/index.ts';
import type { Treatment } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import { filterVolumeL } from '../filter/index.ts';
import {
  burnLimitGPerL,
  filterChances,
  isRefused,
  rankTreatments,
  type BurnForecast,
  type FilterChances,
  type Interlock,
  type JobBurn,
  type TreatmentOption,
  type TreatmentQuestion,
} from '../treatment/index.ts';
import type { ForecastOf } from './forecastOf.ts';

/** A treatment as it may be offered now. */
export interface OfferedTreatment extends TreatmentOption {
  readonly allowed: boolean;
  readonly heldBy: readonly Interlock[];
}

/** By what a treatment is offered. */
export interface OfferedBy {
  /** The filter can be judged by what was read. */
  readonly judged: boolean;
  readonly chance: (cause: string) => number;
  /** A burn as it would be planned, where the soot is known. */
  readonly burn: JobBurn | undefined;
  readonly forecastOf: ForecastOf;
}

/** Treatments that burn the soot in place. */
const BURNS: ReadonlySet<Treatment> = new Set<Treatment>(['drive', 'standing']);

/** Every treatment, what may be done before what may not, with what the burn model says of a burn. */
export function offerTreatments(
  question: TreatmentQuestion,
  { judged, chance, burn, forecastOf }: OfferedBy,
): { readonly choice: readonly OfferedTreatment[]; readonly forecast: BurnForecast | undefined } {
  const inFilter = filterChances(question);
  const sorted = (forecast?: BurnForecast): readonly TreatmentOption[] =>
    rankTreatments({ ...question, ...(forecast ? { forecast } : {}) });
  const offered = (forecast?: BurnForecast): readonly OfferedTreatment[] =>
    sorted(forecast).map((option, _, options) => {
      const hopeless =
        uselessFor(option.treatment, chance, inFilter, question.limits) ??
        burnsOff(option.treatment, options, chance('soot-loaded'), inFilter, question, burn);
      return {
        ...option,
        heldBy: hopeless ? [...option.held, hopeless] : option.held,
        allowed: judged && !hopeless && !isRefused(option),
      };
    });
  const unburnt = offered();
  // The model is worth its time only for a burn that nothing else holds off. One that is not offered may still be begun by hand.
  const isOpen = unburnt.some((option) => BURNS.has(option.treatment) && !isRefused(option));
  const forecast = burn && isOpen ? forecastOf(burn) : undefined;
  const choice = forecast ? offered(forecast) : unburnt;
  return { choice: choice.toSorted((a, b) => placeOf(a) - placeOf(b)), forecast };
}

/** What may be done now, then what waits, then what something else comes before. */
const placeOf = ({ allowed, heldBy }: OfferedTreatment): number =>
  allowed ? 0 : heldBy.some(({ id }) => id === 'burns-off') ? 2 : 1;

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
  const full = BURNS.has(treatment) ? soot : chance('soot-loaded');
  const inIt = 1 - (1 - full) * (1 - ash) * (1 - oil);
  const least = BURNS.has(treatment) ? limits.worthBurningPercent : limits.worthCleaningPercent;
  if (100 * Math.max(inIt, treatment === 'exchange' ? cracked : 0) >= least) return undefined;
  return {
    id: 'nothing-in-it',
    text: say('job.only-likely-that-there', { inIt: 100 * inIt, least }),
  };
}

/** Treatments that take soot out where a burn could not. */
const FOR_MORE_SOOT: ReadonlySet<Treatment> = new Set<Treatment>(['chemical', 'off-vehicle', 'exchange']);

/** Soot that a burn may take once its pressure is proven is no reason to clean: a few minutes at the sensor come first. */
function burnsOff(
  treatment: Treatment,
  options: readonly TreatmentOption[],
  full: number,
  { ash, oil }: FilterChances,
  { limits, filter }: TreatmentQuestion,
  burn: JobBurn | undefined,
): Interlock | undefined {
  const { worthCleaningPercent } = limits;
  if (100 * Math.max(ash, oil) >= worthCleaningPercent) return undefined;
  // Nor is it left alone.
  const left = treatment === 'nothing' && 100 * full >= worthCleaningPercent;
  if (!FOR_MORE_SOOT.has(treatment) && !left) return undefined;
  const burns = options.filter((option) => BURNS.has(option.treatment));
  const waits = burns.some(
    ({ held }) => held.length > 0 && held.every(({ id }) => id === 'pressure-unproven'),
  );
  if (!waits || !burn) return undefined;
  const grams = burn.plan.sootG;
  return {
    id: 'burns-off',
    text: say('job.this-soot-burns-off', {
      grams,
      gPerL: grams / filterVolumeL(filter),
      limit: burnLimitGPerL(filter, limits),
    }),
  };
}
