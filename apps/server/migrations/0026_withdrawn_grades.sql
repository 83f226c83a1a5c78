ALTER TABLE "gradings" ADD COLUMN "reason" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "gradings" ADD COLUMN "previous_grade_id" text;--> statement-breakpoint
ALTER TABLE "gradings" ADD COLUMN "withdrawn" jsonb;