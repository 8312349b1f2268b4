CREATE TABLE "finding_edits" (
	"attempt_id" text NOT NULL,
	"key" text NOT NULL,
	"say" text,
	"action" text,
	"dropped" boolean DEFAULT false NOT NULL,
	CONSTRAINT "finding_edits_attempt_id_key_pk" PRIMARY KEY("attempt_id","key")
);
--> statement-breakpoint
ALTER TABLE "critiques" ADD COLUMN "letter" jsonb;--> statement-breakpoint
ALTER TABLE "finding_edits" ADD CONSTRAINT "finding_edits_attempt_id_critiques_attempt_id_fk" FOREIGN KEY ("attempt_id") REFERENCES "public"."critiques"("attempt_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
-- Flipped shapes get an id of their own: the middle of their box on a grid of twenty.
UPDATE "measurements" m SET "result" = jsonb_set(m."result", '{regions}', coalesce((
	SELECT jsonb_agg(r.region || jsonb_build_object('id', r.place || CASE WHEN r.n = 1 THEN '' ELSE '.' || r.n END) ORDER BY r.ord)
	FROM (
		SELECT e.region, e.ord, p.place, row_number() OVER (PARTITION BY p.place ORDER BY e.ord) AS n
		FROM jsonb_array_elements(m."result"->'regions') WITH ORDINALITY AS e(region, ord)
		CROSS JOIN LATERAL (
			SELECT floor(20 * least(0.9999, greatest(0, (e.region->'box'->>'x')::float8 + (e.region->'box'->>'width')::float8 / 2)))::int
				|| '.' ||
				floor(20 * least(0.9999, greatest(0, (e.region->'box'->>'y')::float8 + (e.region->'box'->>'height')::float8 / 2)))::int AS place
		) p
	) r
), '[]'::jsonb)) WHERE m."result"->>'kind' = 'notan';
--> statement-breakpoint
-- A stored result holds what was measured and nothing that is said of it.
UPDATE "measurements" SET "version" = 2, "result" = ("result" - 'findings') || '{"version": 2}'::jsonb;
--> statement-breakpoint
CREATE TEMPORARY TABLE "keyed_items" AS
SELECT k.*, k.plain || CASE WHEN k.n = 1 THEN '' ELSE ' (' || k.n || ')' END AS "key" FROM (
	SELECT s.*, row_number() OVER (PARTITION BY s."attempt_id", s.plain ORDER BY s."position") AS n FROM (
		SELECT i.*, i."original"->>'code' || CASE
			WHEN i."original"->>'code' = 'flipped_shape' THEN coalesce((
				SELECT ' shape ' || (region->>'id') FROM "measurements" m
				CROSS JOIN LATERAL jsonb_array_elements(m."result"->'regions') AS region
				WHERE m."attempt_id" = i."attempt_id" AND region->'box' = i."original"->'where'->'box' LIMIT 1), '')
			WHEN i."original"->>'code' IN ('outside_steps', 'pair_crossed', 'overlap_lighter')
				THEN ' shape ' || (i."original"->'where'->>'shape')
			WHEN i."original"->>'code' IN ('missing_tone', 'uneven_tone', 'tone_share')
				THEN ' tone ' || (i."original"->'evidence'->>'tone')
			WHEN jsonb_array_length(i."original"->'where'->'steps') > 0
				THEN ' steps ' || (SELECT string_agg(step, '-' ORDER BY step::int) FROM jsonb_array_elements_text(i."original"->'where'->'steps') AS step)
			ELSE '' END AS plain
		FROM "critique_items" i
	) s
) k;
--> statement-breakpoint
-- What a teacher changed hangs on the key of the finding from now on, and no longer on a place in a list.
INSERT INTO "finding_edits" ("attempt_id", "key", "say", "action", "dropped")
SELECT "attempt_id", "key", "say", "action", "dropped" FROM "keyed_items"
WHERE "say" IS NOT NULL OR "action" IS NOT NULL OR "dropped";
--> statement-breakpoint
-- What was sent stays word for word as it was sent.
UPDATE "critiques" c SET "letter" = jsonb_build_object('version', 1, 'items', coalesce((
	SELECT jsonb_agg(jsonb_build_object(
		'original', k."original" || jsonb_build_object('key', k."key"),
		'say', k."say", 'action', k."action", 'dropped', k."dropped") ORDER BY k."position")
	FROM "keyed_items" k WHERE k."attempt_id" = c."attempt_id"
), '[]'::jsonb)) WHERE c."sent_at" IS NOT NULL;
--> statement-breakpoint
DROP TABLE "keyed_items";--> statement-breakpoint
DROP TABLE "critique_items" CASCADE;
