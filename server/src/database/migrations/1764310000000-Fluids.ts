import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Fluids on the shelf; what jobs use of them is read from the ledger. */
export class Fluids1764310000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE fluid (
        id uuid PRIMARY KEY,
        workshop_id uuid NOT NULL REFERENCES workshop,
        name text NOT NULL,
        sheet jsonb NOT NULL,
        counted_l double precision NOT NULL,
        counted_at timestamptz NOT NULL,
        revision integer NOT NULL,
        content_hash text NOT NULL,
        UNIQUE (workshop_id, name)
      );
      CREATE INDEX entry_of_a_fluid ON entry (workshop_id, (body->>'fluidId')) WHERE body ? 'fluidId';
      CREATE INDEX entry_that_corrects ON entry (supersedes) WHERE supersedes IS NOT NULL;
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX entry_that_corrects; DROP INDEX entry_of_a_fluid; DROP TABLE fluid');
  }
}
