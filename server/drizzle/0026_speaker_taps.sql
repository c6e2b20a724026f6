ALTER TABLE "tap_points" ALTER COLUMN "fuse_a" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "tap_points" ALTER COLUMN "awg" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "tap_points" ADD CONSTRAINT "tap_points_added" CHECK ("tap_points"."function" = 'speaker' or ("tap_points"."fuse_a" is not null and "tap_points"."awg" is not null));