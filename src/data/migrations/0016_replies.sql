CREATE TABLE "replies" (
	"attempt_id" text PRIMARY KEY NOT NULL,
	"about" text,
	"text" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"answer" text,
	"answered_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "replies" ADD CONSTRAINT "replies_attempt_id_attempts_id_fk" FOREIGN KEY ("attempt_id") REFERENCES "public"."attempts"("id") ON DELETE cascade ON UPDATE no action;