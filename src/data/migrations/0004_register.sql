CREATE TABLE "register_lines" (
	"deal_id" uuid PRIMARY KEY NOT NULL,
	"deal_version" integer NOT NULL,
	"customer" text NOT NULL,
	"vehicle" text NOT NULL,
	"status" text NOT NULL,
	"changed_at" timestamp with time zone NOT NULL,
	"deleted" boolean DEFAULT false NOT NULL,
	"customer_key" text,
	"vehicle_key" text,
	"heading_text" text NOT NULL,
	"figures_text" text DEFAULT '' NOT NULL,
	"currency" text,
	"payment" bigint,
	"amount_financed" bigint,
	"paid" text,
	"problem" text,
	"made_by" text
);
--> statement-breakpoint
ALTER TABLE "register_lines" ADD CONSTRAINT "register_lines_deal_id_deals_id_fk" FOREIGN KEY ("deal_id") REFERENCES "public"."deals"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "register_changed_at" ON "register_lines" USING btree ("changed_at","deal_id");--> statement-breakpoint
CREATE INDEX "register_customer" ON "register_lines" USING btree ("customer_key","deal_id");--> statement-breakpoint
CREATE INDEX "register_to_make" ON "register_lines" USING btree ("changed_at") WHERE "register_lines"."made_by" is null;--> statement-breakpoint
ALTER TABLE "options" DROP COLUMN "figures";--> statement-breakpoint
ALTER TABLE "options" DROP COLUMN "figures_by";--> statement-breakpoint
-- The lines of the deals that are there; their figures are made when the server starts.
INSERT INTO "register_lines" ("deal_id", "deal_version", "customer", "vehicle", "status", "changed_at", "deleted", "customer_key", "vehicle_key", "heading_text")
SELECT "id", "version", "customer", "vehicle", "status", "changed_at", "deleted", nullif("customer_key", ''), nullif("vehicle_key", ''), "customer_key" || ' ' || "vehicle_key" || ' ' || "status"
FROM (
	SELECT "deals".*, "deleted_at" IS NOT NULL AS "deleted", "customer", "vehicle",
		lower(regexp_replace(normalize("customer", NFD), '[\u0300-\u036f]', '', 'g')) AS "customer_key",
		lower(regexp_replace(normalize("vehicle", NFD), '[\u0300-\u036f]', '', 'g')) AS "vehicle_key"
	FROM "deals"
	LEFT JOIN LATERAL (SELECT coalesce((SELECT "name" FROM "customers" WHERE "customers"."id" = "deals"."customer_id"), '') AS "customer") AS "named" ON true
	LEFT JOIN LATERAL (SELECT coalesce((SELECT "description" FROM "vehicles" WHERE "vehicles"."id" = "deals"."vehicle_id"), '') AS "vehicle") AS "called" ON true
) AS "known";
