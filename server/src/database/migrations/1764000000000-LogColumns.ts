import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Columns of recorded logs, compressed beside their raw files, and what a workshop said of headings. */
export class LogColumns1764000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE log_columns (
        log_id uuid PRIMARY KEY REFERENCES log ON DELETE CASCADE,
        workshop_id uuid NOT NULL REFERENCES workshop,
        reader_version integer NOT NULL,
        header text NOT NULL,
        made_at timestamptz NOT NULL DEFAULT now()
      );
      CREATE TABLE log_column_part (
        log_id uuid NOT NULL REFERENCES log_columns ON DELETE CASCADE,
        array_position integer NOT NULL,
        part integer NOT NULL,
        bytes bytea NOT NULL,
        PRIMARY KEY (log_id, array_position, part)
      );
      CREATE TABLE channel_correction (
        workshop_id uuid NOT NULL REFERENCES workshop,
        heading text NOT NULL,
        role text NOT NULL,
        member_id uuid NOT NULL REFERENCES member,
        set_at timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY (workshop_id, heading)
      );
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE log_column_part, log_columns, channel_correction');
  }
}
