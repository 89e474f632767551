import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What each job leaves in the memory of its vehicle; empty until the job is worked on or its vehicle looked at. */
export class Visits1764340000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE job ADD COLUMN visit jsonb');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE job DROP COLUMN visit');
  }
}
