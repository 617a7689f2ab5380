CREATE TABLE "override" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"choice_id" uuid NOT NULL,
	"rule" text NOT NULL,
	"finding" text NOT NULL,
	"worked" text NOT NULL,
	"reason" text NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone,
	"ended_by_id" uuid,
	"end_reason" text,
	CONSTRAINT "override_finding" CHECK ("override"."finding" in ('met','not met'))
);
--> statement-breakpoint
ALTER TABLE "override" ADD CONSTRAINT "override_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "override" ADD CONSTRAINT "override_choice_id_choice_id_fk" FOREIGN KEY ("choice_id") REFERENCES "public"."choice"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "override" ADD CONSTRAINT "override_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "override" ADD CONSTRAINT "override_ended_by_id_person_id_fk" FOREIGN KEY ("ended_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "override_application" ON "override" USING btree ("application_id");--> statement-breakpoint
CREATE UNIQUE INDEX "override_one_live" ON "override" USING btree ("choice_id","rule") WHERE "override"."ended_at" is null;