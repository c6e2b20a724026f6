ALTER TABLE "jobs" ADD COLUMN "waits_for" text;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "reopened" text;