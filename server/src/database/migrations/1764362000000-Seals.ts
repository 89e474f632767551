import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What jobs were signed off with, stored with the sign-off. Those that were signed off before are sealed at the next start. */
export class Seals1764362000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE job_seal (
        job_id uuid PRIMARY KEY REFERENCES job ON DELETE CASCADE,
        workshop_id uuid NOT NULL REFERENCES workshop,
        entry_id uuid NOT NULL REFERENCES entry,
        seal jsonb NOT NULL,
        sealed_at timestamptz NOT NULL
      );
      CREATE INDEX job_seal_workshop ON job_seal (workshop_id);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE job_seal');
  }
}
