CREATE TABLE "registry_mode" (
	"id" integer PRIMARY KEY DEFAULT 1 NOT NULL,
	"down" boolean NOT NULL,
	"delay_ms" integer NOT NULL,
	CONSTRAINT "registry_mode_one" CHECK ("registry_mode"."id" = 1)
);
--> statement-breakpoint
CREATE TABLE "registry_query" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"scope" text NOT NULL,
	"section" text NOT NULL,
	"entry" text NOT NULL,
	"board" text NOT NULL,
	"year" text NOT NULL,
	"candidate" text NOT NULL,
	"state" text NOT NULL,
	"asked_at" timestamp with time zone NOT NULL,
	"by_id" uuid NOT NULL,
	"answered_at" timestamp with time zone,
	"name" text,
	"results" jsonb,
	CONSTRAINT "registry_query_state" CHECK ("registry_query"."state" in ('asked','down','not found','other name','found'))
);
--> statement-breakpoint
CREATE TABLE "registry_record" (
	"board" text NOT NULL,
	"year" text NOT NULL,
	"candidate" text NOT NULL,
	"name" text NOT NULL,
	"results" jsonb NOT NULL,
	CONSTRAINT "registry_record_board_year_candidate_pk" PRIMARY KEY("board","year","candidate")
);
--> statement-breakpoint
ALTER TABLE "registry_query" ADD CONSTRAINT "registry_query_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "registry_query" ADD CONSTRAINT "registry_query_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "registry_query_application" ON "registry_query" USING btree ("application_id","asked_at");