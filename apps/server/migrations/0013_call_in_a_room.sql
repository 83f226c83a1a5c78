ALTER TABLE "own_calls" ADD COLUMN "over_room" double precision;--> statement-breakpoint
ALTER TABLE "own_calls" ADD COLUMN "cut_off" text;