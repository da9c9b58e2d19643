CREATE TABLE "kept_apart" (
	"entry_id" uuid PRIMARY KEY NOT NULL,
	"what" text NOT NULL,
	"one" uuid NOT NULL,
	"other" uuid NOT NULL
);
--> statement-breakpoint
CREATE TABLE "merges" (
	"gone" uuid PRIMARY KEY NOT NULL,
	"into" uuid NOT NULL,
	"what" text NOT NULL,
	"entry_id" uuid NOT NULL,
	"arrival" bigint NOT NULL
);
--> statement-breakpoint
CREATE TABLE "search_lines" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"subject" uuid NOT NULL,
	"what" text NOT NULL,
	"label" text NOT NULL,
	"about" text NOT NULL,
	"customer_id" uuid,
	"machine_id" uuid,
	"visit_id" uuid,
	"on_day" text,
	"verdict" text,
	"reading" jsonb,
	"street" text,
	"words" "tsvector" NOT NULL
);
--> statement-breakpoint
CREATE TABLE "sites" (
	"id" uuid PRIMARY KEY NOT NULL,
	"customer_id" uuid NOT NULL,
	"site" jsonb NOT NULL
);
--> statement-breakpoint
ALTER TABLE "customers" ADD COLUMN "phone_key" text;--> statement-breakpoint
ALTER TABLE "customers" ADD COLUMN "address_key" text;--> statement-breakpoint
ALTER TABLE "customers" ADD COLUMN "merged_into" uuid;--> statement-breakpoint
ALTER TABLE "machines" ADD COLUMN "installed_on" text;--> statement-breakpoint
ALTER TABLE "machines" ADD COLUMN "merged_into" uuid;--> statement-breakpoint
ALTER TABLE "machines" ADD COLUMN "retired" jsonb;--> statement-breakpoint
ALTER TABLE "machines" ADD COLUMN "verdict" text;--> statement-breakpoint
ALTER TABLE "machines" ADD COLUMN "due_on" text;--> statement-breakpoint
ALTER TABLE "visits" ADD COLUMN "verdict" text;--> statement-breakpoint
CREATE INDEX "search_subject" ON "search_lines" USING btree ("subject");--> statement-breakpoint
CREATE INDEX "search_who" ON "search_lines" USING gin ("words") WHERE what in ('customer', 'machine', 'place');--> statement-breakpoint
CREATE INDEX "search_said" ON "search_lines" USING gin ("words") WHERE what in ('part', 'plate', 'note', 'finding');--> statement-breakpoint
CREATE INDEX "search_names" ON "search_lines" USING btree ("what",label collate "C");--> statement-breakpoint
CREATE INDEX "search_streets" ON "search_lines" USING btree ("street") WHERE street is not null;--> statement-breakpoint
CREATE INDEX "sites_customer" ON "sites" USING btree ("customer_id");--> statement-breakpoint
CREATE INDEX "customers_name" ON "customers" USING btree ("name");--> statement-breakpoint
CREATE INDEX "customers_phone" ON "customers" USING btree ("phone_key");--> statement-breakpoint
CREATE INDEX "customers_address" ON "customers" USING btree ("address_key");--> statement-breakpoint
CREATE INDEX "customers_merged" ON "customers" USING btree ("merged_into") WHERE merged_into is not null;--> statement-breakpoint
CREATE INDEX "entries_about" ON "entries" USING btree ((coalesce(entry #>> '{body,customer,id}', entry #>> '{body,machine,id}', entry #>> '{body,site,id}', entry #>> '{body,machineId}', entry #>> '{body,gone}', entry #>> '{body,these,0}'))) WHERE visit_id is null;--> statement-breakpoint
CREATE INDEX "entries_replaced" ON "entries" USING btree (((entry ->> 'supersedes'))) WHERE visit_id is null;--> statement-breakpoint
CREATE INDEX "entries_shop" ON "entries" USING btree ("kind","arrival") WHERE visit_id is null;--> statement-breakpoint
CREATE INDEX "machines_merged" ON "machines" USING btree ("merged_into") WHERE merged_into is not null;--> statement-breakpoint
CREATE INDEX "machines_retired" ON "machines" USING btree ("id") WHERE retired is not null;