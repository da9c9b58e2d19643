import { v7 as uuidv7 } from 'uuid'
import { ENTRY_VERSION, type Entry, type EntryBodies, type EntryKind, type Said, type Writer } from '#core/visit/entry'

/** Who writes, in which journal, and what the writer had seen. */
export interface LinePlace extends Writer {
  /** null for the shop's own lines. */
  visitId: string | null
  /** Later than every line the writer had seen; the shop's own lines stand as they arrive. */
  lamport?: number
  /** The newest line of each branch of the journal that the writer had. */
  seen?: readonly string[]
  supersedes?: string
  /** Rivals that this line decides between. */
  settles?: readonly string[]
  /** The typed line and the act that this line of the journal is part of. */
  said?: Said
}

export const SOMEBODY = 'technician'

/** The one place where a line of the journal is put together. */
export function writeLine<K extends EntryKind>(
  { visitId, author, by, lamport, seen, supersedes, settles = [], said }: LinePlace,
  kind: K,
  body: EntryBodies[K],
  now = new Date(),
): Entry {
  return {
    id: uuidv7(),
    v: ENTRY_VERSION,
    ...(lamport === undefined ? {} : { lamport }),
    ...(seen ? { seen: [...seen] } : {}),
    visitId,
    kind,
    at: now.toISOString(),
    author: author || SOMEBODY,
    ...(by ? { by: { ...by } } : {}),
    ...(supersedes ? { supersedes } : {}),
    ...(settles.length > 0 ? { settles: [...settles] } : {}),
    ...(said ? { said: { ...said } } : {}),
    body,
    // The kind and its body belong together; a generic cannot say so of a union.
  } as unknown as Entry
}
