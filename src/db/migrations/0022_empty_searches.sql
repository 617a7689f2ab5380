CREATE TABLE "empty_search" (
	"folded" text PRIMARY KEY NOT NULL,
	"words" text NOT NULL,
	"times" integer DEFAULT 1 NOT NULL,
	"last_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "round" ADD COLUMN "reminded_at" timestamp with time zone;