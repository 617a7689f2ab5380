CREATE TABLE "preview_effect" (
	"preview_id" uuid NOT NULL,
	"number" text NOT NULL,
	"choice_id" uuid NOT NULL,
	"effect" jsonb NOT NULL,
	CONSTRAINT "preview_effect_preview_id_number_choice_id_pk" PRIMARY KEY("preview_id","number","choice_id")
);
--> statement-breakpoint
ALTER TABLE "preview_effect" ADD CONSTRAINT "preview_effect_preview_id_preview_id_fk" FOREIGN KEY ("preview_id") REFERENCES "public"."preview"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "preview" DROP COLUMN "effects";