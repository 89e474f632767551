import type { z } from 'zod';
import type { DataSource } from 'typeorm';
import type { Advice, FleetCauses, FleetPage, fleetQuerySchema } from '@white-ember/core/contract';
import { causeNow, FORMER_CAUSES } from '@white-ember/core/diagnosis';
import type { VehicleOutlook } from '@white-ember/core/outlook';
import { ADVICE_NOW } from '../judging/advisor.ts';
import { limitsInForce } from '../judging/limitsInForce.ts';
import { refreshOutlooks } from '../outlook/outlook.service.ts';

const ORDER = {
  due: 'o.due_on NULLS LAST, o.due_km, v.plate',
  'comes-back': 'o.come_back_chance DESC, o.due_km, v.plate',
} as const;

interface FleetRow {
  id: string;
  plate: string;
  model: string;
  family: string;
  customer: string | null;
  told: VehicleOutlook;
  job_id: string | null;
  advice: Advice | null;
}

/** Vehicles by who is next, or by who is likeliest to come back; outlooks that are not up to date are made on the way. */
export async function fleetPage(
  db: DataSource,
  workshopId: string,
  { order, family, offset, limit }: z.output<typeof fleetQuerySchema>,
): Promise<FleetPage> {
  const waiting = await refreshOutlooks(db, workshopId);
  const scope = [workshopId, family ?? null];
  const ofFamily = '($2::text IS NULL OR v.family = $2)';
  const rows = await db.query<FleetRow[]>(
    `SELECT v.id, v.plate, v.model, v.family, c.name AS customer, o.told, j.id AS job_id, j.advice
       FROM vehicle_outlook o JOIN vehicle v ON v.id = o.vehicle_id LEFT JOIN customer c ON c.id = v.customer_id
            LEFT JOIN LATERAL (
              SELECT id, ${ADVICE_NOW} AS advice FROM job
               WHERE vehicle_id = v.id AND (summary->>'signedOff') = 'false' ORDER BY last_entry_at DESC LIMIT 1) j ON true
      WHERE o.workshop_id = $1 AND o.due_km IS NOT NULL AND ${ofFamily}
      ORDER BY ${ORDER[order]} LIMIT $3 OFFSET $4`,
    [...scope, limit, offset],
  );
  const [counts] = await db.query<[{ known: number; vehicles: number }]>(
    `SELECT count(*) FILTER (WHERE o.due_km IS NOT NULL)::int AS known, count(*)::int AS vehicles
       FROM vehicle v LEFT JOIN vehicle_outlook o ON o.vehicle_id = v.id
      WHERE v.workshop_id = $1 AND ${ofFamily}`,
    scope,
  );
  return {
    vehicles: rows.map(({ customer, job_id: jobId, advice, ...row }) => ({
      ...row,
      ...(customer === null ? {} : { customerName: customer }),
      ...(jobId === null ? {} : { openJob: { id: jobId, ...(advice ? { advice } : {}) } }),
    })),
    known: counts.known,
    unknown: counts.vehicles - counts.known,
    waiting,
  };
}

/** So many of the cleans that did not hold are listed, the latest first. */
const MOST_LISTED = 12;

interface CauseRow {
  family: string;
  cause: string;
  jobs: number;
  open: number;
}

type Listed = FleetCauses['last'][number];

/** Which causes were found by family, and which cleans did not hold and why. */
export async function fleetCauses(db: DataSource, workshopId: string): Promise<FleetCauses> {
  const families = await db.query<{ family: string; vehicles: number; jobs: number; cleaned: number }[]>(
    `SELECT v.family, count(*)::int AS vehicles, coalesce(sum(j.jobs), 0)::int AS jobs,
            coalesce(sum(o.cleaned), 0)::int AS cleaned
       FROM vehicle v LEFT JOIN vehicle_outlook o ON o.vehicle_id = v.id
            LEFT JOIN (SELECT vehicle_id, count(*) AS jobs FROM job WHERE workshop_id = $1 GROUP BY vehicle_id) j
                   ON j.vehicle_id = v.id
      WHERE v.workshop_id = $1 GROUP BY v.family ORDER BY jobs DESC, v.family`,
    [workshopId],
  );
  const causes = await db.query<CauseRow[]>(
    `SELECT v.family, coalesce($2::jsonb->>(c->>'cause'), c->>'cause') AS cause, count(*)::int AS jobs,
            count(*) FILTER (WHERE (c->>'open')::boolean)::int AS open
       FROM vehicle_outlook o JOIN vehicle v ON v.id = o.vehicle_id CROSS JOIN LATERAL jsonb_array_elements(o.causes) c
      WHERE o.workshop_id = $1 GROUP BY 1, 2 ORDER BY jobs DESC, cause`,
    [workshopId, JSON.stringify(FORMER_CAUSES)],
  );
  const back = await db.query<
    { id: string; plate: string; family: string; back: Omit<Listed, 'vehicleId'> }[]
  >(
    `SELECT v.id, v.plate, v.family, b AS back
       FROM vehicle_outlook o JOIN vehicle v ON v.id = o.vehicle_id
            CROSS JOIN LATERAL jsonb_array_elements(o.come_backs) b
      WHERE o.workshop_id = $1
      ORDER BY b->>'at' DESC, v.plate`,
    [workshopId],
  );
  const counted = new Map<string | undefined, number>();
  for (const { back: one } of back)
    for (const cause of one.causes.length === 0 ? [undefined] : one.causes.map(causeNow))
      counted.set(cause, (counted.get(cause) ?? 0) + 1);
  const limits = await limitsInForce(db.manager, workshopId, '');
  return {
    families: families.map(({ family, vehicles, jobs }) => ({
      family,
      vehicles,
      jobs,
      causes: causes.filter((row) => row.family === family).map(({ family: _, ...row }) => row),
    })),
    cleaned: families.reduce((sum, { cleaned }) => sum + cleaned, 0),
    cameBack: back.length,
    why: [...counted]
      .map(([cause, count]) => ({ ...(cause === undefined ? {} : { cause }), count }))
      .sort((a, b) => b.count - a.count),
    last: back.slice(0, MOST_LISTED).map(({ id, plate, family, back: one }) => ({
      vehicleId: id,
      ...one,
      plate,
      family,
    })),
    within: { km: limits.comesBackWithinKm, days: limits.comesBackWithinDays },
  };
}
