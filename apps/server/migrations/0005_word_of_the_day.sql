ALTER TABLE "runs" ADD COLUMN "word" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "word" text DEFAULT '' NOT NULL;