ALTER TABLE "customers" ADD COLUMN "mail" text;--> statement-breakpoint
ALTER TABLE "visits" ADD COLUMN "account" jsonb;--> statement-breakpoint
CREATE INDEX "visits_account" ON "visits" USING btree (("account"->>'on'));