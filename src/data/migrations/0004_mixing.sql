CREATE TABLE "dab_checks" (
	"id" text PRIMARY KEY NOT NULL,
	"exercise_id" text NOT NULL,
	"student_id" text NOT NULL,
	"step" integer NOT NULL,
	"lightness" double precision NOT NULL,
	"a" double precision NOT NULL,
	"b" double precision NOT NULL,
	"uncertainty" double precision NOT NULL,
	"wet" boolean NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "mixes" (
	"id" text PRIMARY KEY NOT NULL,
	"class_id" text NOT NULL,
	"medium" text NOT NULL,
	"mix" jsonb NOT NULL,
	"source" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "palettes" (
	"class_id" text NOT NULL,
	"medium" text NOT NULL,
	"paints" jsonb NOT NULL,
	"figures" jsonb NOT NULL,
	"fit" jsonb,
	CONSTRAINT "palettes_class_id_medium_pk" PRIMARY KEY("class_id","medium")
);
--> statement-breakpoint
ALTER TABLE "dab_checks" ADD CONSTRAINT "dab_checks_exercise_id_exercises_id_fk" FOREIGN KEY ("exercise_id") REFERENCES "public"."exercises"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "dab_checks" ADD CONSTRAINT "dab_checks_student_id_students_id_fk" FOREIGN KEY ("student_id") REFERENCES "public"."students"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mixes" ADD CONSTRAINT "mixes_class_id_classes_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classes"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "palettes" ADD CONSTRAINT "palettes_class_id_classes_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classes"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "dab_checks_student" ON "dab_checks" USING btree ("exercise_id","student_id");--> statement-breakpoint
CREATE INDEX "mixes_class" ON "mixes" USING btree ("class_id","medium");