CREATE TABLE "owner_list" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"test" text NOT NULL,
	"file_name" text NOT NULL,
	"lines" integer NOT NULL,
	"taken_by_id" uuid NOT NULL,
	"taken_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "owner_result" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"list_id" uuid NOT NULL,
	"test" text NOT NULL,
	"number" text NOT NULL,
	"number_key" text NOT NULL,
	"name" text NOT NULL,
	"birth_date" text,
	"taken_on" text NOT NULL,
	"scores" jsonb NOT NULL,
	"state" text NOT NULL,
	"application_id" uuid,
	"scope" text,
	"section" text,
	"entry" text,
	"settled_by_id" uuid,
	"settled_at" timestamp with time zone,
	CONSTRAINT "owner_result_number" UNIQUE("test","number_key","taken_on"),
	CONSTRAINT "owner_result_state" CHECK ("owner_result"."state" in ('nobody','found','other name','not theirs'))
);
--> statement-breakpoint
ALTER TABLE "owner_list" ADD CONSTRAINT "owner_list_taken_by_id_person_id_fk" FOREIGN KEY ("taken_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "owner_result" ADD CONSTRAINT "owner_result_list_id_owner_list_id_fk" FOREIGN KEY ("list_id") REFERENCES "public"."owner_list"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "owner_result" ADD CONSTRAINT "owner_result_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "owner_result" ADD CONSTRAINT "owner_result_settled_by_id_person_id_fk" FOREIGN KEY ("settled_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "owner_result_application" ON "owner_result" USING btree ("application_id");--> statement-breakpoint
CREATE INDEX "owner_result_list" ON "owner_result" USING btree ("list_id");