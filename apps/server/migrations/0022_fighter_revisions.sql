CREATE TABLE "fighter_revisions" (
	"fighter_id" text PRIMARY KEY NOT NULL,
	"revision" uuid NOT NULL
);
--> statement-breakpoint
CREATE FUNCTION "advance_fighter_revisions"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO "fighter_revisions" ("fighter_id", "revision")
  SELECT "fighter_id", gen_random_uuid() FROM (SELECT DISTINCT "fighter_id" FROM "changed" ORDER BY "fighter_id") "whose"
  ON CONFLICT ("fighter_id") DO UPDATE SET "revision" = excluded."revision";
  RETURN NULL;
END $$;
--> statement-breakpoint
CREATE FUNCTION "advance_own_revision"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_OP = 'DELETE' THEN
    DELETE FROM "fighter_revisions" WHERE "fighter_id" = OLD."id";
  ELSE
    INSERT INTO "fighter_revisions" ("fighter_id", "revision") VALUES (NEW."id", gen_random_uuid())
    ON CONFLICT ("fighter_id") DO UPDATE SET "revision" = excluded."revision";
  END IF;
  RETURN NULL;
END $$;
--> statement-breakpoint
CREATE TRIGGER "attempts_added" AFTER INSERT ON "attempts" REFERENCING NEW TABLE AS "changed" FOR EACH STATEMENT EXECUTE FUNCTION "advance_fighter_revisions"();
--> statement-breakpoint
CREATE TRIGGER "attempts_changed" AFTER UPDATE ON "attempts" REFERENCING NEW TABLE AS "changed" FOR EACH STATEMENT EXECUTE FUNCTION "advance_fighter_revisions"();
--> statement-breakpoint
CREATE TRIGGER "attempts_was" AFTER UPDATE ON "attempts" REFERENCING OLD TABLE AS "changed" FOR EACH STATEMENT EXECUTE FUNCTION "advance_fighter_revisions"();
--> statement-breakpoint
CREATE TRIGGER "attempts_gone" AFTER DELETE ON "attempts" REFERENCING OLD TABLE AS "changed" FOR EACH STATEMENT EXECUTE FUNCTION "advance_fighter_revisions"();
--> statement-breakpoint
CREATE TRIGGER "round_results_added" AFTER INSERT ON "round_results" REFERENCING NEW TABLE AS "changed" FOR EACH STATEMENT EXECUTE FUNCTION "advance_fighter_revisions"();
--> statement-breakpoint
CREATE TRIGGER "round_results_changed" AFTER UPDATE ON "round_results" REFERENCING NEW TABLE AS "changed" FOR EACH STATEMENT EXECUTE FUNCTION "advance_fighter_revisions"();
--> statement-breakpoint
CREATE TRIGGER "round_results_was" AFTER UPDATE ON "round_results" REFERENCING OLD TABLE AS "changed" FOR EACH STATEMENT EXECUTE FUNCTION "advance_fighter_revisions"();
--> statement-breakpoint
CREATE TRIGGER "round_results_gone" AFTER DELETE ON "round_results" REFERENCING OLD TABLE AS "changed" FOR EACH STATEMENT EXECUTE FUNCTION "advance_fighter_revisions"();
--> statement-breakpoint
CREATE TRIGGER "fighters_changed" AFTER INSERT OR UPDATE OR DELETE ON "fighters" FOR EACH ROW EXECUTE FUNCTION "advance_own_revision"();
