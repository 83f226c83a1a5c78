ALTER TABLE "tests" ADD COLUMN "unit" text;--> statement-breakpoint
ALTER TABLE "tests" ADD COLUMN "sides" text;