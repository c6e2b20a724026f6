ALTER TABLE "job_feeds" ADD COLUMN "direction" text;--> statement-breakpoint
ALTER TABLE "job_feeds" ADD COLUMN "left_off" text;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "device_fitted_with" text[];--> statement-breakpoint
ALTER TABLE "job_feeds" ADD CONSTRAINT "job_feeds_direction" CHECK ("job_feeds"."direction" in ('in', 'out', 'both'));