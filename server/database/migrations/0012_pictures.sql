CREATE TABLE "pictures" (
	"hash" text PRIMARY KEY NOT NULL,
	"content" "bytea" NOT NULL
);
