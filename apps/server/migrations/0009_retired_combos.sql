ALTER TABLE "combos" DROP CONSTRAINT "combo_number_in_grade";--> statement-breakpoint
ALTER TABLE "combos" ADD COLUMN "retired" boolean DEFAULT false NOT NULL;--> statement-breakpoint
CREATE UNIQUE INDEX "combo_number_in_grade" ON "combos" USING btree ("grade_id","number") WHERE not retired;