CREATE TABLE "technique_lists" (
	"grade_id" text PRIMARY KEY NOT NULL,
	"techniques" jsonb NOT NULL
);
--> statement-breakpoint
ALTER TABLE "combos" ADD COLUMN "focus" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "combos" ADD COLUMN "cycle_beats" double precision;--> statement-breakpoint
ALTER TABLE "combos" ADD COLUMN "contact" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "combos" ADD COLUMN "variant" jsonb;--> statement-breakpoint
ALTER TABLE "technique_lists" ADD CONSTRAINT "technique_lists_grade_id_grades_id_fk" FOREIGN KEY ("grade_id") REFERENCES "public"."grades"("id") ON DELETE cascade ON UPDATE no action;