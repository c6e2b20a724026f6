ALTER TABLE "feed_plans" DROP CONSTRAINT "feed_plans_by_source";--> statement-breakpoint
ALTER TABLE "feed_plans" ADD COLUMN "shared" boolean DEFAULT false NOT NULL;--> statement-breakpoint
CREATE UNIQUE INDEX "feed_plans_by_source" ON "feed_plans" USING btree ("job_id","source_id") WHERE not "feed_plans"."shared";