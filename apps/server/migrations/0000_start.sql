CREATE TABLE "attempts" (
	"id" text PRIMARY KEY NOT NULL,
	"fighter_id" text NOT NULL,
	"run_id" text,
	"title" text NOT NULL,
	"lead" text NOT NULL,
	"seconds" double precision NOT NULL,
	"instants" jsonb NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "combos" (
	"id" text PRIMARY KEY NOT NULL,
	"grade_id" text NOT NULL,
	"number" integer NOT NULL,
	"title" text NOT NULL,
	"line" text NOT NULL,
	"bpm" double precision NOT NULL,
	"beats_per_bar" integer NOT NULL,
	"notes" text NOT NULL,
	"both_leads" boolean NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	CONSTRAINT "combo_number_in_grade" UNIQUE("grade_id","number")
);
--> statement-breakpoint
CREATE TABLE "fighters" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"grade_id" text NOT NULL,
	"lead" text NOT NULL,
	"note" text NOT NULL,
	"fit" boolean NOT NULL
);
--> statement-breakpoint
CREATE TABLE "grades" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"position" integer NOT NULL,
	"band" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "gyms" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"notice_accepted_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "moves" (
	"code" text PRIMARY KEY NOT NULL,
	"position" integer NOT NULL,
	"move" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "numbers" (
	"number" integer PRIMARY KEY NOT NULL,
	"code" text NOT NULL,
	"side" text
);
--> statement-breakpoint
CREATE TABLE "round_results" (
	"id" text NOT NULL,
	"run_id" text NOT NULL,
	"round" integer NOT NULL,
	"fighter_id" text NOT NULL,
	"done" text NOT NULL,
	"quality" text,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "round_results_run_id_round_fighter_id_pk" PRIMARY KEY("run_id","round","fighter_id")
);
--> statement-breakpoint
CREATE TABLE "runs" (
	"id" text PRIMARY KEY NOT NULL,
	"session_id" text NOT NULL,
	"title" text NOT NULL,
	"lead" text NOT NULL,
	"rounds" jsonb NOT NULL,
	"fighter_ids" jsonb NOT NULL,
	"started_at" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone,
	"clock" jsonb
);
--> statement-breakpoint
CREATE TABLE "sessions" (
	"id" text PRIMARY KEY NOT NULL,
	"title" text NOT NULL,
	"lead" text NOT NULL,
	"planned_for" timestamp with time zone,
	"rounds" jsonb NOT NULL,
	"updated_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "attempts" ADD CONSTRAINT "attempts_fighter_id_fighters_id_fk" FOREIGN KEY ("fighter_id") REFERENCES "public"."fighters"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "attempts" ADD CONSTRAINT "attempts_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "combos" ADD CONSTRAINT "combos_grade_id_grades_id_fk" FOREIGN KEY ("grade_id") REFERENCES "public"."grades"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "fighters" ADD CONSTRAINT "fighters_grade_id_grades_id_fk" FOREIGN KEY ("grade_id") REFERENCES "public"."grades"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "numbers" ADD CONSTRAINT "numbers_code_moves_code_fk" FOREIGN KEY ("code") REFERENCES "public"."moves"("code") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "round_results" ADD CONSTRAINT "round_results_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "round_results" ADD CONSTRAINT "round_results_fighter_id_fighters_id_fk" FOREIGN KEY ("fighter_id") REFERENCES "public"."fighters"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "runs" ADD CONSTRAINT "runs_session_id_sessions_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."sessions"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "attempts_of_fighter" ON "attempts" USING btree ("fighter_id");--> statement-breakpoint
CREATE INDEX "round_results_of_fighter" ON "round_results" USING btree ("fighter_id");