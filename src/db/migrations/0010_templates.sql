CREATE TABLE "template" (
	"sha256" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"stored_at" timestamp with time zone NOT NULL,
	"stored_by" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "template" ADD CONSTRAINT "template_sha256_content_sha256_fk" FOREIGN KEY ("sha256") REFERENCES "public"."content"("sha256") ON DELETE no action ON UPDATE no action;