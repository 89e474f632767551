import { say } from '@white-ember/core/words';
import type { DataSource } from 'typeorm';
import type { z } from 'zod';
import type { FollowUp, Task, tasksQuerySchema } from '@white-ember/core/contract';
import { momentAtKm, type VehicleOutlook } from '@white-ember/core/outlook';
import { refreshOutlooks, vehicleOutlook } from '../outlook/outlook.service.ts';

const DAY_MS = 86_400_000;

interface FollowUpRow {
  job_id: string;
  number: number;
  opened_at: Date;
  follow_ups: FollowUp[];
  km: number | null;
  km_per_day: number | null;
  is_last: boolean;
  vehicle_id: string;
  plate: string;
  model: string;
}

/** The next visit asks for these anew. */
const OF_THE_LAST_JOB: ReadonlySet<FollowUp['kind']> = new Set(['recheck', 'oil']);

/** The day of a task: its own, or when its distance is reached, whichever comes first. */
function dayOf(
  { due, dueKm }: FollowUp,
  { km, opened_at, km_per_day }: Pick<FollowUpRow, 'km' | 'opened_at' | 'km_per_day'>,
): Pick<Task, 'due' | 'estimated'> {
  const reached =
    dueKm === undefined || km === null || km_per_day === null
      ? undefined
      : momentAtKm({ at: opened_at.toISOString(), km }, dueKm, km_per_day).slice(0, 10);
  const first = [due, reached].filter((day) => day !== undefined).sort()[0];
  return { ...(first === undefined ? {} : { due: first }), estimated: first !== undefined && first !== due };
}

async function followUps(db: DataSource, workshopId: string, vehicleId?: string): Promise<Task[]> {
  const rows = await db.query<FollowUpRow[]>(
    `SELECT j.id AS job_id, j.number, j.opened_at, j.follow_ups, (j.visit->>'km')::float8 AS km,
            o.km_per_day, v.id AS vehicle_id, v.plate, v.model,
            NOT EXISTS (SELECT 1 FROM job n WHERE n.vehicle_id = j.vehicle_id
                                              AND (n.opened_at, n.id) > (j.opened_at, j.id)) AS is_last
       FROM job j JOIN vehicle v ON v.id = j.vehicle_id LEFT JOIN vehicle_outlook o ON o.vehicle_id = v.id
      WHERE j.workshop_id = $1 AND jsonb_array_length(j.follow_ups) > 0
        AND ($2::uuid IS NULL OR j.vehicle_id = $2)`,
    [workshopId, vehicleId ?? null],
  );
  return rows.flatMap((row) =>
    row.follow_ups
      .filter(({ kind }) => row.is_last || !OF_THE_LAST_JOB.has(kind))
      .map(({ due, ...task }) => ({
        ...task,
        ...dayOf({ ...task, ...(due === undefined ? {} : { due }) }, row),
        jobId: row.job_id,
        jobNumber: row.number,
        vehicleId: row.vehicle_id,
        plate: row.plate,
        model: row.model,
      })),
  );
}

interface DueRow {
  vehicle_id: string;
  plate: string;
  model: string;
  due_on: Date;
  outlook: VehicleOutlook['outlook'];
}

/** No more figures than a forecast has. */
const rounded = (km: number): number => Math.round(km / 100) * 100;

/** Filters that are due again, as far as their day is known. */
async function filtersDue(
  db: DataSource,
  workshopId: string,
  before: Date | undefined,
  vehicleId?: string,
): Promise<Task[]> {
  const rows = await db.query<DueRow[]>(
    `SELECT v.id AS vehicle_id, v.plate, v.model, o.due_on, o.told->'outlook' AS outlook
       FROM vehicle_outlook o JOIN vehicle v ON v.id = o.vehicle_id
      WHERE o.workshop_id = $1 AND o.due_on IS NOT NULL AND ($2::uuid IS NULL OR v.id = $2)
        AND ($3::timestamptz IS NULL OR o.due_on <= $3)`,
    [workshopId, vehicleId ?? null, before ?? null],
  );
  return rows.flatMap(({ outlook, due_on, ...vehicle }): Task[] =>
    outlook.known
      ? [
          {
            key: 'due',
            kind: 'due',
            what: say('outlook.filter-due-again'),
            why: say('outlook.by-its-trend', { limitRatio: outlook.limitRatio }),
            due: due_on.toISOString().slice(0, 10),
            estimated: true,
            ...(outlook.from.km === undefined
              ? {}
              : { dueKm: rounded(outlook.from.km + outlook.dueKm.value) }),
            jobId: outlook.from.jobId,
            jobNumber: outlook.from.number,
            vehicleId: vehicle.vehicle_id,
            plate: vehicle.plate,
            model: vehicle.model,
          },
        ]
      : [],
  );
}

/**
 * What is to be done after jobs and is not done, by its day; what has none comes last. With a horizon only what falls due
 * until then, and what has no day; the oil of a vehicle whose use is not known has none and would always stand there.
 */
export async function openTasks(
  db: DataSource,
  workshopId: string,
  {
    vehicleId,
    withinDays,
    filters,
  }: Pick<z.output<typeof tasksQuerySchema>, 'vehicleId' | 'withinDays' | 'filters'>,
  now = new Date(),
): Promise<Task[]> {
  if (vehicleId === undefined) await refreshOutlooks(db, workshopId);
  else await vehicleOutlook(db, workshopId, vehicleId);
  const before = withinDays === undefined ? undefined : new Date(now.getTime() + withinDays * DAY_MS);
  const lastDay = before?.toISOString().slice(0, 10);
  const tasks = [
    ...(await followUps(db, workshopId, vehicleId)),
    ...(filters === 'with' ? await filtersDue(db, workshopId, before, vehicleId) : []),
  ];
  return tasks
    .filter(({ kind, due }) => lastDay === undefined || (due === undefined ? kind !== 'oil' : due <= lastDay))
    .map((task) => ({ task, place: `${task.due ?? '9999'} ${task.plate}` }))
    .sort((a, b) => (a.place < b.place ? -1 : Number(a.place > b.place)))
    .map(({ task }) => task);
}
