CREATE TABLE "link_note" (
	"application_id" uuid NOT NULL,
	"scope" text NOT NULL,
	"section" text NOT NULL,
	"entry" text DEFAULT '' NOT NULL,
	"field" text NOT NULL,
	"url" text NOT NULL,
	"opens" boolean NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "link_note_application_id_scope_section_entry_field_url_pk" PRIMARY KEY("application_id","scope","section","entry","field","url")
);
--> statement-breakpoint
ALTER TABLE "link_note" ADD CONSTRAINT "link_note_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "link_note" ADD CONSTRAINT "link_note_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;