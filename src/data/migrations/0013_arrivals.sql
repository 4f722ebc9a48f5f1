CREATE TABLE "arrivals" (
	"id" uuid PRIMARY KEY NOT NULL
);
--> statement-breakpoint
ALTER TABLE "deals" ADD COLUMN "arrival" uuid;--> statement-breakpoint
CREATE INDEX "deals_arrival" ON "deals" USING btree ("arrival") WHERE "deals"."arrival" is not null;