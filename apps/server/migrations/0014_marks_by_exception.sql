ALTER TABLE "round_results" ADD COLUMN "seconds" double precision;--> statement-breakpoint
ALTER TABLE "round_results" ADD COLUMN "lead" text;