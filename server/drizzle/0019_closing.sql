CREATE TABLE "job_closing" (
	"job_id" uuid NOT NULL,
	"item" text NOT NULL,
	"value" double precision,
	"by" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "job_closing_job_id_item_pk" PRIMARY KEY("job_id","item"),
	CONSTRAINT "job_closing_item" CHECK (length("job_closing"."item") between 1 and 80)
);
--> statement-breakpoint
ALTER TABLE "job_feeds" ADD COLUMN "output_v" double precision;--> statement-breakpoint
ALTER TABLE "job_closing" ADD CONSTRAINT "job_closing_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_closing" ADD CONSTRAINT "job_closing_by_users_id_fk" FOREIGN KEY ("by") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;