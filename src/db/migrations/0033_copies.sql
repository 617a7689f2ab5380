CREATE TABLE "copy_of" (
	"order_id" uuid NOT NULL,
	"application_id" uuid NOT NULL,
	"position" integer NOT NULL,
	"made_at" timestamp with time zone,
	"sha256" text,
	CONSTRAINT "copy_of_order_id_application_id_pk" PRIMARY KEY("order_id","application_id")
);
--> statement-breakpoint
CREATE TABLE "copy_order" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"asked_by_id" uuid NOT NULL,
	"asked_at" timestamp with time zone NOT NULL,
	"reader" text NOT NULL,
	"documents" boolean NOT NULL
);
--> statement-breakpoint
ALTER TABLE "copy_of" ADD CONSTRAINT "copy_of_order_id_copy_order_id_fk" FOREIGN KEY ("order_id") REFERENCES "public"."copy_order"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "copy_of" ADD CONSTRAINT "copy_of_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "copy_of" ADD CONSTRAINT "copy_of_sha256_content_sha256_fk" FOREIGN KEY ("sha256") REFERENCES "public"."content"("sha256") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "copy_order" ADD CONSTRAINT "copy_order_asked_by_id_person_id_fk" FOREIGN KEY ("asked_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "copy_of_content" ON "copy_of" USING btree ("sha256");--> statement-breakpoint
CREATE INDEX "copy_order_of" ON "copy_order" USING btree ("asked_by_id","asked_at");