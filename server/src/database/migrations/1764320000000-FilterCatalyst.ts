import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What the wall of a filter is coated with; empty where nobody has said. */
export class FilterCatalyst1764320000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE filter_model ADD COLUMN catalyst text');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE filter_model DROP COLUMN catalyst');
  }
}
