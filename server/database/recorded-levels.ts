import { and, desc, eq, not, sql } from 'drizzle-orm'
import type { Kind } from '../../core/knowledge/vocabulary'
import type { EntryBodies, HeardInRecording } from '../../core/visit/entry'
import type { Db } from './connect'
import { entries, machines, visits } from './schema'

/** A later line of its visit takes it back. */
const isTakenBack = sql`exists (
  select 1 from entries later
  where later.visit_id = ${entries.visitId} and later.kind = 'retracted'
    and later.entry ->> 'supersedes' = ${entries.id}::text
)`
/** More of a kind than that say no more. */
const MOST = 2_000

/**
 * What the recordings of all machines of a kind heard, from one side, the newest first.
 *
 * @returns one of each machine: its newest that nothing speaks against
 */
export async function recordedOf(
  db: Db,
  kind: Kind,
  side: EntryBodies['recording']['side'],
): Promise<HeardInRecording[]> {
  const rows = await db
    .select({ machineId: visits.machineId, entry: entries.entry })
    .from(entries)
    .innerJoin(visits, eq(visits.id, entries.visitId))
    .innerJoin(machines, eq(machines.id, visits.machineId))
    .where(
      and(
        eq(entries.kind, 'recording'),
        eq(machines.kind, kind),
        sql`${entries.entry} #>> '{body,side}' = ${side}`,
        not(isTakenBack),
      ),
    )
    .orderBy(desc(entries.arrival))
    .limit(MOST)
  const newest = new Map<string, HeardInRecording>()
  for (const { machineId, entry } of rows) {
    const { heard } = entry.body as EntryBodies['recording']
    if (!newest.has(machineId) && isUnremarkable(heard)) newest.set(machineId, heard)
  }
  return [...newest.values()]
}

const isUnremarkable = ({ bearing, water }: HeardInRecording) =>
  bearing.is !== 'blows' && water.is !== 'crackle' && water.is !== 'gulps'
