CREATE TABLE "grading_days" (
	"id" text PRIMARY KEY NOT NULL,
	"title" text NOT NULL,
	"day" text NOT NULL,
	"candidates" jsonb NOT NULL,
	"held" boolean DEFAULT false NOT NULL,
	"version" integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE TABLE "asked_questions" (
	"key" text PRIMARY KEY NOT NULL,
	"sentence" text NOT NULL,
	"day" text NOT NULL,
	"answered_at" timestamp with time zone
);
