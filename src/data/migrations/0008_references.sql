CREATE TABLE "readings" (
	"id" text PRIMARY KEY NOT NULL,
	"exercise_id" text NOT NULL,
	"hand_in_id" text,
	"mask_hash" text NOT NULL,
	"tone" integer NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "reference_pictures" (
	"id" text PRIMARY KEY NOT NULL,
	"teacher_id" text NOT NULL,
	"title" text NOT NULL,
	"source" text NOT NULL,
	"licence" text NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"picture_hash" text NOT NULL,
	"working_hash" text NOT NULL,
	"small_hash" text NOT NULL,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	"preparation" jsonb NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "exercises" ADD COLUMN "reference_id" text;--> statement-breakpoint
ALTER TABLE "measurements" ADD COLUMN "against" jsonb;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_exercise_id_exercises_id_fk" FOREIGN KEY ("exercise_id") REFERENCES "public"."exercises"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_hand_in_id_hand_ins_id_fk" FOREIGN KEY ("hand_in_id") REFERENCES "public"."hand_ins"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_mask_hash_files_hash_fk" FOREIGN KEY ("mask_hash") REFERENCES "public"."files"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reference_pictures" ADD CONSTRAINT "reference_pictures_teacher_id_user_id_fk" FOREIGN KEY ("teacher_id") REFERENCES "public"."user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reference_pictures" ADD CONSTRAINT "reference_pictures_picture_hash_files_hash_fk" FOREIGN KEY ("picture_hash") REFERENCES "public"."files"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reference_pictures" ADD CONSTRAINT "reference_pictures_working_hash_files_hash_fk" FOREIGN KEY ("working_hash") REFERENCES "public"."files"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reference_pictures" ADD CONSTRAINT "reference_pictures_small_hash_files_hash_fk" FOREIGN KEY ("small_hash") REFERENCES "public"."files"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "readings_exercise" ON "readings" USING btree ("exercise_id");--> statement-breakpoint
CREATE INDEX "reference_pictures_teacher" ON "reference_pictures" USING btree ("teacher_id");--> statement-breakpoint
ALTER TABLE "exercises" ADD CONSTRAINT "exercises_reference_id_reference_pictures_id_fk" FOREIGN KEY ("reference_id") REFERENCES "public"."reference_pictures"("id") ON DELETE set null ON UPDATE no action;