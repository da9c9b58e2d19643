import { compareEntries, nextLamport, type Entry } from './entry'

/**
 * A journal with more lines, as every device reads it whatever arrived first: a set of lines in their order.
 *
 * @param here in its order
 * @param more in any order; what is there already is left as it is. A line that an older app left waiting has no
 *   logical time: it stands after what is here, as it will when it arrives.
 * @returns the same array where nothing of it was new
 */
export function mergedJournal(here: readonly Entry[], more: readonly Entry[]): readonly Entry[] {
  const known = new Set(here.map(({ id }) => id))
  const untimed = nextLamport(here)
  const fresh = [...new Map(more.map((entry) => [entry.id, entry])).values()]
    .filter(({ id }) => !known.has(id))
    .map((entry, index) => (entry.lamport === undefined ? { ...entry, lamport: untimed + index } : entry))
  return fresh.length > 0 ? [...here, ...fresh].sort(compareEntries) : here
}
