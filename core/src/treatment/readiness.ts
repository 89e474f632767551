import { entriesOfKind, happenedAt, type Entry, type EntryOf, type Treatment } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';

export const READY_QUESTIONS = {
  outdoors: {
    label: 'Outdoors, or the tailpipe under extraction',
    no: 'Gas and smoke are trapped: go outdoors, or fit extraction at the tailpipe.',
  },
  clear: {
    label: 'Nothing flammable near the exhaust: dry grass, fuel, cartons, other vehicles',
    no: 'Something flammable is near the exhaust: move it or the vehicle.',
  },
  extinguisher: { label: 'Fire extinguisher at hand', no: 'No extinguisher at hand.' },
  parked: { label: 'Neutral or park, brake on, wheels chocked', no: 'The vehicle is not secured.' },
  watched: { label: 'Somebody stays with it until it has cooled', no: 'Nobody stays with it.' },
  smoke: {
    label: 'Smoke, steam and noise are no nuisance here',
    no: 'Smoke, steam and noise are a nuisance here: dose at another site.',
  },
  runOff: { label: 'Run-off can be collected', no: 'Run-off cannot be collected: it is hazardous waste.' },
  stands: { label: 'On axle stands, never a jack alone', no: 'The vehicle is not on axle stands.' },
  supported: {
    label: 'Engine supported, if a mount or cross-member comes off',
    no: 'The engine is not supported.',
  },
} as const satisfies Record<string, { readonly label: string; readonly no: string }>;
export type ReadyQuestion = keyof typeof READY_QUESTIONS;

/** Figures that are asked for, by the name under which they are answered. */
export const READY_FIGURES = {
  fuelPercent: { label: 'Fuel', unit: '%', hint: 'By the gauge or a channel' },
  oilPercent: { label: 'Oil on the dipstick', unit: '%', hint: '0 is the lower mark, 100 the upper' },
  filterC: { label: 'Filter now', unit: '°C', hint: 'By its EGTs or a contact thermometer' },
} as const satisfies Record<string, { readonly label: string; readonly unit: string; readonly hint: string }>;
export type ReadyFigure = keyof typeof READY_FIGURES;

interface Asked {
  readonly questions: readonly ReadyQuestion[];
  readonly figures: readonly ReadyFigure[];
  readonly helper: boolean;
}

/** What has to be known before each treatment begins. */
export const READY_FOR: Readonly<Record<Treatment, Asked>> = {
  nothing: { questions: [], figures: [], helper: false },
  drive: { questions: ['extinguisher'], figures: ['fuelPercent', 'oilPercent'], helper: true },
  standing: {
    questions: ['outdoors', 'clear', 'extinguisher', 'parked', 'watched'],
    figures: ['fuelPercent', 'oilPercent'],
    helper: false,
  },
  chemical: { questions: ['smoke', 'runOff'], figures: ['filterC'], helper: false },
  'off-vehicle': { questions: ['stands', 'supported', 'runOff'], figures: ['filterC'], helper: false },
  exchange: { questions: ['stands', 'supported'], figures: ['filterC'], helper: false },
};

export interface ReadyHold {
  readonly id: 'site-unsafe' | 'fuel-low' | 'oil-low' | 'filter-hot' | 'no-helper' | 'not-asked';
  readonly text: string;
}

export interface Readiness {
  /** What is asked for and not in order, each with its value and limit. */
  readonly held: readonly ReadyHold[];
  /** What is not answered yet, or too long ago. */
  readonly missing: readonly string[];
  readonly entry?: EntryOf<'made-ready'>;
}

export interface ReadinessFacts {
  readonly derived: {
    readonly entries: readonly Entry[];
    readonly checks?: readonly {
      readonly judgement: { readonly findings: Readonly<Record<string, boolean>> };
    }[];
  };
  readonly limits: Limits;
  /** Hottest filter for the fluid that is to go in, by its sheet; else the limit of a hand. */
  readonly filterUpToC?: number;
}

/** Whether the last check that says something of it found it so. */
const foundLast = ({ derived }: ReadinessFacts, finding: string): boolean =>
  (derived.checks ?? []).findLast(({ judgement }) => judgement.findings[finding] !== undefined)?.judgement
    .findings[finding] === true;

/**
 * Whether everything stands ready for a treatment, by the last answers that were given for it. What was answered with no
 * holds it off until it is answered anew; answers that are older than the profile says have to be given again.
 */
export function readinessOf(treatment: Treatment, facts: ReadinessFacts, nowMs?: number): Readiness {
  const { derived, limits } = facts;
  const asked = READY_FOR[treatment];
  const entry = entriesOfKind(derived.entries, 'made-ready').findLast(
    ({ body }) => body.treatment === treatment,
  );
  const { answers = {}, helper } = entry?.body ?? {};
  const held: ReadyHold[] = asked.questions
    .filter((id) => answers[id] === false)
    .map((id) => ({ id: 'site-unsafe', text: READY_QUESTIONS[id].no }));
  const missing: string[] = asked.questions
    .filter((id) => answers[id] === undefined)
    .map((id) => READY_QUESTIONS[id].label);
  for (const id of asked.figures) {
    const value = answers[id];
    if (typeof value !== 'number') missing.push(READY_FIGURES[id].label);
    else {
      const hold = figureHold(id, value, facts);
      if (hold) held.push(hold);
    }
  }
  // A check of the tank counts where no figure was given with the answers.
  if (
    asked.figures.includes('fuelPercent') &&
    answers['fuelPercent'] === undefined &&
    foundLast(facts, 'fuel-under')
  )
    held.push({
      id: 'fuel-low',
      text: `Fuel is below ${limits.fuelLowPercent} % by the tank check: fill up first.`,
    });
  if (asked.helper && entry && (helper ?? '').trim() === '')
    held.push({ id: 'no-helper', text: 'One drives, one reads: a second person is needed on the road.' });
  if (asked.helper && !entry) missing.push('The second person');
  if (entry && nowMs !== undefined) {
    const ageMin = (nowMs - happenedAt(entry)) / 60_000;
    if (ageMin > limits.readyForMin)
      missing.push(`Answered ${ageMin.toFixed(0)} min ago; valid for ${limits.readyForMin} min: check again`);
  }
  return { held, missing, ...(entry ? { entry } : {}) };
}

function figureHold(id: ReadyFigure, value: number, facts: ReadinessFacts): ReadyHold | undefined {
  const { limits } = facts;
  switch (id) {
    case 'fuelPercent':
      return value < limits.fuelLowPercent
        ? {
            id: 'fuel-low',
            text: `Fuel is at ${value.toFixed(0)} %; at least ${limits.fuelLowPercent} % for a regeneration: fill up first.`,
          }
        : undefined;
    case 'oilPercent':
      return value < limits.oilLevelLowPercent
        ? {
            id: 'oil-low',
            text: `Oil is at ${value.toFixed(0)} % between the marks; at least ${limits.oilLevelLowPercent} % for half an hour at raised revs.`,
          }
        : undefined;
    case 'filterC': {
      const upToC = facts.filterUpToC ?? limits.touchableC;
      return value > upToC
        ? {
            id: 'filter-hot',
            text: `The filter is at ${value.toFixed(0)} °C; up to ${upToC} °C is safe to work on: let it cool.`,
          }
        : undefined;
    }
  }
}
