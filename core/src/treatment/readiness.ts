import type { Unit } from '../quantities/index.ts';
import { say, type Said } from '../words/index.ts';
import { entriesOfKind, happenedAt, type Entry, type EntryOf, type Treatment } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';

export const READY_QUESTIONS = {
  outdoors: {
    label: say('treatment.outdoors-or-the-tailpipe-under'),
    no: say('treatment.gas-and-smoke-are-trapped'),
  },
  clear: {
    label: say('treatment.nothing-flammable-near-the-exhaust'),
    no: say('treatment.something-flammable-is-near'),
  },
  extinguisher: {
    label: say('treatment.fire-extinguisher-at-hand'),
    no: say('treatment.no-extinguisher-at-hand'),
  },
  parked: { label: say('treatment.neutral-or-park-brake'), no: say('treatment.the-vehicle-is-not-secured') },
  watched: { label: say('treatment.somebody-stays-with-it-until'), no: say('treatment.nobody-stays') },
  smoke: {
    label: say('treatment.smoke-steam-and-noise'),
    no: say('treatment.smoke-steam-and-noise-are'),
  },
  runOff: {
    label: say('treatment.run-off-can-be-collected'),
    no: say('treatment.run-off-cannot-be-collected'),
  },
  stands: { label: say('treatment.on-axle-stands-never'), no: say('treatment.the-vehicle') },
  supported: {
    label: say('treatment.engine-supported-if-a-mount'),
    no: say('treatment.the-engine-is-not-supported'),
  },
} as const satisfies Record<string, { readonly label: Said; readonly no: Said }>;
export type ReadyQuestion = keyof typeof READY_QUESTIONS;

/** Figures that are asked for, by the name under which they are answered. */
export const READY_FIGURES = {
  fuelPercent: { label: 'Fuel', unit: 'percent', hint: say('treatment.by-the-gauge') },
  oilPercent: {
    label: say('treatment.oil-on-the-dipstick'),
    unit: 'percent',
    hint: say('treatment.0-is-the-lower-mark'),
  },
  filterC: { label: say('treatment.filter'), unit: 'degC', hint: say('treatment.by-its-egts') },
} as const satisfies Record<string, { readonly label: Said; readonly unit: Unit; readonly hint: Said }>;
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
  readonly text: Said;
}

export interface Readiness {
  /** What is asked for and not in order, each with its value and limit. */
  readonly held: readonly ReadyHold[];
  /** What is not answered yet, or too long ago. */
  readonly missing: readonly Said[];
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
  const missing: Said[] = asked.questions
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
      text: say('treatment.fuel-is-below', { fuelLowPercent: limits.fuelLowPercent }),
    });
  if (asked.helper && entry && (helper ?? '').trim() === '')
    held.push({ id: 'no-helper', text: say('treatment.one-drives-one-reads') });
  if (asked.helper && !entry) missing.push(say('treatment.the-second-person'));
  if (entry && nowMs !== undefined) {
    const ageMin = (nowMs - happenedAt(entry)) / 60_000;
    if (ageMin > limits.readyForMin)
      missing.push(say('treatment.answered-min-ago-valid', { ageMin, readyForMin: limits.readyForMin }));
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
            text: say('treatment.fuel-is-at-at-least', { value, fuelLowPercent: limits.fuelLowPercent }),
          }
        : undefined;
    case 'oilPercent':
      return value < limits.oilLevelLowPercent
        ? {
            id: 'oil-low',
            text: say('treatment.oil-is-at-between', {
              value,
              oilLevelLowPercent: limits.oilLevelLowPercent,
            }),
          }
        : undefined;
    case 'filterC': {
      const upToC = facts.filterUpToC ?? limits.touchableC;
      return value > upToC
        ? {
            id: 'filter-hot',
            text: say('treatment.the-filter-is-at-c-up', { value, upToC }),
          }
        : undefined;
    }
  }
}
