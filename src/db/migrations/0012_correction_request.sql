CREATE TABLE "correction_request" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"sections" jsonb NOT NULL,
	"text" text NOT NULL,
	"asked_at" timestamp with time zone NOT NULL,
	"answered_at" timestamp with time zone,
	"answered_by_id" uuid,
	"refusal" text
);
--> statement-breakpoint
ALTER TABLE "correction_request" ADD CONSTRAINT "correction_request_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "correction_request" ADD CONSTRAINT "correction_request_answered_by_id_person_id_fk" FOREIGN KEY ("answered_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "correction_request_one_open" ON "correction_request" USING btree ("application_id") WHERE "correction_request"."answered_at" is null;