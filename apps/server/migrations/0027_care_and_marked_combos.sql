ALTER TABLE "fighters" ADD COLUMN "care" jsonb;--> statement-breakpoint
ALTER TABLE "round_results" ADD COLUMN "combo_id" text;--> statement-breakpoint
ALTER TABLE "run_round_combos" ADD COLUMN "bpm" double precision;