CREATE TABLE "deed" (
	"application_id" uuid NOT NULL,
	"requirement" text NOT NULL,
	"scope" text NOT NULL,
	"entry" text DEFAULT '' NOT NULL,
	"note" text NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "deed_application_id_requirement_scope_entry_pk" PRIMARY KEY("application_id","requirement","scope","entry")
);
--> statement-breakpoint
ALTER TABLE "deed" ADD CONSTRAINT "deed_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "deed" ADD CONSTRAINT "deed_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;