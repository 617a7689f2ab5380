CREATE TABLE "reach_note" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"scope" text NOT NULL,
	"section" text NOT NULL,
	"entry" text DEFAULT '' NOT NULL,
	"field" text NOT NULL,
	"version" integer NOT NULL,
	"kind" text NOT NULL,
	"text" text DEFAULT '' NOT NULL,
	"by_id" uuid,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "reach_note" ADD CONSTRAINT "reach_note_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reach_note" ADD CONSTRAINT "reach_note_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "reach_note_application" ON "reach_note" USING btree ("application_id");