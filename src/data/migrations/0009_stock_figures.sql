ALTER TABLE "vehicles" ADD COLUMN "cost_minor" bigint;--> statement-breakpoint
ALTER TABLE "vehicles" ADD COLUMN "list_price_minor" bigint;