import type { EntityManager } from 'typeorm';
import type { LimitsProfile } from '@white-ember/core/contract';
import { DEFAULT_LIMITS, resolveLimits, type Limits } from '@white-ember/core/limits';
import { LimitsProfileEntity, type LimitsProfileRow } from './limitsProfile.entity.ts';

export const toLimitsProfile = (row: LimitsProfileRow): LimitsProfile => ({
  id: row.id,
  version: row.version,
  overrides: row.overrides,
  createdAt: row.createdAt.toISOString(),
  createdBy: row.createdBy,
  ...(row.family === '' ? {} : { family: row.family }),
  ...(row.sourceNote === null ? {} : { sourceNote: row.sourceNote }),
});

/** The profile in force for an engine family: its own latest version, else the general one's, else none. */
export async function profileFor(
  manager: EntityManager,
  workshopId: string,
  family: string,
): Promise<LimitsProfileRow | undefined> {
  const row = await manager
    .createQueryBuilder(LimitsProfileEntity, 'p')
    .where('p.workshop_id = :workshopId AND p.family IN (:...families)', {
      workshopId,
      families: [family, ''],
    })
    .orderBy('CASE WHEN p.family = :family THEN 0 ELSE 1 END', 'ASC')
    .addOrderBy('p.version', 'DESC')
    .setParameter('family', family)
    .limit(1)
    .getOne();
  return row ?? undefined;
}

export function limitsOf(profile: Pick<LimitsProfileRow, 'overrides'> | undefined): Limits {
  if (!profile) return DEFAULT_LIMITS;
  const resolved = resolveLimits(profile.overrides);
  return resolved.ok ? resolved.value : DEFAULT_LIMITS;
}
