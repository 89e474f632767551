import { failed, success, type Result } from '../quantities/index.ts';
import { say } from '../words/index.ts';
import { LIMIT_DEFINITIONS, LIMIT_IDS, type LimitId } from './definitions.ts';

/** All limits as plain numbers, as the computations read them. */
export type Limits = Readonly<Record<LimitId, number>>;

export const DEFAULT_LIMITS: Limits = Object.fromEntries(
  LIMIT_IDS.map((id) => [id, LIMIT_DEFINITIONS[id].value]),
) as Record<LimitId, number>;

/** What a workshop changed, each with the reason why. */
export type LimitOverrides = { [Id in LimitId]?: { value: number; source: string } | undefined };

/** Pairs of limits of which the first must not exceed the second, so that "good" never lies above "blocked". */
const ORDERED: readonly (readonly [LimitId, LimitId])[] = [
  ['dpIdleGoodMbar', 'dpIdleBlockedMbar'],
  ['dp3000GoodMbar', 'dp3000BlockedMbar'],
  ['dp2500GoodMbar', 'dp3000GoodMbar'],
  ['egtOpenLowC', 'egtOpenHighC'],
  ['coolantRegenMinC', 'coolantWarmC'],
  ['openPipeS', 'slowResponseS'],
  ['signalRestLowV', 'signalRestHighV'],
];

/**
 * Starting values with a workshop's changes laid over them.
 * @returns a failure that names the pair if a good limit would lie above its blocked limit
 */
export function resolveLimits(overrides: LimitOverrides): Result<Limits> {
  const limits: Record<LimitId, number> = { ...DEFAULT_LIMITS };
  for (const id of LIMIT_IDS) limits[id] = overrides[id]?.value ?? limits[id];
  for (const [lower, upper] of ORDERED) {
    if (limits[lower] > limits[upper]) {
      return failed({
        code: 'impossible',
        field: LIMIT_DEFINITIONS[lower].label,
        requirement: say('limits.must-not-exceed', {
          other: LIMIT_DEFINITIONS[upper].label,
          value: limits[upper],
          unit: LIMIT_DEFINITIONS[upper].unit,
        }),
        value: limits[lower],
      });
    }
  }
  return success(limits);
}
