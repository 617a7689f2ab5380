CREATE TABLE "interest" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"programme_id" uuid NOT NULL,
	"email" text NOT NULL,
	"locale" text NOT NULL,
	"token_hash" text NOT NULL,
	"noted_at" timestamp with time zone NOT NULL,
	CONSTRAINT "interest_token_hash_unique" UNIQUE("token_hash"),
	CONSTRAINT "interest_once" UNIQUE("programme_id","email")
);
--> statement-breakpoint
ALTER TABLE "round" ADD COLUMN "announced_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "interest" ADD CONSTRAINT "interest_programme_id_programme_id_fk" FOREIGN KEY ("programme_id") REFERENCES "public"."programme"("id") ON DELETE no action ON UPDATE no action;