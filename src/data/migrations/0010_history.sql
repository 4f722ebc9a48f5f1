CREATE TABLE "deal_changes" (
	"at" timestamp with time zone NOT NULL,
	"began" timestamp with time zone,
	"payment" bigint,
	"deal_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"deal_version" integer NOT NULL,
	"document_version" smallint NOT NULL,
	"kind" text NOT NULL,
	"who" text,
	"words" text NOT NULL,
	"back" json,
	CONSTRAINT "deal_changes_deal_id_number_pk" PRIMARY KEY("deal_id","number")
);
--> statement-breakpoint
CREATE TABLE "signings" (
	"deal_id" uuid PRIMARY KEY NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"core_version" text NOT NULL,
	"is_late" boolean DEFAULT false NOT NULL,
	"quotes" json NOT NULL
);
--> statement-breakpoint
ALTER TABLE "deal_changes" ADD CONSTRAINT "deal_changes_deal_id_deals_id_fk" FOREIGN KEY ("deal_id") REFERENCES "public"."deals"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "signings" ADD CONSTRAINT "signings_deal_id_deals_id_fk" FOREIGN KEY ("deal_id") REFERENCES "public"."deals"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
-- The history of a deal of before begins with its state now.
insert into "deal_changes" ("deal_id", "number", "kind", "at", "words", "document_version", "deal_version", "payment")
select "deals"."id", 1, 'begun', "deals"."changed_at", 'as it was when its history began', 2, "deals"."version", "register_lines"."payment"
from "deals" left join "register_lines" on "register_lines"."deal_id" = "deals"."id";
