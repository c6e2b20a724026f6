CREATE TABLE "job_steps" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"step_id" text NOT NULL,
	"done_by" uuid NOT NULL,
	"done_at" timestamp with time zone NOT NULL,
	"reason" text,
	"undone_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "route" jsonb;--> statement-breakpoint
ALTER TABLE "models" ADD COLUMN "body" jsonb;--> statement-breakpoint
ALTER TABLE "job_steps" ADD CONSTRAINT "job_steps_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_steps" ADD CONSTRAINT "job_steps_done_by_users_id_fk" FOREIGN KEY ("done_by") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "job_steps_standing" ON "job_steps" USING btree ("job_id","step_id") WHERE "job_steps"."undone_at" is null;