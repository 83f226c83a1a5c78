ALTER TABLE "gyms" ADD COLUMN "school" jsonb;--> statement-breakpoint
ALTER TABLE "moves" ADD COLUMN "retired" boolean DEFAULT false NOT NULL;