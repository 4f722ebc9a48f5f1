CREATE TABLE "deal_income" (
	"deal_id" uuid PRIMARY KEY NOT NULL,
	"deal_version" integer NOT NULL,
	"made_by" text NOT NULL,
	"figures" json NOT NULL
);
--> statement-breakpoint
ALTER TABLE "deal_income" ADD CONSTRAINT "deal_income_deal_id_deals_id_fk" FOREIGN KEY ("deal_id") REFERENCES "public"."deals"("id") ON DELETE cascade ON UPDATE no action;