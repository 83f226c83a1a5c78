CREATE TABLE "combo_versions" (
	"combo_id" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"combo" jsonb NOT NULL,
	CONSTRAINT "combo_versions_combo_id_at_pk" PRIMARY KEY("combo_id","at")
);
