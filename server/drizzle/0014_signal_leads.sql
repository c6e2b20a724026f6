ALTER TABLE "job_feeds" DROP CONSTRAINT "job_feeds_role";--> statement-breakpoint
ALTER TABLE "jobs" DROP CONSTRAINT "jobs_deferred";--> statement-breakpoint
ALTER TABLE "tap_readings" DROP CONSTRAINT "tap_readings_place";--> statement-breakpoint
ALTER TABLE "job_feeds" ADD COLUMN "polarity" text;--> statement-breakpoint
ALTER TABLE "job_feeds" ADD COLUMN "optional" boolean;--> statement-breakpoint
ALTER TABLE "job_feeds" ADD CONSTRAINT "job_feeds_polarity" CHECK ("job_feeds"."polarity" in ('plus', 'ground', 'set'));--> statement-breakpoint
ALTER TABLE "job_feeds" ADD CONSTRAINT "job_feeds_role" CHECK ("job_feeds"."role" in ('constant', 'switched', 'illumination', 'reverse', 'brake', 'starter', 'parkingLamps', 'door', 'hood', 'parkingBrake', 'lock', 'unlock', 'turnLeft', 'turnRight', 'horn', 'wiper', 'speed', 'tach', 'ground'));--> statement-breakpoint
ALTER TABLE "jobs" ADD CONSTRAINT "jobs_deferred" CHECK ("jobs"."deferred" <@ array['asleep', 'off', 'acc', 'run', 'crank', 'lamps', 'justOff', 'engine', 'waited', 'dimmed', 'brake', 'reverse', 'parkingBrake', 'lock', 'unlock', 'hazard', 'hood', 'turnLeft', 'turnRight', 'horn', 'wiper', 'rolling', 'everything']::text[]);--> statement-breakpoint
ALTER TABLE "tap_readings" ADD CONSTRAINT "tap_readings_place" CHECK ("tap_readings"."place" in ('asleep', 'off', 'acc', 'run', 'crank', 'lamps', 'justOff', 'engine', 'waited', 'dimmed', 'brake', 'reverse', 'parkingBrake', 'lock', 'unlock', 'hazard', 'hood', 'turnLeft', 'turnRight', 'horn', 'wiper', 'rolling', 'everything'));