ALTER TABLE "places" ADD COLUMN "keying" text;--> statement-breakpoint
ALTER TABLE "places" ADD COLUMN "harness" text;