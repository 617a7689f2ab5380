CREATE TABLE "preview" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"rulebook_id" uuid,
	"edit" integer NOT NULL,
	"asked_at" timestamp with time zone NOT NULL,
	"asked_by" text NOT NULL,
	"total" integer DEFAULT 0 NOT NULL,
	"done" integer DEFAULT 0 NOT NULL,
	"finished_at" timestamp with time zone,
	"effects" jsonb DEFAULT '[]'::jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "reference_draft" (
	"id" integer PRIMARY KEY DEFAULT 1 NOT NULL,
	"base" integer NOT NULL,
	"body" jsonb NOT NULL,
	"edit" integer DEFAULT 1 NOT NULL,
	"begun_at" timestamp with time zone NOT NULL,
	"edited_at" timestamp with time zone NOT NULL,
	"edited_by" text NOT NULL,
	CONSTRAINT "reference_draft_one" CHECK ("reference_draft"."id" = 1)
);
--> statement-breakpoint
ALTER TABLE "office_reference" ADD COLUMN "made_by" text DEFAULT 'system' NOT NULL;--> statement-breakpoint
ALTER TABLE "office_reference" ADD COLUMN "note" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "preview" ADD CONSTRAINT "preview_rulebook_id_rulebook_id_fk" FOREIGN KEY ("rulebook_id") REFERENCES "public"."rulebook"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "preview_of" ON "preview" USING btree ("rulebook_id","asked_at");--> statement-breakpoint
CREATE INDEX "standing_office" ON "file_standing" USING btree ("office_version");