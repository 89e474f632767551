import { say, type Said } from '../words/index.ts';
import type { LimitDefinition } from './limitDefinition.ts';

const chance = (label: Said, value: number, reason: Said) =>
  ({
    label,
    unit: '%',
    value,
    low: 1,
    high: 99,
    group: 'judgement',
    reason,
  }) as const satisfies LimitDefinition;

/** From which chances on a job is judged one way or the other. */
export const JUDGEMENT_LIMITS = {
  pathDoubtPercent: chance(say('limits.nothing-is-offered'), 50, say('limits.a-filter-is-not-treated')),
  settledByLookPercent: chance(say('limits.a-crack-ash-or-oil'), 85, say('limits.an-outlet-face')),
  crackDecidesPercent: chance(
    say('limits.a-crack-decides-what'),
    60,
    say('limits.a-cracked-filter-is-neither'),
  ),
  worthCleaningPercent: chance(say('limits.a-clean-is-offered'), 40, say('limits.else-the-work')),
  worthBurningPercent: chance(say('limits.a-burn-is-offered'), 20, say('limits.a-drive-costs-little')),
  counterLeftHighPercent: chance(
    say('limits.a-soot-counter-left-high'),
    30,
    say('limits.a-reset-must-not-hide'),
  ),
  nearlyCertainPercent: chance(
    say('limits.a-cause-is-confirmed'),
    85,
    say('limits.one-more-look-costs-minutes'),
  ),
  settlePathPercent: chance(
    say('limits.sensor-and-pipes-are-looked'),
    30,
    say('limits.everything-else-that-is-said'),
  ),
  pointedPercent: chance(say('limits.a-cause-is-looked'), 40, say('limits.a-code-or-reading')),
  suspectedPercent: chance(say('limits.a-cause-is-looked-for'), 25, say('limits.below-that-minutes-decide')),
  pointedToRatio: {
    label: say('limits.something-points-to-a-cause'),
    unit: 'ratio',
    value: 1.25,
    low: 1,
    high: 5,
    group: 'judgement',
    reason: say('limits.what-nothing-points-to-waits'),
  },
  adviseDrivePercent: chance(
    say('limits.a-cause-decides-whether'),
    60,
    say('limits.advice-on-likelihood-what'),
  ),
  doubtDrivePercent: chance(
    say('limits.reported-oil-in-the-exhaust'),
    30,
    say('limits.hot-oil-burns-without-end'),
  ),
  explainedPercent: chance(say('limits.an-explanation-holds'), 75, say('limits.then-repair-not-more-looks')),
  toldPercent: chance(say('limits.a-cause-is-told'), 12, say('limits.rarer-ones-come-with-the-check')),
  standsOutPercent: chance(say('limits.a-cause-is-shown'), 50, say('limits.a-line-has-room')),
  heldFromRpm: {
    label: say('limits.a-speed-counts-as-held'),
    unit: 'rpm',
    value: 1500,
    low: 900,
    high: 2500,
    group: 'judgement',
    reason: say('limits.below-it-the-flow'),
  },
  worthPerMinute: {
    label: say('limits.a-check-is-worth'),
    unit: '¤/min',
    value: 0.12,
    low: 0.01,
    high: 10,
    group: 'judgement',
    reason: say('limits.a-tenth-of-what'),
  },
  coldEngineC: {
    label: say('limits.a-reading'),
    unit: '°C',
    value: 60,
    low: 20,
    high: 85,
    group: 'judgement',
    reason: say('limits.cold-gas-and-a-choked'),
  },
} as const satisfies Readonly<Record<string, LimitDefinition>>;
