CREATE TABLE "blobs" (
	"sha256" text PRIMARY KEY NOT NULL,
	"bytes" "bytea" NOT NULL
);
--> statement-breakpoint
CREATE TABLE "jobs" (
	"kind" text NOT NULL,
	"key" text NOT NULL,
	"payload" json NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"lease_until" timestamp with time zone,
	"tries" integer DEFAULT 0 NOT NULL,
	CONSTRAINT "jobs_kind_key_pk" PRIMARY KEY("kind","key")
);
--> statement-breakpoint
CREATE TABLE "papers" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"deal_id" uuid NOT NULL,
	"option_id" uuid,
	"kind" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"who" text,
	"deal_version" integer NOT NULL,
	"core_version" text NOT NULL,
	"sha256" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "papers" ADD CONSTRAINT "papers_deal_id_deals_id_fk" FOREIGN KEY ("deal_id") REFERENCES "public"."deals"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "papers" ADD CONSTRAINT "papers_sha256_blobs_sha256_fk" FOREIGN KEY ("sha256") REFERENCES "public"."blobs"("sha256") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "papers_deal" ON "papers" USING btree ("deal_id","at");--> statement-breakpoint
insert into "jobs" ("kind", "key", "payload") select 'showDeals', "id"::text, '{}'::json from "arrivals";--> statement-breakpoint
insert into "jobs" ("kind", "key", "payload", "at") select 'putInStock', "id"::text, "vehicles", "at" from "stock_arrivals";--> statement-breakpoint
DROP TABLE "arrivals" CASCADE;--> statement-breakpoint
DROP TABLE "stock_arrivals" CASCADE;