CREATE TABLE "awaited" (
	"application_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"about" text NOT NULL,
	"due" text NOT NULL,
	CONSTRAINT "awaited_application_id_kind_about_due_pk" PRIMARY KEY("application_id","kind","about","due")
);
--> statement-breakpoint
ALTER TABLE "awaited" ADD CONSTRAINT "awaited_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "awaited_kind" ON "awaited" USING btree ("kind","due","application_id");