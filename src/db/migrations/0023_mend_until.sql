ALTER TABLE "file_standing" ADD COLUMN "mend_until" timestamp with time zone;--> statement-breakpoint
CREATE INDEX "standing_mend" ON "file_standing" USING btree ("turn","mend_until");