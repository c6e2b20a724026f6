ALTER TABLE "jobs" ADD COLUMN "harness" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "deferred" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "models" ADD COLUMN "bunch" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "high_volts" double precision;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "ohms" double precision;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "cone" text;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "speaker" text;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "other_id" text;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "clip" text;