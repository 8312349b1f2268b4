CREATE TABLE "tray" (
	"id" text PRIMARY KEY NOT NULL,
	"class_id" text NOT NULL,
	"photo_hash" text NOT NULL,
	"small_hash" text NOT NULL,
	"orientation" integer NOT NULL,
	"name" text NOT NULL,
	"reason" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "attempts" ADD COLUMN "target" jsonb;--> statement-breakpoint
ALTER TABLE "classes" ADD COLUMN "card" jsonb;--> statement-breakpoint
ALTER TABLE "tray" ADD CONSTRAINT "tray_class_id_classes_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classes"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tray" ADD CONSTRAINT "tray_photo_hash_files_hash_fk" FOREIGN KEY ("photo_hash") REFERENCES "public"."files"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tray" ADD CONSTRAINT "tray_small_hash_files_hash_fk" FOREIGN KEY ("small_hash") REFERENCES "public"."files"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "tray_same_file" ON "tray" USING btree ("class_id","photo_hash");