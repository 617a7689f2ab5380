ALTER TABLE "confirmation" ALTER COLUMN "by_id" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "registry_query" ALTER COLUMN "by_id" DROP NOT NULL;