CREATE TABLE "awaited" (
	"application_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"about" text NOT NULL,
	"due" text NOT NULL,
	CONSTRAINT "awaited_application_id_kind_about_due_pk" PRIMARY KEY("application_id","kind","about","due")
);
--> statement-breakpoint
CREATE TABLE "applied_ruling" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"ruling_id" uuid NOT NULL,
	"question" text NOT NULL,
	"scope" text NOT NULL,
	"section" text NOT NULL,
	"entry" text NOT NULL,
	"about" jsonb NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone,
	"ended_by_id" uuid
);
--> statement-breakpoint
CREATE TABLE "ruling" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"question" text NOT NULL,
	"country" text NOT NULL,
	"institution" text NOT NULL,
	"title" text NOT NULL,
	"level" text NOT NULL,
	"verdict" text NOT NULL,
	"reason" text NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone,
	"ended_by_id" uuid,
	"end_reason" text,
	CONSTRAINT "ruling_verdict" CHECK ("ruling"."verdict" in ('accepted','refused'))
);
--> statement-breakpoint
ALTER TABLE "awaited" ADD CONSTRAINT "awaited_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "applied_ruling" ADD CONSTRAINT "applied_ruling_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "applied_ruling" ADD CONSTRAINT "applied_ruling_ruling_id_ruling_id_fk" FOREIGN KEY ("ruling_id") REFERENCES "public"."ruling"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "applied_ruling" ADD CONSTRAINT "applied_ruling_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "applied_ruling" ADD CONSTRAINT "applied_ruling_ended_by_id_person_id_fk" FOREIGN KEY ("ended_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "ruling" ADD CONSTRAINT "ruling_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "ruling" ADD CONSTRAINT "ruling_ended_by_id_person_id_fk" FOREIGN KEY ("ended_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "awaited_kind" ON "awaited" USING btree ("kind","due","application_id");--> statement-breakpoint
CREATE INDEX "applied_ruling_ruling" ON "applied_ruling" USING btree ("ruling_id");--> statement-breakpoint
CREATE UNIQUE INDEX "applied_ruling_one" ON "applied_ruling" USING btree ("application_id","scope","section","entry","question") WHERE "applied_ruling"."ended_at" is null;--> statement-breakpoint
CREATE INDEX "ruling_question" ON "ruling" USING btree ("question","country");