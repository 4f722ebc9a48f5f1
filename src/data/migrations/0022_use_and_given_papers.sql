ALTER TABLE "papers" ALTER COLUMN "sha256" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "deals" ADD COLUMN "use" text;--> statement-breakpoint
ALTER TABLE "papers" ADD COLUMN "file_name" text DEFAULT 'Paper' NOT NULL;--> statement-breakpoint
ALTER TABLE "papers" ADD COLUMN "removed_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "papers" ADD CONSTRAINT "papers_once" UNIQUE("deal_id","kind","sha256");