ALTER TABLE "link_note" ADD COLUMN "copy_sha256" text;--> statement-breakpoint
ALTER TABLE "link_note" ADD COLUMN "copy_name" text;--> statement-breakpoint
ALTER TABLE "link_note" ADD COLUMN "copied_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "link_note" ADD CONSTRAINT "link_note_copy_sha256_content_sha256_fk" FOREIGN KEY ("copy_sha256") REFERENCES "public"."content"("sha256") ON DELETE no action ON UPDATE no action;