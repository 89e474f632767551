import type { LimitsProfile } from '@white-ember/core/contract';
import { DEFAULT_LIMITS, resolveLimits, type Limits } from '@white-ember/core/limits';
import type { LimitsProfileRow } from './limitsProfile.entity.ts';

export const toLimitsProfile = (row: LimitsProfileRow): LimitsProfile => ({
  id: row.id,
  version: row.version,
  overrides: row.overrides,
  createdAt: row.createdAt.toISOString(),
  createdBy: row.createdBy,
  ...(row.family === '' ? {} : { family: row.family }),
  ...(row.sourceNote === null ? {} : { sourceNote: row.sourceNote }),
});

/** A profile’s limits; the starting values where there is none. */
export function limitsOf(profile: Pick<LimitsProfile, 'overrides'> | undefined): Limits {
  if (!profile) return DEFAULT_LIMITS;
  const resolved = resolveLimits(profile.overrides);
  return resolved.ok ? resolved.value : DEFAULT_LIMITS;
}
