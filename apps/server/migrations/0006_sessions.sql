CREATE TABLE "class_sheets" (
	"session_id" text PRIMARY KEY NOT NULL,
	"sheet" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "library_items" (
	"id" text PRIMARY KEY NOT NULL,
	"title" text NOT NULL,
	"rounds" jsonb NOT NULL,
	"updated_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "themes" (
	"id" text PRIMARY KEY NOT NULL,
	"title" text NOT NULL,
	"from" text NOT NULL,
	"until" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "fighters" ADD COLUMN "height" double precision;--> statement-breakpoint
ALTER TABLE "fighters" ADD COLUMN "apart" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "groups" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "class_sheets" ADD CONSTRAINT "class_sheets_session_id_sessions_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."sessions"("id") ON DELETE cascade ON UPDATE no action;