ALTER TABLE "attempts" ADD COLUMN "said" integer;--> statement-breakpoint
ALTER TABLE "attempts" ADD COLUMN "measured" text DEFAULT 'taps' NOT NULL;--> statement-breakpoint
ALTER TABLE "attempts" ADD COLUMN "history" jsonb DEFAULT '[]'::jsonb NOT NULL;