import type { LimitsProfile } from '@white-ember/core/contract';
import { DEFAULT_LIMITS, resolveLimits, type Limits } from '@white-ember/core/limits';
import type { EntityManager } from 'typeorm';
import { LimitsProfileEntity, type LimitsProfileRow } from '../database/entities/limitsProfile.entity.ts';

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

/** The limits by which a family is judged now: its own latest ones, or the workshop’s general ones. */
export async function limitsInForce(
  manager: EntityManager,
  workshopId: string,
  family: string,
): Promise<Limits> {
  const [row] = await manager
    .createQueryBuilder(LimitsProfileEntity, 'l')
    .where('l.workshop_id = :workshopId AND l.family IN (:family, :general)', {
      workshopId,
      family,
      general: '',
    })
    .orderBy('l.family = :family', 'DESC')
    .addOrderBy('l.version', 'DESC')
    .limit(1)
    .getMany();
  return limitsOf(row && toLimitsProfile(row));
}
