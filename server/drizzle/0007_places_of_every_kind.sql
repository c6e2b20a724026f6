CREATE TABLE "job_slots" (
	"job_id" uuid NOT NULL,
	"source_id" text NOT NULL,
	"place_id" text NOT NULL,
	"position" text NOT NULL,
	"legend" text,
	"rating_a" double precision,
	"holds" text NOT NULL,
	"was_legend" text,
	"was_rating_a" double precision,
	"command_id" uuid NOT NULL,
	CONSTRAINT "job_slots_job_id_source_id_pk" PRIMARY KEY("job_id","source_id"),
	CONSTRAINT "job_slots_holds" CHECK ("job_slots"."holds" in ('car', 'model')),
	CONSTRAINT "job_slots_rating" CHECK ("job_slots"."rating_a" > 0)
);
--> statement-breakpoint
ALTER TABLE "places" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "job_slots" ADD CONSTRAINT "job_slots_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_slots" ADD CONSTRAINT "job_slots_command_id_commands_id_fk" FOREIGN KEY ("command_id") REFERENCES "public"."commands"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "places" ADD CONSTRAINT "places_version" CHECK ("places"."version" > 0);