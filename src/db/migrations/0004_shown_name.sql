ALTER TABLE "file_standing" ADD COLUMN "name" text DEFAULT '' NOT NULL;--> statement-breakpoint
UPDATE "file_standing" s SET "name" = n."shown" FROM "file_name" n WHERE n."application_id" = s."application_id";--> statement-breakpoint
ALTER TABLE "file_name" DROP COLUMN "shown";
