CREATE TABLE "early_case" (
	"application_id" uuid NOT NULL,
	"question" text NOT NULL,
	"scope" text NOT NULL,
	"section" text NOT NULL,
	"entry" text NOT NULL,
	"asked_at" timestamp with time zone NOT NULL,
	CONSTRAINT "early_case_application_id_question_scope_section_entry_pk" PRIMARY KEY("application_id","question","scope","section","entry")
);
--> statement-breakpoint
ALTER TABLE "early_case" ADD CONSTRAINT "early_case_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;