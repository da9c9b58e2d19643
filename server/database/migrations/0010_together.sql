ALTER TABLE "visits" ADD COLUMN "together" uuid;--> statement-breakpoint
CREATE INDEX "visits_together" ON "visits" USING btree ("together") WHERE together is not null;