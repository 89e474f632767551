import { Readable } from 'node:stream';
import { stringify } from 'csv-stringify';
import type { DataSource } from 'typeorm';
import { READING_COLUMNS, READING_TABLE_KINDS, readingTable, type ReadingRow } from '@white-ember/core/job';
import { readEntries } from '../judging/storedJob.ts';

interface JobRow {
  id: string;
  number: number;
  opened_at: Date;
  plate: string;
  model: string;
  family: string;
}

const PAGE_JOBS = 100;

/** The readings of a workshop, or of one vehicle, by job; a job in memory at a time. */
async function* rowsOf(
  db: DataSource,
  workshopId: string,
  vehicleId: string | undefined,
): AsyncGenerator<ReadingRow> {
  for (let after = 0; ;) {
    const jobs = await db.query<JobRow[]>(
      `SELECT j.id, j.number, j.opened_at, v.plate, v.model, v.family
         FROM job j JOIN vehicle v ON v.id = j.vehicle_id
        WHERE j.workshop_id = $1 AND ($2::uuid IS NULL OR v.id = $2) AND j.number > $3
        ORDER BY j.number LIMIT $4`,
      [workshopId, vehicleId ?? null, after, PAGE_JOBS],
    );
    for (const { id, opened_at, ...job } of jobs)
      yield* readingTable({
        ...job,
        openedAt: opened_at.toISOString(),
        entries: await readEntries(db.manager, id, READING_TABLE_KINDS),
      });
    if (jobs.length < PAGE_JOBS) return;
    after = jobs.at(-1)?.number ?? after;
  }
}

/** As a table for other programs: units in the headings, decimal points, what begins like a formula made harmless. */
export const readingsCsv = (
  db: DataSource,
  workshopId: string,
  vehicleId: string | undefined,
): NodeJS.ReadableStream =>
  Readable.from(rowsOf(db, workshopId, vehicleId)).pipe(
    stringify({
      header: true,
      columns: [...READING_COLUMNS],
      escape_formulas: true,
      cast: { number: (value) => ({ value: String(value), escape_formulas: false }) },
    }),
  );
