DROP INDEX "search_who";--> statement-breakpoint
DROP INDEX "search_said";--> statement-breakpoint
CREATE INDEX "search_who" ON "search_lines" USING gin ("words") WITH (fastupdate=false) WHERE what in ('customer', 'machine', 'place');--> statement-breakpoint
CREATE INDEX "search_said" ON "search_lines" USING gin ("words") WITH (fastupdate=false) WHERE what in ('part', 'plate', 'note', 'finding');