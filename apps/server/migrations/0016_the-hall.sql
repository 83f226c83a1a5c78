CREATE TABLE "doors" (
	"id" text PRIMARY KEY NOT NULL,
	"passphrase" text NOT NULL,
	"secret" text NOT NULL,
	"set_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "hall_codes" (
	"code" text PRIMARY KEY NOT NULL,
	"run_id" text NOT NULL,
	CONSTRAINT "hall_codes_run_id_unique" UNIQUE("run_id")
);
--> statement-breakpoint
CREATE TABLE "hall_messages" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"created_at" timestamp with time zone DEFAULT now(),
	"payload" "bytea"
);
--> statement-breakpoint
ALTER TABLE "hall_codes" ADD CONSTRAINT "hall_codes_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE cascade ON UPDATE no action;