import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * *Ground* and *Fleet* were changed after they had been run: folders made before hold less than they say. Brings any state of
 * theirs to what they say today, and changes nothing where that is there.
 */
export class Repair1764360000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE vehicle ADD COLUMN IF NOT EXISTS
        search text GENERATED ALWAYS AS (lower(plate || ' ' || model)) STORED;
      DROP INDEX IF EXISTS job_recent;
      CREATE INDEX job_recent ON job (workshop_id, last_entry_at DESC, id DESC);
      DROP INDEX IF EXISTS job_open;
      CREATE INDEX job_open ON job (workshop_id, last_entry_at DESC, id DESC) WHERE (summary->>'signedOff') = 'false';
      DO $$
      BEGIN
        IF NOT EXISTS (SELECT 1 FROM information_schema.columns
                        WHERE table_schema = current_schema() AND table_name = 'vehicle_outlook' AND column_name = 'come_backs')
        THEN
          ALTER TABLE vehicle_outlook
            ADD COLUMN IF NOT EXISTS km_per_day double precision,
            ADD COLUMN IF NOT EXISTS cleaned integer,
            ADD COLUMN IF NOT EXISTS causes jsonb,
            ADD COLUMN come_backs jsonb;
          -- What was told without them is told anew when it is asked for.
          UPDATE vehicle_outlook SET told = NULL, made_from = NULL, family_changes = NULL, due_on = NULL, due_km = NULL,
                 come_back_chance = NULL;
        END IF;
      END $$;
    `);
  }

  /** What it repaired is what the earlier migrations say: nothing to take away. */
  async down(): Promise<void> {
    await Promise.resolve();
  }
}
