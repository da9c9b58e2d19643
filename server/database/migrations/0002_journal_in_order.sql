CREATE TABLE "meta" (
	"key" text PRIMARY KEY NOT NULL,
	"value" jsonb NOT NULL
);
--> statement-breakpoint
DROP INDEX "entries_kind";--> statement-breakpoint
DROP INDEX "entries_visit";--> statement-breakpoint
ALTER TABLE "customers" ADD COLUMN "said_by" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "customers" ADD COLUMN "said_for" timestamp with time zone DEFAULT 'epoch' NOT NULL;--> statement-breakpoint
ALTER TABLE "customers" ADD COLUMN "said_arrival" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "customers" ADD COLUMN "said_visit" uuid;--> statement-breakpoint
ALTER TABLE "machines" ADD COLUMN "said_by" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "machines" ADD COLUMN "said_for" timestamp with time zone DEFAULT 'epoch' NOT NULL;--> statement-breakpoint
ALTER TABLE "machines" ADD COLUMN "said_arrival" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "machines" ADD COLUMN "said_visit" uuid;--> statement-breakpoint
ALTER TABLE "visits" ADD COLUMN "cause_arrival" bigint;--> statement-breakpoint
ALTER TABLE "visits" ADD COLUMN "paced" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "visits" ADD COLUMN "last_arrival" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
CREATE UNIQUE INDEX "entries_arrival" ON "entries" USING btree ("arrival");--> statement-breakpoint
CREATE INDEX "visits_last" ON "visits" USING btree ("last_arrival");--> statement-breakpoint
CREATE INDEX "visits_open" ON "visits" USING btree ("scheduled_at") WHERE not handed_over;--> statement-breakpoint
CREATE INDEX "entries_visit" ON "entries" USING btree ("visit_id","arrival");--> statement-breakpoint
ALTER TABLE "entries" DROP COLUMN "at";--> statement-breakpoint
ALTER TABLE "entries" DROP COLUMN "author";--> statement-breakpoint
ALTER TABLE "entries" DROP COLUMN "supersedes";