CREATE TABLE "institution" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"country" text NOT NULL,
	"kind" text NOT NULL,
	"languages" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"scales" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"credits_per_year" numeric,
	"recognition" text NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"changed_at" timestamp with time zone NOT NULL,
	"changed_by" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "institution_name" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"institution_id" uuid NOT NULL,
	"name" text NOT NULL,
	"folded" text NOT NULL,
	"country" text NOT NULL,
	"kind" text NOT NULL,
	CONSTRAINT "institution_name_kind" CHECK ("institution_name"."kind" in ('own', 'other', 'written'))
);
--> statement-breakpoint
ALTER TABLE "institution_name" ADD CONSTRAINT "institution_name_institution_id_institution_id_fk" FOREIGN KEY ("institution_id") REFERENCES "public"."institution"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "institution_name_once" ON "institution_name" USING btree ("folded","country");--> statement-breakpoint
CREATE INDEX "institution_name_of" ON "institution_name" USING btree ("institution_id");--> statement-breakpoint
CREATE INDEX "institution_name_trigram" ON "institution_name" USING gin ("folded" gin_trgm_ops);