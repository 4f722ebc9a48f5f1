ALTER TABLE "customers" DROP CONSTRAINT "customers_name_unique";--> statement-breakpoint
ALTER TABLE "vehicles" DROP CONSTRAINT "vehicles_description_unique";--> statement-breakpoint
ALTER TABLE "signings" ADD COLUMN "customer" text;--> statement-breakpoint
ALTER TABLE "signings" ADD COLUMN "vehicle" text;--> statement-breakpoint
ALTER TABLE "vehicles" ADD COLUMN "stock_number" text;--> statement-breakpoint
ALTER TABLE "vehicles" ADD COLUMN "kind" text;--> statement-breakpoint
ALTER TABLE "vehicles" ADD COLUMN "condition" text;--> statement-breakpoint
ALTER TABLE "vehicles" ADD COLUMN "model_year" smallint;--> statement-breakpoint
ALTER TABLE "vehicles" ADD COLUMN "distance" integer;--> statement-breakpoint
ALTER TABLE "vehicles" ADD COLUMN "distance_unit" text;--> statement-breakpoint
ALTER TABLE "vehicles" ADD COLUMN "identification" text;--> statement-breakpoint
ALTER TABLE "vehicles" ADD COLUMN "invoice_minor" bigint;--> statement-breakpoint
ALTER TABLE "vehicles" ADD COLUMN "book_value_minor" bigint;--> statement-breakpoint
ALTER TABLE "vehicles" ADD COLUMN "book_guide" text;--> statement-breakpoint
ALTER TABLE "vehicles" ADD COLUMN "book_date" text;--> statement-breakpoint
ALTER TABLE "vehicles" ADD CONSTRAINT "vehicles_stockNumber_unique" UNIQUE("stock_number");--> statement-breakpoint
CREATE INDEX "vehicles_stock_numbers" ON "vehicles" USING btree (lower("stock_number") text_pattern_ops);--> statement-breakpoint
-- What is signed keeps the names that it was signed with.
update "signings" set
	"customer" = (select "name" from "customers" where "id" = "deals"."customer_id"),
	"vehicle" = (select "description" from "vehicles" where "id" = "deals"."vehicle_id")
from "deals" where "deals"."id" = "signings"."deal_id";
