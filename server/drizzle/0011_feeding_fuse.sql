ALTER TABLE "feed_plans" ADD COLUMN "feed_fuse_a" double precision;--> statement-breakpoint
ALTER TABLE "feed_plans" ADD COLUMN "fed_by" text;--> statement-breakpoint
ALTER TABLE "feed_plans" ADD CONSTRAINT "feed_plans_fuse" CHECK ("feed_plans"."feed_fuse_a" > 0);