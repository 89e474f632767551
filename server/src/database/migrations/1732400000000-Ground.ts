import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Tables of the first release: people, vehicles, limits, jobs, the ledger, raw files and sessions. */
export class Ground1732400000000 implements MigrationInterface {
  name = 'Ground1732400000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE workshop (
        id uuid PRIMARY KEY,
        name text NOT NULL,
        is_demo boolean NOT NULL DEFAULT false,
        next_job_number integer NOT NULL DEFAULT 1,
        created_at timestamptz NOT NULL DEFAULT now()
      );
      CREATE TABLE member (
        id uuid PRIMARY KEY,
        workshop_id uuid NOT NULL REFERENCES workshop,
        name text NOT NULL,
        sign_in_name text NOT NULL,
        password_hash text NOT NULL,
        role text NOT NULL CHECK (role IN ('viewer', 'technician', 'lead')),
        content_hash text NOT NULL
      );
      CREATE UNIQUE INDEX member_sign_in_name ON member (lower(sign_in_name));
      CREATE TABLE customer (
        id uuid PRIMARY KEY,
        workshop_id uuid NOT NULL REFERENCES workshop,
        name text NOT NULL,
        contact text,
        content_hash text NOT NULL
      );
      CREATE INDEX customer_workshop ON customer (workshop_id);
      CREATE TABLE filter_model (
        id uuid PRIMARY KEY,
        workshop_id uuid NOT NULL REFERENCES workshop,
        name text NOT NULL,
        diameter_mm double precision NOT NULL,
        length_mm double precision NOT NULL,
        cpsi double precision NOT NULL,
        wall_mm double precision NOT NULL,
        material text NOT NULL,
        basis text NOT NULL CHECK (basis IN ('measured', 'assumed')),
        content_hash text NOT NULL
      );
      CREATE INDEX filter_model_workshop ON filter_model (workshop_id);
      CREATE TABLE vehicle (
        id uuid PRIMARY KEY,
        workshop_id uuid NOT NULL REFERENCES workshop,
        plate text NOT NULL,
        model text NOT NULL,
        family text NOT NULL,
        displacement_l double precision,
        filter_model_id uuid REFERENCES filter_model,
        customer_id uuid REFERENCES customer,
        fitted jsonb NOT NULL,
        note text,
        -- What a vehicle is found by; kept in lower case, as comparing without case row by row is slow.
        search text GENERATED ALWAYS AS (lower(plate || ' ' || model)) STORED,
        revision integer NOT NULL DEFAULT 1,
        content_hash text NOT NULL
      );
      CREATE INDEX vehicle_workshop_plate ON vehicle (workshop_id, plate);
      CREATE TABLE limits_profile (
        id uuid PRIMARY KEY,
        workshop_id uuid NOT NULL REFERENCES workshop,
        family text NOT NULL,
        version integer NOT NULL,
        overrides jsonb NOT NULL,
        source_note text,
        created_at timestamptz NOT NULL DEFAULT now(),
        created_by text NOT NULL,
        content_hash text NOT NULL,
        UNIQUE (workshop_id, family, version)
      );
      CREATE TABLE job (
        id uuid PRIMARY KEY,
        workshop_id uuid NOT NULL REFERENCES workshop,
        vehicle_id uuid NOT NULL REFERENCES vehicle,
        number integer NOT NULL,
        opened_at timestamptz NOT NULL,
        last_entry_at timestamptz NOT NULL,
        entry_count integer NOT NULL DEFAULT 0,
        summary jsonb NOT NULL,
        content_hash text NOT NULL,
        UNIQUE (workshop_id, number)
      );
      CREATE INDEX job_recent ON job (workshop_id, last_entry_at DESC, id DESC);
      CREATE INDEX job_open ON job (workshop_id, last_entry_at DESC, id DESC) WHERE (summary->>'signedOff') = 'false';
      CREATE INDEX job_vehicle ON job (vehicle_id);
      CREATE TABLE entry (
        id uuid PRIMARY KEY,
        workshop_id uuid NOT NULL REFERENCES workshop,
        job_id uuid NOT NULL REFERENCES job,
        seq integer NOT NULL,
        author_id uuid NOT NULL REFERENCES member,
        author_name text NOT NULL,
        device_time timestamptz NOT NULL,
        server_time timestamptz NOT NULL,
        supersedes uuid REFERENCES entry,
        body jsonb NOT NULL,
        content_hash text NOT NULL,
        UNIQUE (job_id, seq)
      );
      CREATE TABLE blob (
        id uuid PRIMARY KEY,
        workshop_id uuid NOT NULL REFERENCES workshop,
        size_bytes integer NOT NULL,
        sha256 text NOT NULL
      );
      CREATE TABLE blob_chunk (
        blob_id uuid NOT NULL REFERENCES blob ON DELETE CASCADE,
        position integer NOT NULL,
        bytes bytea NOT NULL,
        PRIMARY KEY (blob_id, position)
      );
      CREATE TABLE log (
        id uuid PRIMARY KEY,
        workshop_id uuid NOT NULL REFERENCES workshop,
        job_id uuid NOT NULL REFERENCES job,
        blob_id uuid NOT NULL REFERENCES blob,
        file_name text NOT NULL,
        uploaded_at timestamptz NOT NULL DEFAULT now(),
        content_hash text NOT NULL
      );
      CREATE INDEX log_job ON log (job_id);
      CREATE TABLE session (
        sid varchar PRIMARY KEY,
        sess json NOT NULL,
        expire timestamp(6) NOT NULL
      );
      CREATE INDEX session_expire ON session (expire);
      CREATE TABLE setting (name text PRIMARY KEY, value text NOT NULL);
    `);
    // The ledger is append-only by the database's own word, not only by the application's.
    await runner.query(`
      CREATE FUNCTION refuse_entry_change() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        IF current_setting('white_ember.reset_demo', true) = 'yes' THEN
          RETURN OLD;
        END IF;
        RAISE EXCEPTION 'ledger entries are never changed or deleted';
      END $$;
      CREATE TRIGGER entry_append_only BEFORE UPDATE OR DELETE ON entry
        FOR EACH ROW EXECUTE FUNCTION refuse_entry_change();
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      DROP TABLE setting, session, log, blob_chunk, blob, entry, job, limits_profile, vehicle, filter_model,
        customer, member, workshop;
      DROP FUNCTION refuse_entry_change();
    `);
  }
}
