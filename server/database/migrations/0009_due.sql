ALTER TABLE "machines" ADD COLUMN "trends" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
CREATE INDEX "machines_trends" ON "machines" USING btree ("id") WHERE trends <> '[]'::jsonb;