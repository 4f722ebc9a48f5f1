ALTER TABLE "vehicles" ADD COLUMN "in_stock" boolean DEFAULT false NOT NULL;--> statement-breakpoint
CREATE INDEX "deals_customer" ON "deals" USING btree ("customer_id");--> statement-breakpoint
CREATE INDEX "deals_vehicle" ON "deals" USING btree ("vehicle_id");--> statement-breakpoint
-- Until now a vehicle with a price was one in stock.
UPDATE "vehicles" SET "in_stock" = true WHERE "price_minor" IS NOT NULL;
