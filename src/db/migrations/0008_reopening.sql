CREATE TABLE "reopening" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"sections" jsonb NOT NULL,
	"reason" text NOT NULL,
	"due" text NOT NULL,
	"opened_at" timestamp with time zone NOT NULL,
	"opened_by_id" uuid NOT NULL,
	"answered_at" timestamp with time zone,
	"read_at" timestamp with time zone,
	"read_by_id" uuid,
	"ended_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "reopening" ADD CONSTRAINT "reopening_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reopening" ADD CONSTRAINT "reopening_opened_by_id_person_id_fk" FOREIGN KEY ("opened_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reopening" ADD CONSTRAINT "reopening_read_by_id_person_id_fk" FOREIGN KEY ("read_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "reopening_one_open" ON "reopening" USING btree ("application_id") WHERE "reopening"."answered_at" is null and "reopening"."ended_at" is null;