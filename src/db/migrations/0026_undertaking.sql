CREATE TABLE "undertaking" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"locale" text NOT NULL,
	"text" text NOT NULL,
	"choices" jsonb NOT NULL
);
--> statement-breakpoint
ALTER TABLE "undertaking" ADD CONSTRAINT "undertaking_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "undertaking_application" ON "undertaking" USING btree ("application_id","at");