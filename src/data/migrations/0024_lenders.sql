CREATE TABLE "lenders" (
	"key" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"place" integer NOT NULL,
	"programs" json NOT NULL,
	"mark" uuid DEFAULT gen_random_uuid() NOT NULL
);
