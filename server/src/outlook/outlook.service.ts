import { say } from '@white-ember/core/words';
import { setImmediate as nextTurn } from 'node:timers/promises';
import type { DataSource, EntityManager } from 'typeorm';
import { FARTHEST_KM, tellOutlook, type VehicleOutlook } from '@white-ember/core/outlook';
import { notFound } from '../http/problem.ts';
import { refreshSummary } from '../judging/jobSummary.ts';
import { limitsInForce } from '../judging/limitsInForce.ts';
import { VehicleEntity } from '../database/entities/vehicle.entity.ts';
import { hasMoved, isSmall, keptVisits, Teachers, type Family } from './teachers.ts';

/** An outlook that has to be made, or made anew. */
interface Stale {
  readonly vehicleId: string;
  readonly family: Family;
  /** Nothing tells of it, or its own visits changed; else only what its family teaches has moved. */
  readonly urgent: boolean;
}

async function familiesOf(manager: EntityManager, workshopId: string): Promise<Map<string, Family>> {
  const rows = await manager.query<{ family: string; vehicles: number; changes: number }[]>(
    `SELECT v.family, count(*)::int AS vehicles, coalesce(sum(o.changes), 0)::int AS changes
       FROM vehicle v LEFT JOIN vehicle_outlook o ON o.vehicle_id = v.id
      WHERE v.workshop_id = $1 GROUP BY v.family`,
    [workshopId],
  );
  return new Map(
    rows.map(({ family, ...counts }) => [family, { workshopId, name: family, ...counts } satisfies Family]),
  );
}

/** Outlooks that are not up to date, the urgent ones first and then by family, which share what they need. */
async function staleOutlooks(
  manager: EntityManager,
  workshopId: string,
  vehicleId?: string,
): Promise<Stale[]> {
  const families = await familiesOf(manager, workshopId);
  const rows = await manager.query<
    { id: string; family: string; urgent: boolean; family_changes: number | null }[]
  >(
    `SELECT v.id, v.family, o.family_changes,
            (o.made_from IS NULL OR o.made_from <> o.changes OR n.vehicle_id IS NOT NULL) AS urgent
       FROM vehicle v
       LEFT JOIN vehicle_outlook o ON o.vehicle_id = v.id
       LEFT JOIN (SELECT DISTINCT vehicle_id FROM job WHERE workshop_id = $1 AND visit IS NULL) n ON n.vehicle_id = v.id
      WHERE v.workshop_id = $1${vehicleId === undefined ? '' : ' AND v.id = $2'}`,
    vehicleId === undefined ? [workshopId] : [workshopId, vehicleId],
  );
  return rows
    .flatMap(({ id, family: name, urgent, family_changes }): Stale[] => {
      const family = families.get(name) as Family;
      return urgent || hasMoved(family, family_changes) ? [{ vehicleId: id, family, urgent }] : [];
    })
    .sort((a, b) => Number(b.urgent) - Number(a.urgent) || a.family.name.localeCompare(b.family.name));
}

/**
 * The visits of jobs that were stored before these were kept, or that were only opened: worked out once, and kept from then
 * on. Of one vehicle, or of its whole family where that is small enough for each vehicle to count.
 */
async function workOutVisits(
  db: DataSource,
  workshopId: string,
  vehicleId: string,
  family?: Family,
): Promise<void> {
  const jobs = await db.query<{ id: string }[]>(
    `SELECT j.id FROM job j JOIN vehicle v ON v.id = j.vehicle_id
      WHERE j.workshop_id = $1 AND j.visit IS NULL AND (v.id = $2 OR v.family = $3)`,
    [workshopId, vehicleId, family && isSmall(family) ? family.name : null],
  );
  for (const { id } of jobs) await db.transaction((manager) => refreshSummary(manager, workshopId, id));
}

/** Makes the outlook of a vehicle and keeps it with the state that it was made from. */
async function makeOutlook(
  db: DataSource,
  { vehicleId, family }: Stale,
  teachers: Teachers,
): Promise<VehicleOutlook> {
  const { workshopId, name } = family;
  const { manager } = db;
  await workOutVisits(db, workshopId, vehicleId);
  // Counted before the visits are read: what changes in between is made anew next time.
  const [row] = await manager.query<{ changes: number }[]>(
    'SELECT changes FROM vehicle_outlook WHERE vehicle_id = $1',
    [vehicleId],
  );
  const visits = (await keptVisits(manager, workshopId, [vehicleId])).get(vehicleId) ?? [];
  // The teachers' limits, not read again: what is worked out of a growth and limits is kept with the two.
  const told = tellOutlook(name, visits, await teachers.growthFor(vehicleId), teachers.limits);
  const { outlook, dueDate } = told;
  const known = outlook.known && outlook.dueKm.value < FARTHEST_KM;
  await manager.query(
    `INSERT INTO vehicle_outlook
       (vehicle_id, workshop_id, changes, made_from, family_changes, told, due_on, due_km, come_back_chance, km_per_day,
        cleaned, causes, come_backs)
     VALUES ($1, $2, 0, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12)
     ON CONFLICT (vehicle_id) DO UPDATE
       SET made_from = $3, family_changes = $4, told = $5, due_on = $6, due_km = $7, come_back_chance = $8,
           km_per_day = $9, cleaned = $10, causes = $11, come_backs = $12`,
    [
      vehicleId,
      workshopId,
      row?.changes ?? 0,
      family.changes,
      told,
      dueDate?.value ?? (outlook.known && outlook.dueKm.value === 0 ? outlook.from.at : null),
      known ? outlook.dueKm.value : null,
      outlook.known ? outlook.comeBack.chance : null,
      told.kmPerDay ?? null,
      visits.filter(({ filter }) => filter !== 'as-it-was').length,
      JSON.stringify(visits.flatMap(({ causes }) => causes)),
      JSON.stringify(told.comeBacks),
    ],
  );
  return told;
}

/** How long a request may be kept waiting by outlooks that are not up to date, ms. */
const TURN_MS = 120;

const running = new Map<string, Promise<number>>();

/**
 * Brings outlooks up to date for a while, the urgent ones first; how many are still to do. Whoever asks while it is done
 * waits for the same.
 */
export function refreshOutlooks(db: DataSource, workshopId: string): Promise<number> {
  const known = running.get(workshopId);
  if (known) return known;
  const begun = refreshForATurn(db, workshopId).finally(() => running.delete(workshopId));
  running.set(workshopId, begun);
  return begun;
}

async function refreshForATurn(db: DataSource, workshopId: string): Promise<number> {
  const stale = await staleOutlooks(db.manager, workshopId);
  const teachers = new Map<string, Teachers>();
  const until = performance.now() + TURN_MS;
  let done = 0;
  for (const one of stale) {
    if (performance.now() > until) break;
    const { name } = one.family;
    const its =
      teachers.get(name) ??
      new Teachers(db.manager, one.family, await limitsInForce(db.manager, workshopId, name));
    teachers.set(name, its);
    await makeOutlook(db, one, its);
    done++;
    // Others get their turn between two vehicles.
    await nextTurn();
  }
  return stale.length - done;
}

/** What the jobs of a vehicle and of its kind say about the road ahead of it. */
export async function vehicleOutlook(
  db: DataSource,
  workshopId: string,
  vehicleId: string,
): Promise<VehicleOutlook> {
  const { manager } = db;
  if (!(await manager.existsBy(VehicleEntity, { id: vehicleId, workshopId })))
    throw notFound(say('refusals.the-vehicle'));
  const [old] = await staleOutlooks(manager, workshopId, vehicleId);
  if (old) await workOutVisits(db, workshopId, vehicleId, old.family);
  const [stale] = old ? await staleOutlooks(manager, workshopId, vehicleId) : [];
  if (!stale) {
    const [kept] = await manager.query<[{ told: VehicleOutlook }]>(
      'SELECT told FROM vehicle_outlook WHERE vehicle_id = $1',
      [vehicleId],
    );
    return kept.told;
  }
  const limits = await limitsInForce(manager, workshopId, stale.family.name);
  return makeOutlook(db, stale, new Teachers(manager, stale.family, limits));
}
