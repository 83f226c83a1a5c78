ALTER TABLE "runs" ADD COLUMN "effort" integer;--> statement-breakpoint
ALTER TABLE "runs" ADD COLUMN "note" text;