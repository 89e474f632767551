import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Photos of a job, kept byte for byte. */
export class Photos1764200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE photo (
        id uuid PRIMARY KEY,
        workshop_id uuid NOT NULL REFERENCES workshop,
        job_id uuid NOT NULL REFERENCES job,
        blob_id uuid NOT NULL REFERENCES blob,
        media_type text NOT NULL,
        uploaded_at timestamptz NOT NULL DEFAULT now(),
        content_hash text NOT NULL
      );
      CREATE INDEX photo_by_job ON photo (job_id);
      CREATE INDEX entry_of_the_family ON entry (job_id) WHERE body->>'kind' IN ('family-note', 'cause');
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX entry_of_the_family; DROP TABLE photo');
  }
}
