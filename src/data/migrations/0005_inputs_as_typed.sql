ALTER TABLE "options" ALTER COLUMN "inputs" SET DATA TYPE json;--> statement-breakpoint
-- Long inputs are not packed: that takes the database as long as all the rest of a save.
ALTER TABLE "options" ALTER COLUMN "inputs" SET STORAGE EXTERNAL;
