-- Words are found by their groups of three letters.
CREATE EXTENSION IF NOT EXISTS pg_trgm;--> statement-breakpoint
CREATE INDEX "register_words" ON "register_lines" USING gin ((heading_text || ' ' || figures_text) gin_trgm_ops) WITH (fastupdate=false);
