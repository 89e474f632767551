import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What each open job waits for, and by which of its entries that was worked out: what is behind is worked out anew. */
export class Advice1764366000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE job ADD COLUMN advice jsonb, ADD COLUMN advice_of integer;
      CREATE INDEX job_to_advise ON job (last_entry_at DESC)
       WHERE (summary->>'signedOff') = 'false' AND advice_of IS DISTINCT FROM entry_count;
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX job_to_advise; ALTER TABLE job DROP COLUMN advice, DROP COLUMN advice_of');
  }
}
