CREATE TABLE "goals" (
	"id" text PRIMARY KEY NOT NULL,
	"fighter_id" text NOT NULL,
	"test_id" text NOT NULL,
	"lead" text NOT NULL,
	"value" double precision NOT NULL,
	"by" text NOT NULL,
	"set_on" text NOT NULL,
	"told_on" text,
	"version" integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE TABLE "grade_requirements" (
	"grade_id" text PRIMARY KEY NOT NULL,
	"requirements" jsonb NOT NULL,
	"version" integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE TABLE "gradings" (
	"id" text PRIMARY KEY NOT NULL,
	"fighter_id" text NOT NULL,
	"grade_id" text NOT NULL,
	"grade" text NOT NULL,
	"day" text NOT NULL,
	"passed" boolean NOT NULL,
	"signed_by" text NOT NULL,
	"second_examiner" text DEFAULT '' NOT NULL,
	"note" text NOT NULL,
	"lines" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "recalls" (
	"id" text PRIMARY KEY NOT NULL,
	"fighter_id" text NOT NULL,
	"combo_id" text NOT NULL,
	"recall" text NOT NULL,
	"run_id" text,
	"at" timestamp with time zone NOT NULL,
	"card" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "shown_marks" (
	"fighter_id" text NOT NULL,
	"requirement_id" text NOT NULL,
	"day" text NOT NULL,
	"by" text NOT NULL,
	CONSTRAINT "shown_marks_fighter_id_requirement_id_pk" PRIMARY KEY("fighter_id","requirement_id")
);
--> statement-breakpoint
ALTER TABLE "goals" ADD CONSTRAINT "goals_fighter_id_fighters_id_fk" FOREIGN KEY ("fighter_id") REFERENCES "public"."fighters"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "goals" ADD CONSTRAINT "goals_test_id_tests_id_fk" FOREIGN KEY ("test_id") REFERENCES "public"."tests"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "grade_requirements" ADD CONSTRAINT "grade_requirements_grade_id_grades_id_fk" FOREIGN KEY ("grade_id") REFERENCES "public"."grades"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "gradings" ADD CONSTRAINT "gradings_fighter_id_fighters_id_fk" FOREIGN KEY ("fighter_id") REFERENCES "public"."fighters"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "recalls" ADD CONSTRAINT "recalls_fighter_id_fighters_id_fk" FOREIGN KEY ("fighter_id") REFERENCES "public"."fighters"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shown_marks" ADD CONSTRAINT "shown_marks_fighter_id_fighters_id_fk" FOREIGN KEY ("fighter_id") REFERENCES "public"."fighters"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "goals_of_fighter" ON "goals" USING btree ("fighter_id");--> statement-breakpoint
CREATE INDEX "gradings_of_fighter" ON "gradings" USING btree ("fighter_id","day");--> statement-breakpoint
CREATE INDEX "recalls_of_fighter" ON "recalls" USING btree ("fighter_id","combo_id","at");