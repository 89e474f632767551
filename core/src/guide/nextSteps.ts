import { say, type Said } from '../words/index.ts';
import type { STEP_KINDS } from '../contract/index.ts';
import { quickChecksFor, type RankedCheck } from '../diagnosis/index.ts';
import type { Limits } from '../limits/index.ts';
import { NOT_REPAIRED, SEEN_AND_SET_RIGHT } from './costs.ts';

export type StepKind = (typeof STEP_KINDS)[number];

/** What to do next on a job, and why. */
export interface Step {
  readonly do: StepKind;
  /** Check, cause, treatment or piece of evidence that it is about. */
  readonly id?: string;
  readonly minutes?: number;
  readonly why: Said;
}

/** What the next step is worked out from. */
export interface GuideFacts {
  readonly likely: readonly { readonly id: string; readonly probability: number }[];
  /** Checks that may be made, the most loss avoided for each minute first. */
  readonly checks: readonly (RankedCheck & {
    readonly heldOff?: Said;
    readonly lacking: readonly string[];
    /** Something known makes a cause likelier that it looks for. */
    readonly pointedTo: boolean;
  })[];
  /** Causes that are said to be there and are not put right. */
  readonly open: readonly string[];
  readonly known: {
    readonly scan: boolean;
    readonly pressure: boolean;
    /** Anything at all beside a complaint. */
    readonly anything: boolean;
    /** Warm enough to be judged; absent: not known. */
    readonly warm?: boolean;
  };
  /** Causes that an outcome has shown itself. */
  readonly seen: ReadonlySet<string>;
  /** Sensor or pipes of ΔP were looked at. */
  readonly pathProven: boolean;
  /** The sensor before the turbo shows what no line holds. */
  readonly sensorKilled: boolean;
  /** Why the engine must not be held at raised speed. */
  readonly noRevs?: Said | undefined;
  /** Somebody has told of oil over full, and nobody has looked. */
  readonly oilToldOf: boolean;
  /** The ΔP that is shown may not be that of the filter, 0–1. */
  readonly pathLies: number;
  /** A burn only waits for its pressure to be proven, and the filter is due for one. */
  readonly burnsOnceProven: boolean;
  /** Nothing shows yet that the pressure which was read last is right: no check, no log that follows the flow. */
  readonly unproven: boolean;
  /** What may be done to the filter now, the best first. */
  readonly treatments: readonly string[];
  readonly stage: 'before' | 'treated' | 'proved' | 'signed-off';
  /** What has to be shown yet, in its order. */
  readonly toShow: readonly string[];
  /** The way of the pressure was put right, and nobody has read the pressure since. */
  readonly unread: boolean;
  /** What has to be set back or learned anew, and may be now. */
  readonly resets: readonly { readonly id: string; readonly why: Said }[];
  /** The reading after the work is not good, or codes came back: it is looked for again. */
  readonly notCured: boolean;
  /** Parts that came off for the clean and are not on again as they should be. */
  readonly stillOff: number;
  /** What was chosen for the filter and is not done yet. */
  readonly chosen?: string | undefined;
  readonly sentence: (id: string) => Said;
  readonly limits: Limits;
}

/** A way that may lie is settled before anything is said of the filter, where a short check can. */
const SHORT_MIN = 15;

/** Usual times of what shows a repair, minutes. */
const TO_SHOW_MIN: Readonly<Record<string, number>> = {
  before: 8,
  after: 8,
  hoses: 1,
  response: 3,
  sensor: 12,
  egt: 3,
  soot: 2,
  drive: 20,
  'no-codes': 5,
};
const RESET_MIN = 3;
/** Part of the repair itself: without it the new part, or the new oil, does not count as such. */
const OF_THE_REPAIR: ReadonlySet<string> = new Set(['reset-oil', 'adapt-delta-p']);
const minutesFor = (id: string): { readonly minutes?: number } =>
  Object.hasOwn(TO_SHOW_MIN, id) ? { minutes: TO_SHOW_MIN[id] as number } : {};

/** Of these checks the one that tells best of a cause by itself. */
function lookFor<T extends RankedCheck>(cause: string, checks: readonly T[]): T | undefined {
  const telling = checks.filter(({ check }) => quickChecksFor(cause).some((id) => id === check));
  const order = quickChecksFor(cause);
  const place = ({ check }: T): number => order.findIndex((id) => id === check);
  return telling.toSorted((a, b) => place(a) - place(b))[0];
}

/** Looks at the way of the pressure. */
const PATH_CHECKS: ReadonlySet<string> = new Set([
  'dp-zero',
  'dp-electrical',
  'dp-ladder',
  'dp-swap',
  'hoses',
  'pipe-pump',
  'pipe-response',
  'supply',
]);

/**
 * Everything that may be done now, the best first: confirm and repair what is nearly certain, settle a way that may lie, look where a
 * minute avoids most loss, read or scan where nothing is known, treat, prove, hand over.
 */
export function nextSteps(facts: GuideFacts): Step[] {
  const { likely, known, noRevs, pathLies, sentence, limits } = facts;
  const steps: Step[] = [];
  if (facts.stage === 'signed-off') return [];
  if (facts.stage === 'proved') return [{ do: 'hand-over', why: say('guide.it-is-proved') }];
  // Nothing is read and nobody drives before it is together again.
  if (facts.stage === 'treated' && facts.stillOff > 0)
    steps.push({
      do: 'treat',
      id: 'refit',
      why: say('guide.parts-are-still-off', { parts: facts.stillOff }),
    });
  const checks = facts.checks.filter(({ heldOff }) => heldOff === undefined);
  const asCheck = (one: RankedCheck, why: Said): Step => ({
    do: 'check',
    id: one.check,
    minutes: one.minutes,
    why,
  });
  const oil = facts.oilToldOf ? checks.find(({ check }) => check === 'oil') : undefined;
  if (oil) steps.push(asCheck(oil, say('guide.the-oil-is-reported-over')));
  if (!known.anything) {
    steps.push({ do: 'scan', minutes: 5, why: say('guide.nothing-is-known-yet') });
    if (noRevs === undefined)
      steps.push({ do: 'read', minutes: 8, why: say('guide.the-pressure-shows-what-state') });
    return steps;
  }
  if (facts.sensorKilled) {
    const gauge = checks.find(({ check }) => check === 'gauge' || check === 'sections');
    if (gauge) steps.push(asCheck(gauge, say('guide.a-sensor-that-shows-several')));
  }
  const certain = likely.filter(
    ({ id, probability }) => !NOT_REPAIRED.has(id) && 100 * probability >= limits.nearlyCertainPercent,
  );
  // What was seen is repaired; what only follows from figures and codes is confirmed by its quickest look first.
  for (const { id } of certain.filter((one) => facts.seen.has(one.id) || facts.open.includes(one.id)))
    steps.push({ do: 'repair', id, why: say('guide.it-was-seen-so-repair', { sentence: sentence(id) }) });
  for (const id of facts.open)
    if (!steps.some((step) => step.id === id))
      steps.push({
        do: 'repair',
        id,
        why: say('guide.reported-and-not-repaired-yet', { sentence: sentence(id) }),
      });
  for (const { id } of certain.filter((one) => !facts.seen.has(one.id) && !facts.open.includes(one.id))) {
    const look = lookFor(id, checks);
    steps.push(
      look
        ? asCheck(look, say('guide.nearly-certain-so-confirm', { sentence: sentence(id) }))
        : { do: 'repair', id, why: say('guide.nearly-certain-so-repair', { sentence: sentence(id) }) },
    );
  }
  const cracked = likely.find(({ id }) => id === 'filter-cracked');
  const faces = checks.find(({ check }) => check === 'filter-look');
  if (
    cracked &&
    faces &&
    100 * cracked.probability >= limits.nearlyCertainPercent &&
    !facts.seen.has('filter-cracked')
  )
    steps.push(asCheck(faces, say('guide.nearly-certain-so-look', { sentence: sentence('filter-cracked') })));
  const reset = (which: (id: string) => boolean): void => {
    for (const { id, why } of facts.resets)
      if (which(id)) steps.push({ do: 'prove', id, minutes: RESET_MIN, why });
  };
  const prove = (): void => {
    reset((id) => OF_THE_REPAIR.has(id));
    for (const id of facts.toShow) {
      // What the sensor shows now is what the filter is; and the computer is told before the drive that shows what it makes of it.
      if (id === 'drive') {
        if (facts.unread && !facts.toShow.includes('after'))
          steps.push({
            do: 'prove',
            id: 'after',
            ...minutesFor('after'),
            why: say('guide.the-sensor-path-is-repaired'),
          });
        reset((one) => !OF_THE_REPAIR.has(one));
      }
      steps.push({ do: 'prove', id, ...minutesFor(id), why: say('guide.the-work') });
    }
  };
  // Once it is treated and nothing speaks against it, it is proved: other looks come after.
  if (facts.stage === 'treated' && !facts.notCured) prove();
  // Codes that come back over a pressure that is good: the computer was not told of the work.
  if (facts.stage === 'treated' && facts.notCured && !facts.toShow.includes('equal-flow')) reset(() => true);
  const warmUp = (): void => {
    if (known.warm === false)
      steps.push({ do: 'warm-up', minutes: 15, why: say('guide.a-cold-engine-says-little') });
  };
  // What a person chose is done before other looks.
  if (facts.stage === 'before' && facts.chosen !== undefined)
    steps.push({ do: 'treat', id: facts.chosen, why: say('guide.it-was-chosen') });
  const settle = checks.filter(({ check, minutes }) => PATH_CHECKS.has(check) && minutes <= SHORT_MIN);
  const worth = checks.filter(({ lossPerMinute }) => lossPerMinute >= limits.worthPerMinute);
  const [treatment] = facts.treatments;
  const toTreat = treatment !== undefined && treatment !== 'nothing';
  // What a code or reading points to: a look at the likeliest of what would be repaired, or filled up.
  const suspect = likely.find(
    ({ id, probability }) =>
      (!NOT_REPAIRED.has(id) || SEEN_AND_SET_RIGHT.has(id)) && 100 * probability >= limits.suspectedPercent,
  );
  const pointed = suspect && lookFor(suspect.id, checks);
  const point = (): void => {
    if (pointed && suspect && !steps.some(({ id }) => id === pointed.check))
      steps.push(
        asCheck(pointed, say('guide.the-most-likely-repairable-cause', { sentence: sentence(suspect.id) })),
      );
  };
  if (
    pointed &&
    100 * suspect.probability >= limits.pointedPercent &&
    (100 * pathLies <= limits.settlePathPercent || PATH_CHECKS.has(pointed.check))
  )
    point();
  warmUp();
  // That a counter counts too much is told from the pressure alone.
  const restsOnPressure =
    toTreat ||
    facts.burnsOnceProven ||
    (facts.unproven &&
      likely.some(
        ({ id, probability }) => id === 'counter-not-reset' && 100 * probability >= limits.suspectedPercent,
      ));
  if (
    known.pressure &&
    settle[0] &&
    (100 * pathLies > limits.settlePathPercent || (restsOnPressure && !facts.pathProven))
  )
    steps.push(
      asCheck(
        settle[0],
        100 * pathLies > limits.settlePathPercent
          ? say('guide.the-pressure-shown-may')
          : say('guide.verify-this-pressure-before-treating'),
      ),
    );
  point();
  // Nothing is in it but the figure of a counter: that is set back before anybody asks for more.
  if (facts.stage === 'before' && treatment === 'nothing') reset((id) => id === 'reset-soot');
  if (!known.pressure && noRevs === undefined)
    steps.push({ do: 'read', minutes: 8, why: say('guide.the-pressure-shows-what-state') });
  if (!known.scan) steps.push({ do: 'scan', minutes: 5, why: say('guide.the-codes-say') });
  const look = (which: readonly RankedCheck[]): void => {
    for (const one of which)
      if (!steps.some(({ id }) => id === one.check))
        steps.push(asCheck(one, say('guide.it-would-change-what')));
  };
  const cured = facts.stage === 'treated' && !facts.notCured;
  // Where something can be done, a look before it has to save more than its minutes cost.
  const least = toTreat && !cured ? limits.labourPerHour / 60 : 0;
  look(worth.filter(({ pointedTo, lossPerMinute }) => pointedTo && lossPerMinute >= least));
  if (toTreat && !cured && facts.chosen === undefined)
    steps.push({ do: 'treat', id: treatment, why: say('guide.the-evidence-decides') });
  if (facts.stage === 'treated' && facts.notCured) prove();
  if (steps.length === 0 && facts.stage === 'before' && treatment === 'nothing')
    steps.push({ do: 'hand-over', why: say('guide.the-filter-is-sound-nothing') });
  // What nothing points to comes after all that something does.
  look(worth);
  if (steps.length === 0) steps.push({ do: 'ask', why: say('guide.asking-what-was-seen') });
  return steps;
}
