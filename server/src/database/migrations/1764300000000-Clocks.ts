import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Waits stand in a job's line with their end and what comes next, several of them; before, one dwell's end did. */
export class Clocks1764300000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      UPDATE job SET summary = (summary - 'dwellUntil') || jsonb_build_object('clocks', COALESCE((
        SELECT jsonb_agg(jsonb_build_object(
                 'entryId', e.id, 'clock', 'dwell', 'what', e.body->>'what', 'next', 'flush and read',
                 'until', job.summary->>'dwellUntil'))
          FROM (SELECT id, body FROM entry
                 WHERE job_id = job.id AND body->>'kind' = 'work' AND body ? 'dwellMin'
                   AND abs(extract(epoch FROM device_time + (body->>'dwellMin')::float8 * interval '1 minute'
                           - (job.summary->>'dwellUntil')::timestamptz)) < 1
                 ORDER BY seq DESC LIMIT 1) e
      ), '[]'::jsonb));
      CREATE INDEX job_with_clocks ON job (workshop_id)
       WHERE (summary->>'signedOff') = 'false' AND jsonb_array_length(summary->'clocks') > 0;
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      DROP INDEX job_with_clocks;
      UPDATE job SET summary = (summary - 'clocks') || CASE WHEN jsonb_array_length(summary->'clocks') > 0
        THEN jsonb_build_object('dwellUntil', summary->'clocks'->-1->>'until') ELSE '{}'::jsonb END;
    `);
  }
}
