CREATE TABLE "deal_parts" (
	"deal_id" uuid NOT NULL,
	"part" text NOT NULL,
	"json" json NOT NULL,
	"version" integer NOT NULL,
	CONSTRAINT "deal_parts_deal_id_part_pk" PRIMARY KEY("deal_id","part")
);
--> statement-breakpoint
ALTER TABLE "deal_changes" ADD COLUMN "part" text;--> statement-breakpoint
ALTER TABLE "settings" ADD COLUMN "dealer" json DEFAULT '{}'::json NOT NULL;--> statement-breakpoint
ALTER TABLE "settings" ADD COLUMN "dealer_version" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "deal_parts" ADD CONSTRAINT "deal_parts_deal_id_deals_id_fk" FOREIGN KEY ("deal_id") REFERENCES "public"."deals"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
-- What extras cost the dealer stood with them: it becomes the dealer's part, by the ids that lines have by their places.
insert into "deal_parts" ("deal_id", "part", "json", "version")
select "deal_id", 'dealer', json_build_object('options', json_object_agg("id", json_build_object('costs', "costs"))), max("version")
from (
	select "deal_id", "id", "version", json_object_agg('extra-' || "place", "extra"->>'cost') as "costs"
	from "options", json_array_elements("inputs"->'structure'->'extras') with ordinality as "extras" ("extra", "place")
	where "extra"->>'cost' is not null
	group by "deal_id", "id", "version"
) as "known" group by "deal_id";--> statement-breakpoint
update "options" set "inputs" = jsonb_set("inputs"::jsonb, '{structure,extras}', (
	select jsonb_agg("extra" - 'cost' order by "place")
	from jsonb_array_elements("inputs"::jsonb->'structure'->'extras') with ordinality as "extras" ("extra", "place")
))::json
where exists (select 1 from "deal_parts" where "deal_parts"."deal_id" = "options"."deal_id") and "inputs"->'structure'->'extras' is not null;--> statement-breakpoint
update "deal_changes" set "words" = regexp_replace("words", ', costs [0-9](?:[0-9,.]*[0-9])?', '', 'g') where "words" like '%, costs %';--> statement-breakpoint
update "settings" set "dealer" = json_build_object('extraCosts', "known"."costs")
from (
	select json_object_agg('usual-extra-' || "place", "extra"->>'cost') as "costs"
	from "settings", json_array_elements("file"->'extras') with ordinality as "extras" ("extra", "place")
	where "extra"->>'cost' is not null
) as "known" where "known"."costs" is not null;--> statement-breakpoint
update "settings" set "file" = jsonb_set("file"::jsonb, '{extras}', (
	select jsonb_agg("extra" - 'cost' || jsonb_build_object('id', 'usual-extra-' || "place") order by "place")
	from jsonb_array_elements("file"::jsonb->'extras') with ordinality as "extras" ("extra", "place")
))::json where json_array_length("file"->'extras') > 0;--> statement-breakpoint
update "settings" set "file" = jsonb_set("file"::jsonb, '{fees}', (
	select jsonb_agg("fee" || jsonb_build_object('id', 'usual-fee-' || "place") order by "place")
	from jsonb_array_elements("file"::jsonb->'fees') with ordinality as "fees" ("fee", "place")
))::json where json_array_length("file"->'fees') > 0;
