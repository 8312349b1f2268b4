CREATE TABLE "invitations" (
	"mark" text PRIMARY KEY NOT NULL,
	"invited_by" text NOT NULL,
	"used_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "opinions" (
	"id" text PRIMARY KEY NOT NULL,
	"attempt_id" text NOT NULL,
	"asked_by" text NOT NULL,
	"of_teacher" text NOT NULL,
	"hides_name" boolean DEFAULT true NOT NULL,
	"question" text NOT NULL,
	"word" text,
	"verdict" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"answered_at" timestamp with time zone,
	CONSTRAINT "opinions_verdict" CHECK ("opinions"."verdict" is null or "opinions"."verdict" in ('pass', 'again'))
);
--> statement-breakpoint
ALTER TABLE "invitations" ADD CONSTRAINT "invitations_invited_by_user_id_fk" FOREIGN KEY ("invited_by") REFERENCES "public"."user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "opinions" ADD CONSTRAINT "opinions_attempt_id_critiques_attempt_id_fk" FOREIGN KEY ("attempt_id") REFERENCES "public"."critiques"("attempt_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "opinions" ADD CONSTRAINT "opinions_asked_by_user_id_fk" FOREIGN KEY ("asked_by") REFERENCES "public"."user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "opinions" ADD CONSTRAINT "opinions_of_teacher_user_id_fk" FOREIGN KEY ("of_teacher") REFERENCES "public"."user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "opinions_once" ON "opinions" USING btree ("attempt_id","of_teacher");--> statement-breakpoint
CREATE INDEX "opinions_of" ON "opinions" USING btree ("of_teacher");--> statement-breakpoint
CREATE INDEX "opinions_asked_by" ON "opinions" USING btree ("asked_by");