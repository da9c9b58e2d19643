import { nextLamport, type Entry } from './entry'

/** Did the writer of the later line have the earlier one before them? */
export type Knows = (later: Entry, earlier: Entry) => boolean

/** More branches than this at once no shop has; the oldest beyond them are left out. */
export const MOST_SEEN = 64

/**
 * The newest line of every branch of a journal: what a line that is written now has seen, and through these all before
 * them.
 *
 * @param journal as it is known to the writer, in its order
 */
export function headsOf(journal: readonly Entry[]): string[] {
  // A line that does not say what it had seen speaks for all before it.
  const open = journal.slice(
    Math.max(
      0,
      journal.findLastIndex(({ seen }) => !seen),
    ),
  )
  const seen = new Set(open.flatMap(seenBy))
  return open
    .filter(({ id }) => !seen.has(id))
    .map(({ id }) => id)
    .slice(-MOST_SEEN)
}

/**
 * Where a line stands that is written now with a journal in sight: after all of it.
 *
 * @param journal as it is known to the writer, in its order
 */
export function writtenAfter(journal: readonly Entry[]): { lamport: number; seen: string[] } {
  return { lamport: nextLamport(journal), seen: headsOf(journal) }
}

/**
 * Who knew what in a journal. A line of before that was written down is taken to have been written with all before it
 * in sight; what a line corrects, its writer had seen.
 *
 * @source happened-before: Lamport, Time, Clocks, and the Ordering of Events in a Distributed System (1978)
 */
export function knowledgeIn(journal: readonly Entry[]): Knows {
  const byId = new Map(journal.map((entry) => [entry.id, entry]))
  return (later, earlier) => {
    const met = new Set<string>()
    const open = [later]
    for (let next = open.pop(); next; next = open.pop()) {
      // Whoever has seen a line writes later than it; what is not later cannot lead there.
      if ((next.lamport ?? 0) <= (earlier.lamport ?? 0)) continue
      if (!next.seen) return true
      for (const id of seenBy(next)) {
        if (id === earlier.id) return true
        const entry = byId.get(id)
        if (!entry || met.has(id)) continue
        met.add(id)
        open.push(entry)
      }
    }
    return false
  }
}

function seenBy({ seen = [], supersedes, settles = [] }: Entry): string[] {
  return [...seen, ...(supersedes ? [supersedes] : []), ...settles]
}
