CREATE TABLE "remarks" (
	"id" text PRIMARY KEY NOT NULL,
	"teacher_id" text NOT NULL,
	"key" text NOT NULL,
	"kind" text NOT NULL,
	"say" text NOT NULL,
	"action" text DEFAULT '' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "remarks_kind" CHECK ("remarks"."kind" in ('works', 'fix'))
);
--> statement-breakpoint
CREATE TABLE "own_findings" (
	"id" text PRIMARY KEY NOT NULL,
	"attempt_id" text NOT NULL,
	"kind" text NOT NULL,
	"say" text NOT NULL,
	"action" text DEFAULT '' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "own_findings_kind" CHECK ("own_findings"."kind" in ('works', 'fix'))
);
--> statement-breakpoint
ALTER TABLE "classes" ADD COLUMN "register" text DEFAULT 'beginners' NOT NULL;--> statement-breakpoint
ALTER TABLE "hand_ins" ADD COLUMN "register" text;--> statement-breakpoint
ALTER TABLE "remarks" ADD CONSTRAINT "remarks_teacher_id_user_id_fk" FOREIGN KEY ("teacher_id") REFERENCES "public"."user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "own_findings" ADD CONSTRAINT "own_findings_attempt_id_critiques_attempt_id_fk" FOREIGN KEY ("attempt_id") REFERENCES "public"."critiques"("attempt_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "remarks_key" ON "remarks" USING btree ("teacher_id","key");--> statement-breakpoint
CREATE INDEX "own_findings_attempt" ON "own_findings" USING btree ("attempt_id");--> statement-breakpoint
ALTER TABLE "classes" ADD CONSTRAINT "classes_register" CHECK ("classes"."register" in ('children', 'beginners', 'advanced'));--> statement-breakpoint
ALTER TABLE "hand_ins" ADD CONSTRAINT "hand_ins_register" CHECK ("hand_ins"."register" in ('children', 'beginners', 'advanced'));