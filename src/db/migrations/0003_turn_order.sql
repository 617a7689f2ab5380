DROP INDEX "standing_turn";--> statement-breakpoint
CREATE INDEX "standing_reason" ON "file_standing" USING btree ("turn","reason","order_at","number");--> statement-breakpoint
CREATE INDEX "standing_turn" ON "file_standing" USING btree ("turn","order_at","number");