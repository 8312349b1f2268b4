CREATE TABLE "printers" (
	"id" text PRIMARY KEY NOT NULL,
	"teacher_id" text NOT NULL,
	"name" text NOT NULL,
	"readings" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "shelf" (
	"teacher_id" text NOT NULL,
	"paint" text NOT NULL,
	"item" jsonb NOT NULL,
	CONSTRAINT "shelf_teacher_id_paint_pk" PRIMARY KEY("teacher_id","paint")
);
--> statement-breakpoint
ALTER TABLE "classes" ADD COLUMN "currency" text DEFAULT 'EUR' NOT NULL;--> statement-breakpoint
ALTER TABLE "printers" ADD CONSTRAINT "printers_teacher_id_user_id_fk" FOREIGN KEY ("teacher_id") REFERENCES "public"."user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shelf" ADD CONSTRAINT "shelf_teacher_id_user_id_fk" FOREIGN KEY ("teacher_id") REFERENCES "public"."user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "printers_teacher" ON "printers" USING btree ("teacher_id");