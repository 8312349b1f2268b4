ALTER TABLE "attempts" ADD COLUMN "terms" jsonb;--> statement-breakpoint
ALTER TABLE "classes" ADD COLUMN "under_sixteen" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "classes" ADD COLUMN "school" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "exercises" ADD COLUMN "revision" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "exercises" ADD COLUMN "override_reason" text;