CREATE TABLE "digest" (
	"application_id" uuid NOT NULL,
	"scope" text NOT NULL,
	"section" text NOT NULL,
	"text" text NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "digest_application_id_scope_section_pk" PRIMARY KEY("application_id","scope","section")
);
--> statement-breakpoint
CREATE TABLE "page_left_out" (
	"upload_id" uuid NOT NULL,
	"page" integer NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "page_left_out_upload_id_page_pk" PRIMARY KEY("upload_id","page")
);
--> statement-breakpoint
ALTER TABLE "digest" ADD CONSTRAINT "digest_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "digest" ADD CONSTRAINT "digest_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "page_left_out" ADD CONSTRAINT "page_left_out_upload_id_upload_id_fk" FOREIGN KEY ("upload_id") REFERENCES "public"."upload"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "page_left_out" ADD CONSTRAINT "page_left_out_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;