CREATE TABLE "audit_lines" (
	"id" text PRIMARY KEY NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"what" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "removed_attempts" (
	"id" text PRIMARY KEY NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "round_results" ALTER COLUMN "done" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "attempts" ADD COLUMN "told_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "fighters" ADD COLUMN "fit_reason" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "fighters" ADD COLUMN "fit_by" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "fighters" ADD COLUMN "fit_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "gyms" ADD COLUMN "grades_version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "gyms" ADD COLUMN "numbers_version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "moves" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "run_events" ADD COLUMN "told_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "technique_lists" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "tests" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "themes" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;