import { say, type Said } from '../words/index.ts';
import type { Limits } from '../limits/index.ts';

/** Restriction of the filter after so many flushes, × clean, with the ends of 90 %. */
export interface FlushReading {
  readonly ratio: number;
  readonly lowRatio: number;
  readonly highRatio: number;
}

export interface FlushStep extends FlushReading {
  /** By how much the pressure drop fell against the reading before, %. Absent for the first. */
  readonly fellPercent?: number;
  /** Whether that is more than the doubt of both readings. */
  readonly told?: boolean;
}

export interface FlushAdvice {
  readonly steps: readonly FlushStep[];
  /** What the next flush should take off what is left, %; absent before the first one. */
  readonly nextPercent?: number;
  readonly another: 'yes' | 'no' | 'cannot-tell';
  readonly reason: Said;
}

/** Soot that the last reading leaves room for by its upper end, and how much may be there before codes are cleared. */
export interface SootLeft {
  readonly gPerL: number;
  readonly limitGPerL: number;
  /** The drop to idle of that much, where the burn model was asked, and what the bed stands, °C. */
  readonly drop?: { readonly peakC: number; readonly limitC: number };
}

/** Where one flush is known only, the next is taken to do this share of it. */
const USUAL_FALL = 0.5;

/**
 * Whether another flush is worth it. What a flush can take is the excess over a clean filter; each takes a share of what the
 * one before left, and that share falls in the same ratio again (the gain curve, geometric). Compared at equal flow, as ratios.
 * A filter that reads good may still hold more soot than codes and counters may be set back on: then it goes on.
 */
export function adviseFlush(readings: readonly FlushReading[], limits: Limits, left?: SootLeft): FlushAdvice {
  const steps = readings.map((reading, i): FlushStep => {
    const before = readings[i - 1];
    if (!before) return reading;
    return {
      ...reading,
      fellPercent: 100 * (1 - reading.ratio / before.ratio),
      told: reading.highRatio < before.lowRatio,
    };
  });
  const last = readings.at(-1);
  const good = limits.restrictionGoodRatio;
  if (!last) return { steps, another: 'cannot-tell', reason: say('treatment.no-reading-yet-take') };
  const overLimit = left !== undefined && left.gPerL > left.limitGPerL;
  const tooHot = left?.drop !== undefined && left.drop.peakC > left.drop.limitC;
  const tooMuch = overLimit || tooHot;
  if (last.ratio <= good && !tooMuch)
    return {
      steps,
      another: 'no',
      reason: say('treatment.it-reads-clean-good-up', { ratio: last.ratio, good }),
    };
  if (readings.length < 2)
    return {
      steps,
      another: 'yes',
      reason: say('treatment.it-reads-clean-good-up-to', { ratio: last.ratio, good }),
    };
  const shares = readings.slice(1).map((reading, i) => {
    const before = readings[i] as FlushReading;
    const excess = Math.max(before.ratio - 1, 1e-6);
    return Math.min(1, Math.max(0, (before.ratio - reading.ratio) / excess));
  });
  const now = shares.at(-1) as number;
  const earlier = shares.at(-2);
  const keeps = earlier === undefined || earlier <= 0 ? USUAL_FALL : Math.min(1, now / earlier);
  const nextPercent = (100 * now * keeps * Math.max(last.ratio - 1, 0)) / last.ratio;
  const lastStep = steps.at(-1);
  if (lastStep?.told === false && now > 0)
    return {
      steps,
      nextPercent,
      another: 'cannot-tell',
      reason: say('treatment.the-last-flush-removed-within', { fellPercent: lastStep.fellPercent ?? 0 }),
    };
  const worth = nextPercent >= limits.worthAnotherPercent;
  const why =
    left && tooMuch && last.ratio <= good
      ? say('treatment.within-limits-but-up', {
          gPerL: left.gPerL,
          what:
            overLimit || !left.drop
              ? say('treatment.g-l-allowed-when-clearing', { limitGPerL: left.limitGPerL })
              : say('treatment.a-drop-to-idle-would', { peakC: left.drop.peakC, limitC: left.drop.limitC }),
        })
      : '';
  return {
    steps,
    nextPercent,
    another: worth ? 'yes' : 'no',
    reason: worth
      ? say('treatment.another-should-remove-about', {
          nextPercent,
          worthAnotherPercent: limits.worthAnotherPercent,
          why,
        })
      : say('treatment.another-should-remove-about-of', {
          nextPercent,
          worthAnotherPercent: limits.worthAnotherPercent,
          why,
        }),
  };
}
