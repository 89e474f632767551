import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * The outlook of each vehicle as it was told last, and what is to be done after jobs. How often the visits of a vehicle
 * changed is counted by the database itself, whoever changes them: an outlook made from an older count is made anew. The
 * count is taken at the end of a transaction, so that two jobs of one vehicle never wait for each other in a circle.
 */
export class Fleet1764350000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE job ADD COLUMN follow_ups jsonb NOT NULL DEFAULT '[]';
      -- Visits tell more than before: all causes, weights, the distance between regenerations.
      UPDATE job SET visit = NULL;
      CREATE INDEX job_with_follow_ups ON job (workshop_id) WHERE jsonb_array_length(follow_ups) > 0;
      CREATE INDEX job_without_visit ON job (workshop_id, vehicle_id) WHERE visit IS NULL;
      CREATE TABLE vehicle_outlook (
        vehicle_id uuid PRIMARY KEY REFERENCES vehicle,
        workshop_id uuid NOT NULL REFERENCES workshop,
        changes integer NOT NULL DEFAULT 0,
        made_from integer,
        family_changes integer,
        told jsonb,
        -- Of what is told, what lists and sums need: they read no more.
        due_on timestamptz,
        due_km double precision,
        come_back_chance double precision,
        km_per_day double precision,
        cleaned integer,
        causes jsonb,
        come_backs jsonb,
        CHECK ((told IS NULL) = (made_from IS NULL))
      );
      CREATE INDEX vehicle_outlook_next ON vehicle_outlook (workshop_id, due_on, due_km);
      CREATE TABLE family_growth (
        workshop_id uuid NOT NULL REFERENCES workshop,
        family text NOT NULL,
        growth jsonb NOT NULL,
        learned_from integer NOT NULL,
        PRIMARY KEY (workshop_id, family)
      );
      CREATE FUNCTION count_visit_change() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        INSERT INTO vehicle_outlook (vehicle_id, workshop_id, changes) VALUES (NEW.vehicle_id, NEW.workshop_id, 1)
        ON CONFLICT (vehicle_id) DO UPDATE SET changes = vehicle_outlook.changes + 1;
        RETURN NULL;
      END $$;
      CREATE CONSTRAINT TRIGGER job_visit_changed AFTER UPDATE OF visit ON job DEFERRABLE INITIALLY DEFERRED
        FOR EACH ROW WHEN (OLD.visit IS DISTINCT FROM NEW.visit) EXECUTE FUNCTION count_visit_change();
      CREATE FUNCTION count_family_change() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        UPDATE vehicle_outlook SET changes = changes + 1 WHERE vehicle_id = NEW.id;
        RETURN NULL;
      END $$;
      CREATE TRIGGER vehicle_family_changed AFTER UPDATE OF family ON vehicle
        FOR EACH ROW WHEN (OLD.family IS DISTINCT FROM NEW.family) EXECUTE FUNCTION count_family_change();
      CREATE FUNCTION count_limits_change() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        DELETE FROM family_growth WHERE workshop_id = NEW.workshop_id AND (NEW.family = '' OR family = NEW.family);
        UPDATE vehicle_outlook o SET changes = changes + 1
          FROM vehicle v
         WHERE v.id = o.vehicle_id AND v.workshop_id = NEW.workshop_id AND (NEW.family = '' OR v.family = NEW.family);
        RETURN NULL;
      END $$;
      CREATE TRIGGER limits_changed AFTER INSERT ON limits_profile
        FOR EACH ROW EXECUTE FUNCTION count_limits_change();
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      DROP TRIGGER limits_changed ON limits_profile;
      DROP TRIGGER vehicle_family_changed ON vehicle;
      DROP TRIGGER job_visit_changed ON job;
      DROP FUNCTION count_limits_change(), count_family_change(), count_visit_change();
      DROP TABLE family_growth, vehicle_outlook;
      DROP INDEX job_without_visit, job_with_follow_ups;
      ALTER TABLE job DROP COLUMN follow_ups;
    `);
  }
}
