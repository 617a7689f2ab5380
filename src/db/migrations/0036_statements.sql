CREATE TABLE "likeness" (
	"first_id" uuid NOT NULL,
	"second_id" uuid NOT NULL,
	"words" integer NOT NULL,
	"found_at" timestamp with time zone NOT NULL,
	"verdict" text,
	"note" text DEFAULT '' NOT NULL,
	"by_id" uuid,
	"at" timestamp with time zone,
	CONSTRAINT "likeness_first_id_second_id_pk" PRIMARY KEY("first_id","second_id"),
	CONSTRAINT "likeness_order" CHECK ("likeness"."first_id" < "likeness"."second_id"),
	CONSTRAINT "likeness_verdict" CHECK ("likeness"."verdict" is null or "likeness"."verdict" in ('harmless','copied'))
);
--> statement-breakpoint
CREATE TABLE "statement_text" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"scope" text NOT NULL,
	"section" text NOT NULL,
	"entry" text NOT NULL,
	"field" text NOT NULL,
	"version" integer NOT NULL,
	"words" integer NOT NULL,
	"marks" bigint[] NOT NULL,
	"submitted_at" timestamp with time zone NOT NULL,
	CONSTRAINT "statement_text_place" UNIQUE("application_id","scope","section","entry","field")
);
--> statement-breakpoint
ALTER TABLE "likeness" ADD CONSTRAINT "likeness_first_id_statement_text_id_fk" FOREIGN KEY ("first_id") REFERENCES "public"."statement_text"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "likeness" ADD CONSTRAINT "likeness_second_id_statement_text_id_fk" FOREIGN KEY ("second_id") REFERENCES "public"."statement_text"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "likeness" ADD CONSTRAINT "likeness_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "statement_text" ADD CONSTRAINT "statement_text_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "likeness_second" ON "likeness" USING btree ("second_id");--> statement-breakpoint
CREATE INDEX "likeness_open" ON "likeness" USING btree ("first_id") WHERE "likeness"."verdict" is null;--> statement-breakpoint
CREATE INDEX "statement_text_marks" ON "statement_text" USING gin ("marks");