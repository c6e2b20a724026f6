ALTER TABLE "job_slots" DROP CONSTRAINT "job_slots_holds";--> statement-breakpoint
ALTER TABLE "job_slots" ADD CONSTRAINT "job_slots_holds" CHECK ("job_slots"."holds" in ('car', 'years', 'model'));