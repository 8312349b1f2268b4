ALTER TABLE "classes" ADD COLUMN "meetings" jsonb;--> statement-breakpoint
ALTER TABLE "exercises" ADD COLUMN "placing" jsonb;