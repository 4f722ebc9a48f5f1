ALTER TABLE "options" ADD COLUMN "figures" jsonb;--> statement-breakpoint
ALTER TABLE "options" ADD COLUMN "figures_by" text;