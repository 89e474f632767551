import { say, type Said } from '../words/index.ts';
import type { LimitDefinition } from './limitDefinition.ts';

const usual = (label: Said, value: number, reason: Said) =>
  ({
    label: say('limits.usual-time', { label }),
    unit: 'min',
    value,
    low: 1,
    high: 4320,
    group: 'clock',
    reason,
  }) as const satisfies LimitDefinition;

const apart = (label: Said, value: number, reason: Said) =>
  ({
    label,
    unit: 'min',
    value,
    low: 0,
    high: 120,
    group: 'clock',
    reason,
  }) as const satisfies LimitDefinition;

const usualSpan = (label: Said, value: number, reason: Said) =>
  ({ ...apart(label, value, reason), high: 1440 }) as const satisfies LimitDefinition;

/** How long waits are where nothing else is said, and when one counts as cut short or late. */
export const CLOCK_LIMITS = {
  clockSoakMin: usual(say('limits.soak-off-the-vehicle'), 240, say('limits.hours-to-overnight-the-gain')),
  clockRinseMin: usual('Rinse', 15, say('limits.until-it-runs-clear')),
  clockDryingMin: usual('Drying', 480, say('limits.water-left-in-it-weighs')),
  clockCoolingMin: usual(say('limits.cooling-down'), 30, say('limits.a-filter-from-running-warm')),
  clockBurnCoolingMin: usual(say('limits.revs-kept-up-after'), 8, say('limits.the-bed-goes-from-600')),
  clockWarmUpMin: usual('Warm-up', 15, say('limits.coolant-warm-and-the-pressure')),
  clockSteamMin: usual(say('limits.boiling-off'), 10, say('limits.steam-and-smoke-after')),
  clockSiteMin: usual(say('limits.at-another-site'), 30, say('limits.to-where-smoke')),
  clockLateMin: apart(say('limits.a-wait-counts-as-late'), 3, say('limits.it-takes-a-while')),
  clockShortMin: apart(say('limits.a-wait-counts-as-cut'), 1, say('limits.a-minute-is-not-what')),
  readingFreshMin: usualSpan(say('limits.a-reading-is-fresh'), 120, say('limits.the-engine-cools-meanwhile')),
  cautionVisitMin: usualSpan(say('limits.a-caution-holds-for'), 720, say('limits.a-working-day')),
} as const satisfies Record<string, LimitDefinition>;
