CREATE TABLE "signature_request" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"requirement" text NOT NULL,
	"name" text NOT NULL,
	"email" text NOT NULL,
	"sentence" jsonb NOT NULL,
	"title" jsonb NOT NULL,
	"token_hash" text NOT NULL,
	"state" text NOT NULL,
	"asked_at" timestamp with time zone NOT NULL,
	"ends_at" timestamp with time zone NOT NULL,
	"answered_at" timestamp with time zone,
	"signed_as" text,
	"upload_id" uuid,
	CONSTRAINT "signature_request_token_hash_unique" UNIQUE("token_hash"),
	CONSTRAINT "signature_state" CHECK ("signature_request"."state" in ('asked','signed','declined','undeliverable','replaced'))
);
--> statement-breakpoint
ALTER TABLE "signature_request" ADD CONSTRAINT "signature_request_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "signature_request" ADD CONSTRAINT "signature_request_upload_id_upload_id_fk" FOREIGN KEY ("upload_id") REFERENCES "public"."upload"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "signature_application" ON "signature_request" USING btree ("application_id");--> statement-breakpoint
CREATE UNIQUE INDEX "signature_one_open" ON "signature_request" USING btree ("application_id","requirement") WHERE "signature_request"."state" = 'asked';