CREATE TABLE "erased_people" (
	"mark" text PRIMARY KEY NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
UPDATE "removed_attempts" SET "id" = 'gone-' || substr(encode(sha256(convert_to("id", 'UTF8')), 'hex'), 1, 32) WHERE "id" !~ '^gone-[0-9a-f]{32}$';
