CREATE TABLE "sign_in_tries" (
	"key" varchar(255) PRIMARY KEY NOT NULL,
	"points" integer DEFAULT 0 NOT NULL,
	"expire" bigint
);
--> statement-breakpoint
DROP INDEX "tap_points_by_model";--> statement-breakpoint
DROP INDEX "jobs_by_shop";--> statement-breakpoint
CREATE INDEX "devices_by_shop" ON "devices" USING btree ("shop_id");--> statement-breakpoint
CREATE INDEX "jobs_by_model" ON "jobs" USING btree ("model_id");--> statement-breakpoint
CREATE INDEX "models_by_shop" ON "models" USING btree ("shop_id");--> statement-breakpoint
CREATE INDEX "tap_points_by_source" ON "tap_points" USING btree ("model_id","slot_id","logged_at","id");--> statement-breakpoint
CREATE INDEX "tap_points_by_shop" ON "tap_points" USING btree ("shop_id");--> statement-breakpoint
-- A feed that was logged several times from one job keeps its first tap point.
UPDATE "tap_points" AS "later" SET "retired" = true WHERE NOT "later"."retired" AND EXISTS (
	SELECT 1 FROM "tap_points" AS "first" WHERE "first"."job_id" = "later"."job_id" AND "first"."feed_id" = "later"."feed_id"
	AND NOT "first"."retired" AND ("first"."logged_at", "first"."id") < ("later"."logged_at", "later"."id")
);--> statement-breakpoint
CREATE UNIQUE INDEX "tap_points_by_feed" ON "tap_points" USING btree ("job_id","feed_id") WHERE not "tap_points"."retired";--> statement-breakpoint
CREATE INDEX "users_by_shop" ON "users" USING btree ("shop_id");--> statement-breakpoint
CREATE INDEX "jobs_by_shop" ON "jobs" USING btree ("shop_id","updated_at","id");