CREATE TABLE "recordings" (
	"attempt_id" text PRIMARY KEY NOT NULL,
	"sound" "bytea" NOT NULL,
	"seconds" double precision NOT NULL,
	"from" double precision NOT NULL
);
--> statement-breakpoint
ALTER TABLE "attempts" ADD COLUMN "value" double precision;--> statement-breakpoint
ALTER TABLE "recordings" ADD CONSTRAINT "recordings_attempt_id_attempts_id_fk" FOREIGN KEY ("attempt_id") REFERENCES "public"."attempts"("id") ON DELETE cascade ON UPDATE no action;