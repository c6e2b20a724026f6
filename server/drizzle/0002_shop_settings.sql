ALTER TABLE "shops" ADD COLUMN "settings" jsonb;--> statement-breakpoint
ALTER TABLE "shops" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;