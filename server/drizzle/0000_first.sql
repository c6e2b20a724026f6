CREATE TABLE "devices" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"device" jsonb NOT NULL,
	"note" text NOT NULL,
	"position" integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE "jobs" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"model_id" uuid NOT NULL,
	"vehicle" jsonb NOT NULL,
	"device" jsonb NOT NULL,
	"phase" text NOT NULL,
	"plan" jsonb NOT NULL,
	"version" integer NOT NULL,
	"created_by" uuid NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "models" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"make" text NOT NULL,
	"model" text NOT NULL,
	"generation" text NOT NULL,
	"year_from" integer NOT NULL,
	"year_to" integer NOT NULL,
	"trims" jsonb NOT NULL,
	"markets" jsonb NOT NULL,
	"steering" jsonb NOT NULL,
	"key_type" text NOT NULL,
	"use" text NOT NULL,
	"panels" jsonb NOT NULL,
	"bench" jsonb
);
--> statement-breakpoint
CREATE TABLE "readings" (
	"id" uuid PRIMARY KEY NOT NULL,
	"sequence" serial NOT NULL,
	"job_id" uuid NOT NULL,
	"source_id" text NOT NULL,
	"contact" text,
	"state" jsonb NOT NULL,
	"instrument" text NOT NULL,
	"volts" double precision,
	"glow" text,
	"taken_at" timestamp with time zone NOT NULL,
	"taken_by" uuid NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	"withdrawn_at" timestamp with time zone,
	"withdrawn_by" uuid
);
--> statement-breakpoint
CREATE TABLE "session" (
	"sid" varchar PRIMARY KEY NOT NULL,
	"sess" json NOT NULL,
	"expire" timestamp (6) NOT NULL
);
--> statement-breakpoint
CREATE TABLE "shops" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "tap_observations" (
	"reading_id" uuid NOT NULL,
	"tap_point_id" uuid NOT NULL,
	"kind" text NOT NULL,
	CONSTRAINT "tap_observations_reading_id_tap_point_id_pk" PRIMARY KEY("reading_id","tap_point_id")
);
--> statement-breakpoint
CREATE TABLE "tap_points" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"model_id" uuid NOT NULL,
	"job_id" uuid,
	"feed_id" text,
	"slot_id" text NOT NULL,
	"function" text NOT NULL,
	"supply_contact" text NOT NULL,
	"year_from" integer NOT NULL,
	"year_to" integer NOT NULL,
	"trim" text NOT NULL,
	"market" text NOT NULL,
	"matrix" jsonb NOT NULL,
	"grade" text NOT NULL,
	"fuse_a" double precision NOT NULL,
	"awg" integer NOT NULL,
	"note" text NOT NULL,
	"logged_by" uuid NOT NULL,
	"logged_at" timestamp with time zone DEFAULT now() NOT NULL,
	"retired" boolean DEFAULT false NOT NULL
);
--> statement-breakpoint
CREATE TABLE "users" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"login" text NOT NULL,
	"name" text NOT NULL,
	"role" text NOT NULL,
	"password_hash" text NOT NULL,
	CONSTRAINT "users_login_unique" UNIQUE("login")
);
--> statement-breakpoint
ALTER TABLE "devices" ADD CONSTRAINT "devices_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "jobs" ADD CONSTRAINT "jobs_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "jobs" ADD CONSTRAINT "jobs_model_id_models_id_fk" FOREIGN KEY ("model_id") REFERENCES "public"."models"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "jobs" ADD CONSTRAINT "jobs_created_by_users_id_fk" FOREIGN KEY ("created_by") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "models" ADD CONSTRAINT "models_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_taken_by_users_id_fk" FOREIGN KEY ("taken_by") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_withdrawn_by_users_id_fk" FOREIGN KEY ("withdrawn_by") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tap_observations" ADD CONSTRAINT "tap_observations_reading_id_readings_id_fk" FOREIGN KEY ("reading_id") REFERENCES "public"."readings"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tap_observations" ADD CONSTRAINT "tap_observations_tap_point_id_tap_points_id_fk" FOREIGN KEY ("tap_point_id") REFERENCES "public"."tap_points"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tap_points" ADD CONSTRAINT "tap_points_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tap_points" ADD CONSTRAINT "tap_points_model_id_models_id_fk" FOREIGN KEY ("model_id") REFERENCES "public"."models"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tap_points" ADD CONSTRAINT "tap_points_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tap_points" ADD CONSTRAINT "tap_points_logged_by_users_id_fk" FOREIGN KEY ("logged_by") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "users" ADD CONSTRAINT "users_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "jobs_by_shop" ON "jobs" USING btree ("shop_id","updated_at");--> statement-breakpoint
CREATE INDEX "readings_by_job" ON "readings" USING btree ("job_id","sequence");--> statement-breakpoint
CREATE INDEX "session_expire" ON "session" USING btree ("expire");--> statement-breakpoint
CREATE INDEX "tap_observations_by_tap" ON "tap_observations" USING btree ("tap_point_id");--> statement-breakpoint
CREATE INDEX "tap_points_by_model" ON "tap_points" USING btree ("model_id");