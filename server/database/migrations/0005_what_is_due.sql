ALTER TABLE "visits" ADD COLUMN "due" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
CREATE INDEX "visits_due" ON "visits" USING btree ("machine_id") WHERE due <> '[]'::jsonb;