CREATE TABLE "audit" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"what" text NOT NULL,
	"by" uuid,
	"about" text
);
