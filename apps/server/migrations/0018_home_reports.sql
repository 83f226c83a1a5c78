CREATE TABLE "home_reports" (
	"id" text PRIMARY KEY NOT NULL,
	"fighter_id" text NOT NULL,
	"session_id" text,
	"title" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"finished" integer NOT NULL,
	"rounds" integer NOT NULL,
	"effort" integer
);
--> statement-breakpoint
ALTER TABLE "home_reports" ADD CONSTRAINT "home_reports_fighter_id_fighters_id_fk" FOREIGN KEY ("fighter_id") REFERENCES "public"."fighters"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "home_reports_of_fighter" ON "home_reports" USING btree ("fighter_id","at");