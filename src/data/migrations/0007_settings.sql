CREATE TABLE "settings" (
	"id" integer PRIMARY KEY NOT NULL,
	"file" json NOT NULL,
	"version" integer NOT NULL,
	"changed_at" timestamp with time zone NOT NULL,
	CONSTRAINT "settings_one_row" CHECK ("settings"."id" = 1)
);
