CREATE TABLE "rulebook_preview" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"rulebook_id" uuid NOT NULL,
	"edit" integer NOT NULL,
	"asked_at" timestamp with time zone NOT NULL,
	"asked_by" text NOT NULL,
	"total" integer DEFAULT 0 NOT NULL,
	"done" integer DEFAULT 0 NOT NULL,
	"finished_at" timestamp with time zone,
	"failure" text,
	"effects" jsonb DEFAULT '[]'::jsonb NOT NULL
);
--> statement-breakpoint
ALTER TABLE "rulebook" ADD COLUMN "note" text;--> statement-breakpoint
ALTER TABLE "rulebook" ADD COLUMN "edit" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "rulebook" ADD COLUMN "edited_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "rulebook" ADD COLUMN "edited_by" text;--> statement-breakpoint
ALTER TABLE "rulebook_preview" ADD CONSTRAINT "rulebook_preview_rulebook_id_rulebook_id_fk" FOREIGN KEY ("rulebook_id") REFERENCES "public"."rulebook"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "rulebook_preview_of" ON "rulebook_preview" USING btree ("rulebook_id","asked_at");--> statement-breakpoint
CREATE UNIQUE INDEX "rulebook_one_draft" ON "rulebook" USING btree ("intake_id") WHERE "rulebook"."status" = 'draft';