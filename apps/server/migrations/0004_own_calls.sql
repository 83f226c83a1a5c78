CREATE TABLE "own_calls" (
	"text" text PRIMARY KEY NOT NULL,
	"wav" text NOT NULL,
	"seconds" double precision NOT NULL,
	"centre" double precision NOT NULL,
	"updated_at" timestamp with time zone NOT NULL
);
