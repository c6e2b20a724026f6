CREATE TABLE "feed_plans" (
	"job_id" uuid NOT NULL,
	"feed_id" text NOT NULL,
	"source_id" text NOT NULL,
	"one_way_m" double precision,
	"return_path" text,
	"reason" text,
	"measured_a" double precision,
	"shared_a" double precision,
	"ground" text,
	"sizing" jsonb,
	CONSTRAINT "feed_plans_job_id_feed_id_pk" PRIMARY KEY("job_id","feed_id"),
	CONSTRAINT "feed_plans_by_source" UNIQUE("job_id","source_id"),
	CONSTRAINT "feed_plans_length" CHECK ("feed_plans"."one_way_m" > 0)
);
--> statement-breakpoint
CREATE TABLE "job_feeds" (
	"job_id" uuid NOT NULL,
	"id" text NOT NULL,
	"position" integer NOT NULL,
	"name" text NOT NULL,
	"role" text NOT NULL,
	"current_a" double precision NOT NULL,
	"inrush_a" double precision,
	"inrush_s" double precision,
	"standby_a" double precision,
	"lead_colour" text,
	"holds_cranking" boolean,
	"live_in_acc" boolean,
	CONSTRAINT "job_feeds_job_id_id_pk" PRIMARY KEY("job_id","id"),
	CONSTRAINT "job_feeds_role" CHECK ("job_feeds"."role" in ('constant', 'switched', 'illumination', 'ground')),
	CONSTRAINT "job_feeds_current" CHECK ("job_feeds"."current_a" >= 0)
);
--> statement-breakpoint
CREATE TABLE "job_wires" (
	"job_id" uuid NOT NULL,
	"id" text NOT NULL,
	"position" integer NOT NULL,
	"name" text NOT NULL,
	"colour" text,
	"taped_with" text,
	CONSTRAINT "job_wires_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "places" (
	"model_id" uuid NOT NULL,
	"id" text NOT NULL,
	"position" integer NOT NULL,
	"kind" text NOT NULL,
	"name" text NOT NULL,
	"location" text NOT NULL,
	"zone" text,
	"side" text,
	"steps" text[] DEFAULT '{}' NOT NULL,
	"fasteners" text[] DEFAULT '{}' NOT NULL,
	"tools" text[] DEFAULT '{}' NOT NULL,
	"seconds" integer,
	"notes" text DEFAULT '' NOT NULL,
	"columns" integer DEFAULT 0 NOT NULL,
	"rows" integer DEFAULT 0 NOT NULL,
	CONSTRAINT "places_model_id_id_pk" PRIMARY KEY("model_id","id"),
	CONSTRAINT "places_kind" CHECK ("places"."kind" in ('fusePanel', 'connector', 'loom', 'relaySocket', 'stud', 'groundPoint', 'socketOutlet')),
	CONSTRAINT "places_zone" CHECK ("places"."zone" in ('engine space', 'dash', 'column', 'console', 'footwell', 'kick panel', 'pillar', 'door', 'roof', 'seat', 'sill', 'rear', 'tailgate', 'underneath')),
	CONSTRAINT "places_side" CHECK ("places"."side" in ('left', 'middle', 'right', 'driver', 'passenger')),
	CONSTRAINT "places_grid" CHECK ("places"."columns" >= 0 and "places"."rows" >= 0),
	CONSTRAINT "places_seconds" CHECK ("places"."seconds" >= 0)
);
--> statement-breakpoint
CREATE TABLE "proofs" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"feed_id" text NOT NULL,
	"kind" text NOT NULL,
	"shown_by" uuid NOT NULL,
	"shown_at" timestamp with time zone NOT NULL,
	"withdrawn_at" timestamp with time zone,
	CONSTRAINT "proofs_kind" CHECK ("proofs"."kind" in ('live', 'dead', 'original', 'orientation'))
);
--> statement-breakpoint
CREATE TABLE "sources" (
	"model_id" uuid NOT NULL,
	"id" text NOT NULL,
	"place_id" text NOT NULL,
	"position" integer NOT NULL,
	"kind" text NOT NULL,
	"name" text NOT NULL,
	"legend" text,
	"rating_a" double precision,
	"family" text,
	"grid_column" integer,
	"grid_row" integer,
	"lie" text,
	"landmark_a" text,
	"landmark_b" text,
	"clearance" text,
	"colour" text,
	"seen_colour" text,
	"gauge_mm2" double precision,
	"gauge_measured" boolean,
	"taped_with" text,
	"also_feeds" text,
	"terminal" text,
	"thread_mm" double precision,
	CONSTRAINT "sources_model_id_id_pk" PRIMARY KEY("model_id","id"),
	CONSTRAINT "sources_kind" CHECK ("sources"."kind" in ('slot', 'cavity', 'wire', 'relayTerminal', 'stud', 'ground')),
	CONSTRAINT "sources_slot" CHECK ("sources"."kind" <> 'slot' or ("sources"."family" is not null and "sources"."grid_column" is not null
        and "sources"."grid_row" is not null and "sources"."lie" is not null and "sources"."landmark_a" is not null
        and "sources"."landmark_b" is not null and "sources"."clearance" is not null)),
	CONSTRAINT "sources_rating" CHECK ("sources"."rating_a" > 0),
	CONSTRAINT "sources_gauge" CHECK ("sources"."gauge_mm2" > 0),
	CONSTRAINT "sources_thread" CHECK ("sources"."thread_mm" > 0)
);
--> statement-breakpoint
CREATE TABLE "tap_readings" (
	"tap_point_id" uuid NOT NULL,
	"position" integer NOT NULL,
	"place" text NOT NULL,
	"instrument" text NOT NULL,
	"volts" double precision,
	"high_volts" double precision,
	"glow" text,
	"ohms" double precision,
	"cone" text,
	"speaker" text,
	CONSTRAINT "tap_readings_tap_point_id_position_pk" PRIMARY KEY("tap_point_id","position"),
	CONSTRAINT "tap_readings_place" CHECK ("tap_readings"."place" in ('asleep', 'off', 'acc', 'run', 'crank', 'lamps', 'justOff', 'engine', 'waited', 'dimmed', 'brake', 'reverse', 'parkingBrake', 'lock', 'unlock', 'hazard')),
	CONSTRAINT "tap_readings_instrument" CHECK ("tap_readings"."instrument" in ('meter', 'lamp', 'simulatedMeter', 'led', 'ohmmeter', 'pop'))
);
--> statement-breakpoint
CREATE TABLE "unreadable_jobs" (
	"job_id" uuid PRIMARY KEY NOT NULL,
	"vehicle" jsonb,
	"device" jsonb,
	"plan" jsonb,
	"harness" jsonb
);
--> statement-breakpoint
ALTER TABLE "handbook_entries" DROP CONSTRAINT "handbook_entries_model_id_models_id_fk";
--> statement-breakpoint
DROP INDEX "handbook_by_slot";
--> statement-breakpoint
DROP INDEX "tap_points_by_source";
--> statement-breakpoint
ALTER TABLE "tap_points" ALTER COLUMN "supply_contact" DROP NOT NULL;
--> statement-breakpoint
ALTER TABLE "handbook_entries" ADD COLUMN "source_id" text;
--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "year" integer;
--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "trim" text;
--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "market" text;
--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "steering" text;
--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "no_trace" boolean;
--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "vin" text;
--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "device_name" text;
--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "device_family" text;
--> statement-breakpoint
ALTER TABLE "tap_observations" ADD COLUMN "year" integer;
--> statement-breakpoint
ALTER TABLE "tap_observations" ADD COLUMN "trim" text;
--> statement-breakpoint
ALTER TABLE "tap_observations" ADD COLUMN "market" text;
--> statement-breakpoint
ALTER TABLE "tap_points" ADD COLUMN "source_id" text;
--> statement-breakpoint
ALTER TABLE "jobs" RENAME COLUMN "deferred" TO "deferred_json";
--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "deferred" text[] DEFAULT '{}' NOT NULL;
--> statement-breakpoint
ALTER TABLE "feed_plans" ADD CONSTRAINT "feed_plans_job_id_feed_id_job_feeds_job_id_id_fk" FOREIGN KEY ("job_id","feed_id") REFERENCES "public"."job_feeds"("job_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "job_feeds" ADD CONSTRAINT "job_feeds_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "job_wires" ADD CONSTRAINT "job_wires_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "job_wires" ADD CONSTRAINT "job_wires_job_id_taped_with_job_wires_job_id_id_fk" FOREIGN KEY ("job_id","taped_with") REFERENCES "public"."job_wires"("job_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "places" ADD CONSTRAINT "places_model_id_models_id_fk" FOREIGN KEY ("model_id") REFERENCES "public"."models"("id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "proofs" ADD CONSTRAINT "proofs_shown_by_users_id_fk" FOREIGN KEY ("shown_by") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "proofs" ADD CONSTRAINT "proofs_job_id_feed_id_job_feeds_job_id_id_fk" FOREIGN KEY ("job_id","feed_id") REFERENCES "public"."job_feeds"("job_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "sources" ADD CONSTRAINT "sources_model_id_place_id_places_model_id_id_fk" FOREIGN KEY ("model_id","place_id") REFERENCES "public"."places"("model_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "sources" ADD CONSTRAINT "sources_model_id_taped_with_sources_model_id_id_fk" FOREIGN KEY ("model_id","taped_with") REFERENCES "public"."sources"("model_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "tap_readings" ADD CONSTRAINT "tap_readings_tap_point_id_tap_points_id_fk" FOREIGN KEY ("tap_point_id") REFERENCES "public"."tap_points"("id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
CREATE UNIQUE INDEX "proofs_standing" ON "proofs" USING btree ("job_id","feed_id","kind") WHERE "proofs"."withdrawn_at" is null;
--> statement-breakpoint
CREATE INDEX "sources_by_place" ON "sources" USING btree ("model_id","place_id","position");
--> statement-breakpoint
ALTER TABLE "unreadable_jobs" ADD CONSTRAINT "unreadable_jobs_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "jobs" ADD CONSTRAINT "jobs_deferred" CHECK ("jobs"."deferred" <@ array['asleep', 'off', 'acc', 'run', 'crank', 'lamps', 'justOff', 'engine', 'waited', 'dimmed', 'brake', 'reverse', 'parkingBrake', 'lock', 'unlock', 'hazard']::text[]);
--> statement-breakpoint
ALTER TABLE "jobs" ADD CONSTRAINT "jobs_version" CHECK ("jobs"."version" > 0);
--> statement-breakpoint
INSERT INTO places (model_id, id, position, kind, name, location, steps, columns, rows)
SELECT m.id, p.panel->>'id', p.n - 1, 'fusePanel', p.panel->>'name', p.panel->>'location',
	ARRAY(SELECT jsonb_array_elements_text(p.panel->'access')), (p.panel->>'columns')::int, (p.panel->>'rows')::int
FROM models m CROSS JOIN jsonb_array_elements(m.panels) WITH ORDINALITY AS p(panel, n);
--> statement-breakpoint
INSERT INTO sources (model_id, id, place_id, position, kind, name, legend, rating_a, family, grid_column, grid_row, lie,
	landmark_a, landmark_b, clearance)
SELECT m.id, s.slot->>'id', p.panel->>'id', s.n - 1, 'slot', s.slot->>'position', s.slot->>'legend', (s.slot->>'ratingA')::float8,
	s.slot->>'family', (s.slot->>'column')::int, (s.slot->>'row')::int, s.slot->>'lie',
	s.slot->'contacts'->0->>'landmark', s.slot->'contacts'->1->>'landmark', s.slot->>'clearance'
FROM models m CROSS JOIN jsonb_array_elements(m.panels) AS p(panel)
CROSS JOIN jsonb_array_elements(p.panel->'slots') WITH ORDINALITY AS s(slot, n);
--> statement-breakpoint
INSERT INTO places (model_id, id, position, kind, name, location, zone)
SELECT id, 'harness', jsonb_array_length(panels), 'loom', 'Behind the radio', 'The bunch of wires in the radio cavity', 'dash'
FROM models WHERE jsonb_array_length(bunch) > 0;
--> statement-breakpoint
INSERT INTO sources (model_id, id, place_id, position, kind, name, colour, taped_with)
SELECT m.id, w.wire->>'id', 'harness', w.n - 1, 'wire', w.wire->>'name', w.wire->>'colour', w.wire->>'tapedWith'
FROM models m CROSS JOIN jsonb_array_elements(m.bunch) WITH ORDINALITY AS w(wire, n);
--> statement-breakpoint
-- Nothing refers to a slot that its model has not; should anything, it keeps a place.
WITH lost AS (
	SELECT model_id, slot_id FROM tap_points UNION SELECT model_id, slot_id FROM handbook_entries
	EXCEPT SELECT model_id, id FROM sources
), placed AS (
	INSERT INTO places (model_id, id, position, kind, name, location)
	SELECT DISTINCT model_id, 'unplaced', 99, 'loom', 'Unplaced', 'Not known any more' FROM lost
	RETURNING model_id
)
INSERT INTO sources (model_id, id, place_id, position, kind, name)
SELECT model_id, slot_id, 'unplaced', row_number() OVER (PARTITION BY model_id ORDER BY slot_id) - 1, 'wire', slot_id
FROM lost JOIN placed USING (model_id);
--> statement-breakpoint
UPDATE handbook_entries SET source_id = slot_id;
--> statement-breakpoint
UPDATE tap_points SET source_id = slot_id;
--> statement-breakpoint
INSERT INTO tap_readings (tap_point_id, position, place, instrument, volts, high_volts, glow, ohms, cone, speaker)
SELECT t.id, row_number() OVER (PARTITION BY t.id ORDER BY c.n, v.n) - 1, c.cell->>'place',
	CASE WHEN v.said ~ ' V$' THEN 'meter' WHEN v.said LIKE 'lamp %' THEN 'lamp' WHEN v.said LIKE 'LED %' THEN 'led'
		WHEN v.said ~ 'Ω$|^no continuity$' THEN 'ohmmeter' ELSE 'pop' END,
	CASE WHEN v.said ~ ' V$' THEN substring(v.said FROM '-?[0-9]+\.?[0-9]*')::float8 END,
	substring(v.said FROM ' to (-?[0-9]+\.?[0-9]*) V$')::float8,
	substring(v.said FROM '^(?:lamp|LED) (.*)$'),
	substring(v.said FROM '^([0-9]+\.?[0-9]*) Ω$')::float8,
	CASE WHEN v.said = 'no pop' THEN 'none' ELSE substring(v.said FROM ', cone (.*)$') END,
	substring(v.said FROM '^(.*), cone ')
FROM tap_points t CROSS JOIN jsonb_array_elements(t.matrix) WITH ORDINALITY AS c(cell, n)
CROSS JOIN jsonb_array_elements_text(c.cell->'values') WITH ORDINALITY AS v(said, n);
--> statement-breakpoint
-- A job that cannot be read stays in the list as one, and what was stored of it is kept.
DO $$
DECLARE
	job record;
BEGIN
	FOR job IN SELECT * FROM jobs LOOP
		BEGIN
			INSERT INTO job_feeds (job_id, id, position, name, role, current_a, inrush_a, inrush_s, standby_a, lead_colour, holds_cranking, live_in_acc)
			SELECT job.id, f.feed->>'id', f.n - 1, f.feed->>'name', f.feed->>'role', (f.feed->>'currentA')::float8, (f.feed->>'inrushA')::float8,
				(f.feed->>'inrushS')::float8, (f.feed->>'standbyA')::float8, f.feed->>'leadColour', (f.feed->>'holdsCranking')::boolean,
				(f.feed->>'liveInAcc')::boolean
			FROM jsonb_array_elements(job.device->'feeds') WITH ORDINALITY AS f(feed, n);
			INSERT INTO feed_plans (job_id, feed_id, source_id, one_way_m, return_path, reason, measured_a, shared_a, ground, sizing)
			SELECT job.id, p.one->>'feedId', p.one->>'slotId', (p.one->>'oneWayM')::float8, p.one->>'returnPath', p.one->>'reason',
				(p.one->>'measuredA')::float8, (p.one->>'sharedA')::float8, p.one->>'ground', nullif(p.one->'sizing', 'null'::jsonb)
			FROM jsonb_array_elements(job.plan) AS p(one);
			INSERT INTO proofs (id, job_id, feed_id, kind, shown_by, shown_at)
			SELECT overlay(gen_random_uuid()::text PLACING '7' FROM 15 FOR 1)::uuid, job.id, p.one->>'feedId', k.kind, job.created_by, job.updated_at + k.n * interval '1 microsecond'
			FROM jsonb_array_elements(job.plan) AS p(one)
			CROSS JOIN jsonb_array_elements_text(nullif(p.one->'proofs', 'null'::jsonb)) WITH ORDINALITY AS k(kind, n);
			INSERT INTO job_wires (job_id, id, position, name, colour, taped_with)
			SELECT job.id, w.wire->>'id', w.n - 1, w.wire->>'name', w.wire->>'colour', w.wire->>'tapedWith'
			FROM jsonb_array_elements(job.harness) WITH ORDINALITY AS w(wire, n);
			UPDATE jobs SET year = (job.vehicle->>'year')::int, trim = job.vehicle->>'trim', market = job.vehicle->>'market',
				steering = job.vehicle->>'steering', no_trace = (job.vehicle->>'noTrace')::boolean, vin = job.vehicle->>'vin',
				device_name = job.device->>'name', device_family = job.device->>'family',
				phase = CASE WHEN phase IN ('vehicle', 'device', 'find', 'choose', 'size', 'build', 'prove', 'log') THEN phase ELSE 'find' END,
				deferred = ARRAY(SELECT jsonb_array_elements_text(job.deferred_json))
			WHERE id = job.id;
			IF EXISTS (SELECT FROM jobs WHERE id = job.id AND (year IS NULL OR trim IS NULL OR market IS NULL OR steering IS NULL OR device_name IS NULL)) THEN
				RAISE EXCEPTION 'a field is missing';
			END IF;
		EXCEPTION WHEN OTHERS THEN
			INSERT INTO unreadable_jobs (job_id, vehicle, device, plan, harness) VALUES (job.id, job.vehicle, job.device, job.plan, job.harness);
			UPDATE jobs SET year = 0, trim = '', market = '', steering = '', device_name = '', phase = 'find' WHERE id = job.id;
		END;
	END LOOP;
END $$;
--> statement-breakpoint
UPDATE tap_observations AS o SET year = j.year, trim = j.trim, market = j.market
FROM readings r JOIN jobs j ON j.id = r.job_id WHERE r.id = o.reading_id;
--> statement-breakpoint
ALTER TABLE "handbook_entries" DROP COLUMN "slot_id";
--> statement-breakpoint
ALTER TABLE "jobs" DROP COLUMN "vehicle";
--> statement-breakpoint
ALTER TABLE "jobs" DROP COLUMN "device";
--> statement-breakpoint
ALTER TABLE "jobs" DROP COLUMN "plan";
--> statement-breakpoint
ALTER TABLE "jobs" DROP COLUMN "harness";
--> statement-breakpoint
ALTER TABLE "models" DROP COLUMN "panels";
--> statement-breakpoint
ALTER TABLE "models" DROP COLUMN "bunch";
--> statement-breakpoint
ALTER TABLE "tap_points" DROP COLUMN "slot_id";
--> statement-breakpoint
ALTER TABLE "tap_points" DROP COLUMN "matrix";
--> statement-breakpoint
ALTER TABLE "jobs" DROP COLUMN "deferred_json";
--> statement-breakpoint
ALTER TABLE "handbook_entries" ALTER COLUMN "source_id" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "jobs" ALTER COLUMN "year" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "jobs" ALTER COLUMN "trim" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "jobs" ALTER COLUMN "market" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "jobs" ALTER COLUMN "steering" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "jobs" ALTER COLUMN "device_name" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "tap_observations" ALTER COLUMN "year" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "tap_observations" ALTER COLUMN "trim" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "tap_observations" ALTER COLUMN "market" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "tap_points" ALTER COLUMN "source_id" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "handbook_entries" ADD CONSTRAINT "handbook_entries_model_id_source_id_sources_model_id_id_fk" FOREIGN KEY ("model_id","source_id") REFERENCES "public"."sources"("model_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "tap_points" ADD CONSTRAINT "tap_points_model_id_source_id_sources_model_id_id_fk" FOREIGN KEY ("model_id","source_id") REFERENCES "public"."sources"("model_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
CREATE UNIQUE INDEX "handbook_by_source" ON "handbook_entries" USING btree ("shop_id","model_id","source_id");
--> statement-breakpoint
CREATE INDEX "tap_points_by_source" ON "tap_points" USING btree ("model_id","source_id","logged_at","id");
--> statement-breakpoint
ALTER TABLE "jobs" ADD CONSTRAINT "jobs_phase" CHECK ("jobs"."phase" in ('vehicle', 'device', 'find', 'choose', 'size', 'build', 'prove', 'log'));
--> statement-breakpoint
ALTER TABLE "models" ADD CONSTRAINT "models_years" CHECK ("models"."year_from" <= "models"."year_to");
--> statement-breakpoint
ALTER TABLE "tap_observations" ADD CONSTRAINT "tap_observations_kind" CHECK ("tap_observations"."kind" in ('confirmed', 'contradicted'));
--> statement-breakpoint
ALTER TABLE "tap_points" ADD CONSTRAINT "tap_points_contact" CHECK ("tap_points"."supply_contact" in ('a', 'b'));
--> statement-breakpoint
ALTER TABLE "tap_points" ADD CONSTRAINT "tap_points_grade" CHECK ("tap_points"."grade" in ('probed', 'probedByOther', 'legend', 'forum', 'asserted'));
--> statement-breakpoint
ALTER TABLE "tap_points" ADD CONSTRAINT "tap_points_years" CHECK ("tap_points"."year_from" <= "tap_points"."year_to");
--> statement-breakpoint
ALTER TABLE "tap_points" ADD CONSTRAINT "tap_points_fuse" CHECK ("tap_points"."fuse_a" > 0);
