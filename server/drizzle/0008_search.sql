-- Words with letters missing or wrong are found by the groups of three letters that they share.
CREATE EXTENSION IF NOT EXISTS pg_trgm;--> statement-breakpoint
ALTER TABLE "models" ADD COLUMN "search" text GENERATED ALWAYS AS (lower(make || ' ' || model || ' ' || generation || ' ' || "use")) STORED;--> statement-breakpoint
CREATE INDEX "sources_by_legend" ON "sources" USING gin ("legend" gin_trgm_ops);