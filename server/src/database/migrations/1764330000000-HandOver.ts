import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Links to reports, mails that carried one, and who signs jobs off. */
export class HandOver1764330000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE workshop ADD COLUMN sign_off_by text NOT NULL DEFAULT 'technician'
        CHECK (sign_off_by IN ('technician', 'lead'));
      CREATE TABLE report_share (
        id uuid PRIMARY KEY,
        workshop_id uuid NOT NULL REFERENCES workshop,
        job_id uuid NOT NULL REFERENCES job,
        choice jsonb NOT NULL,
        made_at timestamptz NOT NULL,
        made_by text NOT NULL,
        expires_at timestamptz NOT NULL,
        revoked_at timestamptz,
        revoked_by text,
        opened integer NOT NULL DEFAULT 0,
        last_opened_at timestamptz,
        content_hash text NOT NULL
      );
      CREATE INDEX report_share_of_a_job ON report_share (job_id, made_at DESC);
      CREATE TABLE mail (
        id uuid PRIMARY KEY REFERENCES report_share,
        workshop_id uuid NOT NULL REFERENCES workshop,
        job_id uuid NOT NULL REFERENCES job,
        recipient text NOT NULL,
        sent_at timestamptz NOT NULL,
        sent_by text NOT NULL,
        content_hash text NOT NULL
      );
      CREATE INDEX mail_of_a_job ON mail (job_id, sent_at DESC);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(
      'DROP TABLE mail; DROP TABLE report_share; ALTER TABLE workshop DROP COLUMN sign_off_by',
    );
  }
}
