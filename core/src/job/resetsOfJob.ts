import { say, type Said } from '../words/index.ts';
import { entriesOfKind, happenedAt } from '../ledger/index.ts';
import { planResets, type ResetStep } from '../proof/index.ts';
import { burnOfJob, commandInterlocks, type TreatmentQuestion } from '../treatment/index.ts';
import type { DerivedJob } from './deriveJob.ts';
import type { ForecastOf } from './forecastOf.ts';

/** What is set back after this work and what holds it off. */
export function resetsOfJob(
  derived: DerivedJob,
  question: TreatmentQuestion,
  /** The counter was left high after a clean elsewhere, by a pressure that is low. */
  leftHigh: boolean,
  forecastOf: ForecastOf,
): ResetStep[] {
  const { entries, parts, causes, proof } = derived;
  return withCounter(
    planResets({
      entries,
      parts,
      causes,
      shownAtEqualFlow: proof?.verdict === 'proved',
      limits: question.limits,
      held: heldResets(question, forecastOf),
    }),
    leftHigh,
    Math.max(0, ...entriesOfKind(entries, 'reading').map(happenedAt)),
  );
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
