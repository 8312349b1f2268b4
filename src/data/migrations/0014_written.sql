ALTER TABLE "palettes" ADD COLUMN "written" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "critiques" ADD COLUMN "written" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "finding_edits" ADD COLUMN "written" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "set_ups" ADD COLUMN "written" integer DEFAULT 0 NOT NULL;