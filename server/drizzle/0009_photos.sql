CREATE TABLE "photo_pins" (
	"photo_id" uuid NOT NULL,
	"model_id" uuid NOT NULL,
	"source_id" text NOT NULL,
	"x" double precision NOT NULL,
	"y" double precision NOT NULL,
	CONSTRAINT "photo_pins_photo_id_source_id_pk" PRIMARY KEY("photo_id","source_id"),
	CONSTRAINT "photo_pins_inside" CHECK ("photo_pins"."x" between 0 and 1 and "photo_pins"."y" between 0 and 1)
);
--> statement-breakpoint
CREATE TABLE "photos" (
	"id" uuid PRIMARY KEY NOT NULL,
	"model_id" uuid NOT NULL,
	"place_id" text NOT NULL,
	"jpeg" "bytea" NOT NULL,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	"caption" text DEFAULT '' NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"taken_by" uuid NOT NULL,
	"taken_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "photos_of_model" UNIQUE("id","model_id"),
	CONSTRAINT "photos_size" CHECK ("photos"."width" > 0 and "photos"."height" > 0)
);
--> statement-breakpoint
ALTER TABLE "photo_pins" ADD CONSTRAINT "photo_pins_photo_id_model_id_photos_id_model_id_fk" FOREIGN KEY ("photo_id","model_id") REFERENCES "public"."photos"("id","model_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photo_pins" ADD CONSTRAINT "photo_pins_model_id_source_id_sources_model_id_id_fk" FOREIGN KEY ("model_id","source_id") REFERENCES "public"."sources"("model_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_taken_by_users_id_fk" FOREIGN KEY ("taken_by") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_model_id_place_id_places_model_id_id_fk" FOREIGN KEY ("model_id","place_id") REFERENCES "public"."places"("model_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "photo_pins_by_source" ON "photo_pins" USING btree ("model_id","source_id");--> statement-breakpoint
CREATE INDEX "photos_by_place" ON "photos" USING btree ("model_id","place_id","taken_at");