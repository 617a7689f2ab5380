ALTER TABLE "choice" ADD COLUMN "extended_to" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "intake" ADD COLUMN "quotas" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "intake" ADD COLUMN "options" jsonb DEFAULT '{"campuses":[],"modes":[],"tracks":[]}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "intake" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "procedure" ADD COLUMN "rules" jsonb;--> statement-breakpoint
UPDATE "procedure" SET "rules" = jsonb_build_object('least', 1, 'most', most_choices, 'limits', '[]'::jsonb, 'exclusive', '[]'::jsonb, 'ranked', true);--> statement-breakpoint
ALTER TABLE "procedure" ALTER COLUMN "rules" SET NOT NULL;--> statement-breakpoint
UPDATE "programme" SET "campuses" = '["main"]'::jsonb, "tracks" = '[]'::jsonb, "modes" = '["full time"]'::jsonb;--> statement-breakpoint
ALTER TABLE "programme" ADD COLUMN "fields" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "programme" ADD COLUMN "months" integer DEFAULT 12 NOT NULL;--> statement-breakpoint
ALTER TABLE "programme" ADD COLUMN "prerequisites" jsonb;--> statement-breakpoint
ALTER TABLE "programme" ADD COLUMN "contact" jsonb;--> statement-breakpoint
ALTER TABLE "programme" ADD COLUMN "partner" text;--> statement-breakpoint
ALTER TABLE "programme" ADD COLUMN "keywords" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "programme" ADD COLUMN "sponsors_visa" boolean DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE "programme" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "round" ADD COLUMN "rolling" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "round" ADD COLUMN "closes_when_full" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "round" ADD COLUMN "prepare_before" boolean DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE "round" ADD COLUMN "closed_reason" text;