import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Photos as they are shown: without what a device wrote into them. Of new ones the stored file is that already. */
export class PhotoCopies1764365000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE photo ADD COLUMN cleaned boolean NOT NULL DEFAULT false, ADD COLUMN unreadable text;
      CREATE TABLE photo_copy (
        photo_id uuid NOT NULL REFERENCES photo ON DELETE CASCADE,
        size text NOT NULL CHECK (size IN ('full', 'thumb', 'print')),
        media_type text NOT NULL,
        bytes bytea NOT NULL,
        PRIMARY KEY (photo_id, size)
      );
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(
      'DROP TABLE photo_copy; ALTER TABLE photo DROP COLUMN cleaned, DROP COLUMN unreadable',
    );
  }
}
