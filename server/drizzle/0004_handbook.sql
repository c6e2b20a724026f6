CREATE TABLE "handbook_entries" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"model_id" uuid NOT NULL,
	"slot_id" text NOT NULL,
	"make" text NOT NULL,
	"legend" text,
	"entry" text,
	"user_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "handbook_entries" ADD CONSTRAINT "handbook_entries_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "handbook_entries" ADD CONSTRAINT "handbook_entries_model_id_models_id_fk" FOREIGN KEY ("model_id") REFERENCES "public"."models"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "handbook_entries" ADD CONSTRAINT "handbook_entries_user_id_users_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."users"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "handbook_by_slot" ON "handbook_entries" USING btree ("shop_id","model_id","slot_id");--> statement-breakpoint
CREATE INDEX "handbook_by_legend" ON "handbook_entries" USING btree ("shop_id","make","legend");