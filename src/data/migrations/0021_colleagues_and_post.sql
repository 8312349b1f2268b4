CREATE TABLE "two_factor" (
	"id" text PRIMARY KEY NOT NULL,
	"secret" text NOT NULL,
	"backup_codes" text NOT NULL,
	"user_id" text NOT NULL,
	"verified" boolean DEFAULT false NOT NULL,
	"failed_verification_count" integer DEFAULT 0 NOT NULL,
	"locked_until" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "chronicle" (
	"id" text PRIMARY KEY NOT NULL,
	"teacher_id" text NOT NULL,
	"did" text NOT NULL,
	"class_id" text NOT NULL,
	"student_id" text,
	"exercise_id" text,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "chronicle_did" CHECK ("chronicle"."did" in ('looked', 'looked-at-record', 'took-out-student', 'took-out-class', 'took-out-results', 'took-out-post', 'announced', 'drafted', 'decided', 'withdrew', 'sent', 'fetched-back', 'answered', 'set-exercise', 'revised-exercise', 'allowed', 'noted', 'graded', 'enrolled', 'new-code', 'deleted-student', 'changed-class', 'shared-class', 'unshared-class', 'opened-calendar', 'closed-calendar'))
);
--> statement-breakpoint
CREATE TABLE "class_teachers" (
	"class_id" text NOT NULL,
	"teacher_id" text NOT NULL,
	CONSTRAINT "class_teachers_class_id_teacher_id_pk" PRIMARY KEY("class_id","teacher_id")
);
--> statement-breakpoint
CREATE TABLE "grades" (
	"attempt_id" text NOT NULL,
	"criterion" text NOT NULL,
	"name" text NOT NULL,
	"points" double precision,
	"most" double precision,
	"level" text,
	"figure" text,
	"figure_value" double precision,
	"measured_at" timestamp with time zone,
	"given_by" text,
	"given_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "grades_attempt_id_criterion_pk" PRIMARY KEY("attempt_id","criterion")
);
--> statement-breakpoint
CREATE TABLE "student_notes" (
	"id" text PRIMARY KEY NOT NULL,
	"student_id" text NOT NULL,
	"text" text NOT NULL,
	"written_by" text,
	"written" integer DEFAULT 0 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "addresses" (
	"student_id" text PRIMARY KEY NOT NULL,
	"address" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "announcements" (
	"id" text PRIMARY KEY NOT NULL,
	"class_id" text NOT NULL,
	"title" text NOT NULL,
	"text" text NOT NULL,
	"written_by" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "feeds" (
	"mark" text PRIMARY KEY NOT NULL,
	"class_id" text NOT NULL,
	"student_id" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "posted" (
	"attempt_id" text PRIMARY KEY NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "students" DROP CONSTRAINT "students_user_id_unique";--> statement-breakpoint
ALTER TABLE "classes" ADD COLUMN "scheme" jsonb;--> statement-breakpoint
ALTER TABLE "decisions" ADD COLUMN "decided_by" text;--> statement-breakpoint
ALTER TABLE "user" ADD COLUMN "standing" text;--> statement-breakpoint
ALTER TABLE "user" ADD COLUMN "two_factor_enabled" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "invitations" ADD COLUMN "standing" text DEFAULT 'teacher' NOT NULL;--> statement-breakpoint
ALTER TABLE "two_factor" ADD CONSTRAINT "two_factor_user_id_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "chronicle" ADD CONSTRAINT "chronicle_teacher_id_user_id_fk" FOREIGN KEY ("teacher_id") REFERENCES "public"."user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "chronicle" ADD CONSTRAINT "chronicle_class_id_classes_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classes"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "chronicle" ADD CONSTRAINT "chronicle_student_id_students_id_fk" FOREIGN KEY ("student_id") REFERENCES "public"."students"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "chronicle" ADD CONSTRAINT "chronicle_exercise_id_exercises_id_fk" FOREIGN KEY ("exercise_id") REFERENCES "public"."exercises"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "class_teachers" ADD CONSTRAINT "class_teachers_class_id_classes_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classes"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "class_teachers" ADD CONSTRAINT "class_teachers_teacher_id_user_id_fk" FOREIGN KEY ("teacher_id") REFERENCES "public"."user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "grades" ADD CONSTRAINT "grades_attempt_id_attempts_id_fk" FOREIGN KEY ("attempt_id") REFERENCES "public"."attempts"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "grades" ADD CONSTRAINT "grades_given_by_user_id_fk" FOREIGN KEY ("given_by") REFERENCES "public"."user"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "student_notes" ADD CONSTRAINT "student_notes_student_id_students_id_fk" FOREIGN KEY ("student_id") REFERENCES "public"."students"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "student_notes" ADD CONSTRAINT "student_notes_written_by_user_id_fk" FOREIGN KEY ("written_by") REFERENCES "public"."user"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "addresses" ADD CONSTRAINT "addresses_student_id_students_id_fk" FOREIGN KEY ("student_id") REFERENCES "public"."students"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "announcements" ADD CONSTRAINT "announcements_class_id_classes_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classes"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "announcements" ADD CONSTRAINT "announcements_written_by_user_id_fk" FOREIGN KEY ("written_by") REFERENCES "public"."user"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "feeds" ADD CONSTRAINT "feeds_class_id_classes_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classes"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "feeds" ADD CONSTRAINT "feeds_student_id_students_id_fk" FOREIGN KEY ("student_id") REFERENCES "public"."students"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "posted" ADD CONSTRAINT "posted_attempt_id_attempts_id_fk" FOREIGN KEY ("attempt_id") REFERENCES "public"."attempts"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "two_factor_user" ON "two_factor" USING btree ("user_id");--> statement-breakpoint
CREATE INDEX "chronicle_class" ON "chronicle" USING btree ("class_id","at");--> statement-breakpoint
CREATE INDEX "chronicle_student" ON "chronicle" USING btree ("student_id");--> statement-breakpoint
CREATE INDEX "chronicle_exercise" ON "chronicle" USING btree ("exercise_id");--> statement-breakpoint
CREATE INDEX "class_teachers_teacher" ON "class_teachers" USING btree ("teacher_id");--> statement-breakpoint
CREATE INDEX "student_notes_student" ON "student_notes" USING btree ("student_id");--> statement-breakpoint
CREATE INDEX "announcements_class" ON "announcements" USING btree ("class_id");--> statement-breakpoint
CREATE UNIQUE INDEX "feeds_class" ON "feeds" USING btree ("class_id") WHERE student_id is null;--> statement-breakpoint
CREATE UNIQUE INDEX "feeds_student" ON "feeds" USING btree ("student_id");--> statement-breakpoint
ALTER TABLE "decisions" ADD CONSTRAINT "decisions_decided_by_user_id_fk" FOREIGN KEY ("decided_by") REFERENCES "public"."user"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "students_user_class" ON "students" USING btree ("user_id","class_id");--> statement-breakpoint
UPDATE "user" SET "standing" = 'teacher' WHERE "role" = 'teacher';--> statement-breakpoint
UPDATE "user" SET "standing" = 'owner' WHERE "id" = (SELECT "id" FROM "user" WHERE "role" = 'teacher' ORDER BY "created_at", "id" LIMIT 1);--> statement-breakpoint
ALTER TABLE "user" ADD CONSTRAINT "user_standing" CHECK (("user"."role" = 'teacher') = ("user"."standing" is not null));--> statement-breakpoint
ALTER TABLE "user" ADD CONSTRAINT "user_standing_known" CHECK ("user"."standing" is null or "user"."standing" in ('owner', 'teacher', 'assistant'));