import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The money of a workshop. Prices were in euros wherever they were shown, so that is what those that are here have. */
export class Currency1764376000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE workshop ADD COLUMN currency text NOT NULL DEFAULT 'EUR'
        CHECK (currency ~ '^[A-Z]{3}$');
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE workshop DROP COLUMN currency');
  }
}
