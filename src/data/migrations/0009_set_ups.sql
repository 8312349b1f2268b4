CREATE TABLE "set_ups" (
	"id" text PRIMARY KEY NOT NULL,
	"teacher_id" text NOT NULL,
	"title" text NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"set_up" jsonb NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "exercises" ADD COLUMN "set_up_id" text;--> statement-breakpoint
ALTER TABLE "attempts" ADD COLUMN "masses" jsonb;--> statement-breakpoint
ALTER TABLE "attempts" ADD COLUMN "frame_is_dark" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "set_ups" ADD CONSTRAINT "set_ups_teacher_id_user_id_fk" FOREIGN KEY ("teacher_id") REFERENCES "public"."user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "set_ups_teacher" ON "set_ups" USING btree ("teacher_id");--> statement-breakpoint
ALTER TABLE "exercises" ADD CONSTRAINT "exercises_set_up_id_set_ups_id_fk" FOREIGN KEY ("set_up_id") REFERENCES "public"."set_ups"("id") ON DELETE set null ON UPDATE no action;