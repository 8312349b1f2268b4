CREATE TABLE "corrections" (
	"id" text PRIMARY KEY NOT NULL,
	"attempt_id" text NOT NULL,
	"picture_hash" text NOT NULL,
	"name" text NOT NULL,
	"layers" jsonb NOT NULL,
	"set_aside" text,
	"with_letter" boolean DEFAULT false NOT NULL,
	"written" integer DEFAULT 0 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "corrections" ADD CONSTRAINT "corrections_attempt_id_critiques_attempt_id_fk" FOREIGN KEY ("attempt_id") REFERENCES "public"."critiques"("attempt_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "corrections" ADD CONSTRAINT "corrections_picture_hash_files_hash_fk" FOREIGN KEY ("picture_hash") REFERENCES "public"."files"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "corrections_attempt" ON "corrections" USING btree ("attempt_id");--> statement-breakpoint
CREATE INDEX "corrections_picture" ON "corrections" USING btree ("picture_hash");--> statement-breakpoint
CREATE UNIQUE INDEX "corrections_letter" ON "corrections" USING btree ("attempt_id") WHERE with_letter;