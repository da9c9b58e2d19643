ALTER TABLE "visits" ADD COLUMN "waits" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "visits" ADD COLUMN "began_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "visits" ADD COLUMN "cancelled" text;--> statement-breakpoint
ALTER TABLE "visits" ADD COLUMN "arranged" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
CREATE INDEX "entries_day_order" ON "entries" USING btree (((entry #>> '{body,on}'))) WHERE kind = 'day-order';--> statement-breakpoint
CREATE INDEX "visits_waiting" ON "visits" USING btree ("id") WHERE waits and not handed_over;--> statement-breakpoint
CREATE INDEX "visits_begun" ON "visits" USING btree ("began_at") WHERE began_at is not null;