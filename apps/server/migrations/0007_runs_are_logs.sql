ALTER TABLE "gyms" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "combos" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "fighters" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "held_rounds" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "seconds" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "class_sheets" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "library_items" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "runs" ADD COLUMN "group_of" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
CREATE TABLE "run_events" (
	"run_id" text NOT NULL,
	"sequence" integer NOT NULL,
	"id" text NOT NULL,
	"kind" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"received_at" timestamp with time zone NOT NULL,
	"data" jsonb NOT NULL,
	CONSTRAINT "run_events_run_id_sequence_pk" PRIMARY KEY("run_id","sequence"),
	CONSTRAINT "run_event_once" UNIQUE("run_id","id")
);
--> statement-breakpoint
CREATE TABLE "run_rounds" (
	"run_id" text NOT NULL,
	"round" integer NOT NULL,
	"title" text NOT NULL,
	"kind" text NOT NULL,
	"bpm" double precision,
	CONSTRAINT "run_rounds_run_id_round_pk" PRIMARY KEY("run_id","round")
);
--> statement-breakpoint
CREATE TABLE "run_round_combos" (
	"run_id" text NOT NULL,
	"round" integer NOT NULL,
	"place" integer NOT NULL,
	"block" integer NOT NULL,
	"group_name" text NOT NULL,
	"combo_id" text NOT NULL,
	CONSTRAINT "run_round_combos_run_id_round_place_pk" PRIMARY KEY("run_id","round","place")
);
--> statement-breakpoint
CREATE TABLE "tests" (
	"id" text PRIMARY KEY NOT NULL,
	"title" text NOT NULL,
	"kind" text NOT NULL,
	"line" text,
	"seconds" double precision NOT NULL,
	"direction" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "run_events" ADD CONSTRAINT "run_events_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "run_rounds" ADD CONSTRAINT "run_rounds_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "run_round_combos" ADD CONSTRAINT "run_round_combos_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
-- The log of a run that was kept as a clock: its start, where it was noted last, and its end.
INSERT INTO "run_events" ("run_id", "sequence", "id", "kind", "at", "received_at", "data")
SELECT "run_id", row_number() OVER (PARTITION BY "run_id" ORDER BY "at", "rank", "id"), "id", "kind", "at", "at", "data" FROM (
	SELECT r."id" AS "run_id", 0 AS "rank", 'kept-start' AS "id", 'start' AS "kind", r."started_at" AS "at", '{"round": 0, "position": 0}'::jsonb AS "data"
	FROM "runs" r WHERE r."clock" IS NOT NULL AND jsonb_typeof(r."clock") = 'object'
	UNION ALL
	SELECT r."id", 1, 'kept-clock', CASE WHEN (r."clock"->>'running')::boolean THEN 'go-on' ELSE 'hold' END, (r."clock"->>'at')::timestamptz,
		jsonb_build_object('round', r."clock"->'round', 'position', r."clock"->'position')
	FROM "runs" r WHERE r."clock" IS NOT NULL AND jsonb_typeof(r."clock") = 'object'
	UNION ALL
	SELECT r."id", 2, 'kept-shift-' || s."n", 'tempo', (r."clock"->>'at')::timestamptz,
		jsonb_build_object('round', r."clock"->'round', 'position', s."shift"->'from', 'by', s."shift"->'by')
	FROM "runs" r, jsonb_array_elements(coalesce(r."clock"->'shifts', '[]'::jsonb)) WITH ORDINALITY AS s("shift", "n")
	WHERE r."clock" IS NOT NULL AND jsonb_typeof(r."clock") = 'object'
	UNION ALL
	SELECT m."run_id", 3, 'mark-' || m."round" || '-' || m."fighter_id", 'mark', m."at",
		jsonb_build_object('resultId', m."id", 'round', m."round", 'fighterId', m."fighter_id", 'done', m."done", 'quality', m."quality")
	FROM "round_results" m
	UNION ALL
	SELECT a."run_id", 4, 'burst-' || a."id", 'burst', a."at", jsonb_build_object('attemptId', a."id", 'fighterId', a."fighter_id")
	FROM "attempts" a WHERE a."run_id" IS NOT NULL
	UNION ALL
	SELECT r."id", 5, 'kept-end', 'end', r."ended_at", '{}'::jsonb
	FROM "runs" r WHERE r."ended_at" IS NOT NULL
) AS "kept";--> statement-breakpoint
ALTER TABLE "runs" DROP COLUMN "clock";--> statement-breakpoint
-- Rounds and their combos, as the log names them.
INSERT INTO "run_rounds" ("run_id", "round", "title", "kind", "bpm")
SELECT r."id", x."n" - 1, x."held"->>'title', x."held"->>'kind',
	(SELECT (b."block"->>'bpm')::double precision FROM jsonb_array_elements(x."held"->'blocks') AS b("block") WHERE b."block"->>'kind' = 'combo' LIMIT 1)
FROM "runs" r, jsonb_array_elements(r."rounds") WITH ORDINALITY AS x("held", "n");--> statement-breakpoint
INSERT INTO "run_round_combos" ("run_id", "round", "place", "block", "group_name", "combo_id")
SELECT "run_id", "round", row_number() OVER (PARTITION BY "run_id", "round" ORDER BY "b", "l", "c") - 1, "b" - 1, "group_name", "combo_id" FROM (
	SELECT r."id" AS "run_id", x."n" - 1 AS "round", b."n" AS "b", 0 AS "l", c."n" AS "c", '' AS "group_name", c."ref"->>'comboId' AS "combo_id"
	FROM "runs" r, jsonb_array_elements(r."rounds") WITH ORDINALITY AS x("held", "n"),
		jsonb_array_elements(x."held"->'blocks') WITH ORDINALITY AS b("block", "n"),
		jsonb_array_elements(b."block"->'combos') WITH ORDINALITY AS c("ref", "n")
	WHERE b."block"->>'kind' = 'combo' AND c."ref"->>'comboId' IS NOT NULL
	UNION ALL
	SELECT r."id", x."n" - 1, b."n", l."n", c."n", l."lane"->>'group', c."ref"->>'comboId'
	FROM "runs" r, jsonb_array_elements(r."rounds") WITH ORDINALITY AS x("held", "n"),
		jsonb_array_elements(x."held"->'blocks') WITH ORDINALITY AS b("block", "n"),
		jsonb_array_elements(coalesce(b."block"->'lanes', '[]'::jsonb)) WITH ORDINALITY AS l("lane", "n"),
		jsonb_array_elements(l."lane"->'combos') WITH ORDINALITY AS c("ref", "n")
	WHERE b."block"->>'kind' = 'combo' AND c."ref"->>'comboId' IS NOT NULL
) AS "named";--> statement-breakpoint
-- Who was in which group: that of the session which has the grade, else the one that is called like the grade.
UPDATE "runs" r SET "group_of" = coalesce((
	SELECT jsonb_object_agg(f."id", coalesce((
		SELECT g."group"->>'name' FROM "sessions" s, jsonb_array_elements(s."groups") AS g("group")
		WHERE s."id" = r."session_id" AND g."group"->'gradeIds' ? f."grade_id" LIMIT 1
	), d."name"))
	FROM jsonb_array_elements_text(r."fighter_ids") AS i("id") JOIN "fighters" f ON f."id" = i."id" JOIN "grades" d ON d."id" = f."grade_id"
), '{}'::jsonb);--> statement-breakpoint
-- What was measured, once for each title and length.
INSERT INTO "tests" ("id", "title", "kind", "line", "seconds", "direction")
SELECT DISTINCT 'burst-' || md5(a."title" || '/' || a."seconds"), a."title", 'burst', NULL, a."seconds", 'higher' FROM "attempts" a;--> statement-breakpoint
ALTER TABLE "attempts" ADD COLUMN "test_id" text;--> statement-breakpoint
ALTER TABLE "attempts" ADD COLUMN "count" integer;--> statement-breakpoint
UPDATE "attempts" a SET "test_id" = 'burst-' || md5(a."title" || '/' || a."seconds"),
	"count" = (SELECT count(*) FROM jsonb_array_elements(a."instants") AS i("at") WHERE (i."at")::double precision BETWEEN 0 AND a."seconds");--> statement-breakpoint
ALTER TABLE "attempts" ALTER COLUMN "test_id" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "attempts" ALTER COLUMN "count" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "attempts" ADD CONSTRAINT "attempts_test_id_tests_id_fk" FOREIGN KEY ("test_id") REFERENCES "public"."tests"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "attempts" DROP COLUMN "title";--> statement-breakpoint
ALTER TABLE "attempts" DROP COLUMN "seconds";--> statement-breakpoint
DROP INDEX "attempts_of_fighter";--> statement-breakpoint
DROP INDEX "round_results_of_fighter";--> statement-breakpoint
CREATE INDEX "attempts_of_fighter" ON "attempts" USING btree ("fighter_id","test_id","lead","at");--> statement-breakpoint
CREATE INDEX "round_results_of_fighter" ON "round_results" USING btree ("fighter_id","at");--> statement-breakpoint
CREATE INDEX "rounds_of_combo" ON "run_round_combos" USING btree ("combo_id");--> statement-breakpoint
CREATE INDEX "runs_by_start" ON "runs" USING btree ("started_at");--> statement-breakpoint
CREATE INDEX "runs_of_session" ON "runs" USING btree ("session_id");--> statement-breakpoint
CREATE INDEX "sessions_by_date" ON "sessions" USING btree ("planned_for");--> statement-breakpoint
CREATE INDEX "fighters_of_grade" ON "fighters" USING btree ("grade_id");--> statement-breakpoint
-- The lowest grade of a move is the grade itself, and no more its place among the adult ones.
UPDATE "moves" SET "move" = "move" || jsonb_build_object('minGrade', CASE WHEN ("move"->>'minGrade')::int > 0 THEN (
	SELECT g."id" FROM "grades" g WHERE g."band" = 'adults' ORDER BY g."position"
	LIMIT 1 OFFSET least(("move"->>'minGrade')::int, greatest((SELECT count(*) FROM "grades" WHERE "band" = 'adults') - 1, 0))
) END) WHERE jsonb_typeof("move"->'minGrade') = 'number';--> statement-breakpoint
-- What the moves that came with the product are for, in the words that rules ask for.
UPDATE "moves" SET "move" = "move" || jsonb_build_object('role', CASE "code"
	WHEN 'high' THEN 'high-block' WHEN 'cover' THEN 'cover' WHEN 'shove' THEN 'shove' WHEN 'guard' THEN 'guard' WHEN 'push' THEN 'shove' END)
WHERE NOT "move" ? 'role';
