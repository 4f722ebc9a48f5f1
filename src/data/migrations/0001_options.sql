-- A deal holds options and counts its own saves: each had one option, which counted them.
DROP INDEX "options_deal_id";--> statement-breakpoint
ALTER TABLE "options" DROP CONSTRAINT "options_pkey";--> statement-breakpoint
ALTER TABLE "options" ALTER COLUMN "id" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "options" ADD CONSTRAINT "options_deal_id_id_pk" PRIMARY KEY("deal_id","id");--> statement-breakpoint
ALTER TABLE "options" ADD COLUMN "position" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "options" ADD COLUMN "name" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "deals" ADD COLUMN "chosen" uuid;--> statement-breakpoint
ALTER TABLE "deals" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "deals" ADD COLUMN "heading_version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "deals" ADD COLUMN "order_version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
UPDATE "deals" SET
	"chosen" = "options"."id",
	"version" = "options"."version",
	"heading_version" = "options"."version",
	"order_version" = "options"."version"
FROM "options" WHERE "options"."deal_id" = "deals"."id";--> statement-breakpoint
ALTER TABLE "deals" ALTER COLUMN "chosen" SET NOT NULL;
