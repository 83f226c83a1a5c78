CREATE TABLE "seasons" (
	"id" text PRIMARY KEY NOT NULL,
	"title" text NOT NULL,
	"from" text NOT NULL,
	"until" text NOT NULL,
	"grading_day_id" text,
	"grade_ids" jsonb NOT NULL,
	"classes" jsonb NOT NULL,
	"minutes" double precision NOT NULL,
	"edits" jsonb NOT NULL,
	"version" integer DEFAULT 1 NOT NULL
);
