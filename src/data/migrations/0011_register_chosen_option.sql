ALTER TABLE "register_lines" ADD COLUMN "plan_kind" text;--> statement-breakpoint
ALTER TABLE "register_lines" ADD COLUMN "chosen_name" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "register_lines" ADD COLUMN "option_count" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
-- What is new of a line is made with its figures; those of signed deals as well, this once.
update "register_lines" set "made_by" = null;
