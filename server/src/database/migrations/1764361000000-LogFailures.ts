import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Why a recorded file could not be read: said once, and not tried again until somebody asks for it. */
export class LogFailures1764361000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE log_failure (
        log_id uuid PRIMARY KEY REFERENCES log ON DELETE CASCADE,
        workshop_id uuid NOT NULL REFERENCES workshop,
        why text NOT NULL,
        failed_at timestamptz NOT NULL DEFAULT now()
      );
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE log_failure');
  }
}
