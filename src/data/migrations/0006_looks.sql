CREATE TABLE "looks" (
	"id" text PRIMARY KEY NOT NULL,
	"exercise_id" text NOT NULL,
	"student_id" text NOT NULL,
	"picture_hash" text NOT NULL,
	"look" jsonb NOT NULL,
	"marks" jsonb,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "looks" ADD CONSTRAINT "looks_exercise_id_exercises_id_fk" FOREIGN KEY ("exercise_id") REFERENCES "public"."exercises"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "looks" ADD CONSTRAINT "looks_student_id_students_id_fk" FOREIGN KEY ("student_id") REFERENCES "public"."students"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "looks" ADD CONSTRAINT "looks_picture_hash_files_hash_fk" FOREIGN KEY ("picture_hash") REFERENCES "public"."files"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "looks_exercise_student" ON "looks" USING btree ("exercise_id","student_id");