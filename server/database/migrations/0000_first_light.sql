CREATE TABLE "customers" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"place" text NOT NULL,
	"phone" text
);
--> statement-breakpoint
CREATE TABLE "entries" (
	"id" uuid PRIMARY KEY NOT NULL,
	"arrival" bigserial NOT NULL,
	"visit_id" uuid,
	"kind" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"author" text NOT NULL,
	"supersedes" uuid,
	"entry" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "files" (
	"hash" text PRIMARY KEY NOT NULL,
	"type" text NOT NULL,
	"bytes" integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE "machines" (
	"id" uuid PRIMARY KEY NOT NULL,
	"customer_id" uuid NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"construction" text NOT NULL,
	"machine" jsonb NOT NULL,
	"said_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "visits" (
	"id" uuid PRIMARY KEY NOT NULL,
	"machine_id" uuid NOT NULL,
	"customer_id" uuid NOT NULL,
	"scheduled_at" timestamp with time zone NOT NULL,
	"planned_minutes" integer NOT NULL,
	"caller_says" text NOT NULL,
	"complaints" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"joint" text DEFAULT 'call' NOT NULL,
	"handed_over" boolean DEFAULT false NOT NULL
);
--> statement-breakpoint
ALTER TABLE "machines" ADD CONSTRAINT "machines_customer_id_customers_id_fk" FOREIGN KEY ("customer_id") REFERENCES "public"."customers"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visits" ADD CONSTRAINT "visits_machine_id_machines_id_fk" FOREIGN KEY ("machine_id") REFERENCES "public"."machines"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visits" ADD CONSTRAINT "visits_customer_id_customers_id_fk" FOREIGN KEY ("customer_id") REFERENCES "public"."customers"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "entries_visit" ON "entries" USING btree ("visit_id","at");--> statement-breakpoint
CREATE INDEX "entries_kind" ON "entries" USING btree ("kind");--> statement-breakpoint
CREATE INDEX "machines_customer" ON "machines" USING btree ("customer_id");--> statement-breakpoint
CREATE INDEX "visits_day" ON "visits" USING btree ("scheduled_at");--> statement-breakpoint
CREATE INDEX "visits_machine" ON "visits" USING btree ("machine_id");