CREATE TABLE "notes" (
	"id" uuid PRIMARY KEY NOT NULL,
	"model_id" uuid NOT NULL,
	"place_id" text NOT NULL,
	"source_id" text,
	"kind" text NOT NULL,
	"text" text NOT NULL,
	"written_by" uuid NOT NULL,
	"written_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "notes_kind" CHECK ("notes"."kind" in ('note', 'bulletin')),
	CONSTRAINT "notes_text" CHECK (length(text) between 1 and 500)
);
--> statement-breakpoint
ALTER TABLE "notes" ADD CONSTRAINT "notes_written_by_users_id_fk" FOREIGN KEY ("written_by") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "notes" ADD CONSTRAINT "notes_model_id_place_id_places_model_id_id_fk" FOREIGN KEY ("model_id","place_id") REFERENCES "public"."places"("model_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "notes" ADD CONSTRAINT "notes_model_id_source_id_sources_model_id_id_fk" FOREIGN KEY ("model_id","source_id") REFERENCES "public"."sources"("model_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "notes_by_model" ON "notes" USING btree ("model_id","written_at");