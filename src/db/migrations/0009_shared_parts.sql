CREATE TABLE "shared_part" (
	"key" text PRIMARY KEY NOT NULL,
	"title" jsonb NOT NULL,
	"body" jsonb NOT NULL,
	"edit" integer DEFAULT 1 NOT NULL,
	"edited_at" timestamp with time zone NOT NULL,
	"edited_by" text NOT NULL
);
