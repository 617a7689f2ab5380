CREATE TABLE "keeper_note" (
	"application_id" uuid NOT NULL,
	"scope" text NOT NULL,
	"section" text NOT NULL,
	"entry" text DEFAULT '' NOT NULL,
	"field" text NOT NULL,
	"version" integer NOT NULL,
	"text" text NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "keeper_note_application_id_scope_section_entry_field_pk" PRIMARY KEY("application_id","scope","section","entry","field")
);
--> statement-breakpoint
ALTER TABLE "keeper_note" ADD CONSTRAINT "keeper_note_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "keeper_note" ADD CONSTRAINT "keeper_note_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;