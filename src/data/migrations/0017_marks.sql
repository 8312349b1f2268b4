CREATE TABLE "marks" (
	"id" text PRIMARY KEY NOT NULL,
	"attempt_id" text NOT NULL,
	"mark" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "marks" ADD CONSTRAINT "marks_attempt_id_critiques_attempt_id_fk" FOREIGN KEY ("attempt_id") REFERENCES "public"."critiques"("attempt_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "marks_attempt" ON "marks" USING btree ("attempt_id");