CREATE TABLE "same_person" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"first_id" uuid NOT NULL,
	"second_id" uuid NOT NULL,
	"verdict" text NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "same_person_order" CHECK ("same_person"."first_id" < "same_person"."second_id"),
	CONSTRAINT "same_person_verdict" CHECK ("same_person"."verdict" in ('same','different','undecided'))
);
--> statement-breakpoint
CREATE TABLE "file_key" (
	"application_id" uuid NOT NULL,
	"key" text NOT NULL,
	CONSTRAINT "file_key_application_id_key_pk" PRIMARY KEY("application_id","key")
);
--> statement-breakpoint
ALTER TABLE "same_person" ADD CONSTRAINT "same_person_first_id_person_id_fk" FOREIGN KEY ("first_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "same_person" ADD CONSTRAINT "same_person_second_id_person_id_fk" FOREIGN KEY ("second_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "same_person" ADD CONSTRAINT "same_person_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "file_key" ADD CONSTRAINT "file_key_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "same_person_pair" ON "same_person" USING btree ("first_id","second_id");--> statement-breakpoint
CREATE INDEX "file_key_key" ON "file_key" USING btree ("key");