import type { MigrationInterface, QueryRunner } from 'typeorm';

/** People who are suspended or have left, second factors, and the networks from which people have signed in. */
export class People1764364000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE member
        ADD COLUMN suspended_at timestamptz,
        ADD COLUMN removed_at timestamptz,
        ADD COLUMN must_change_password boolean NOT NULL DEFAULT false,
        ADD COLUMN totp_secret text,
        ADD COLUMN totp_step bigint,
        ADD COLUMN recovery_hashes jsonb NOT NULL DEFAULT '[]';
      CREATE TABLE known_network (
        member_id uuid NOT NULL REFERENCES member ON DELETE CASCADE,
        network text NOT NULL,
        last_at timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY (member_id, network)
      );
      CREATE INDEX session_of_a_member ON session ((sess->>'memberId'));
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      DROP INDEX session_of_a_member;
      DROP TABLE known_network;
      ALTER TABLE member DROP COLUMN suspended_at, DROP COLUMN removed_at, DROP COLUMN must_change_password,
        DROP COLUMN totp_secret, DROP COLUMN totp_step, DROP COLUMN recovery_hashes;
    `);
  }
}
