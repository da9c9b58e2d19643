import { compareEntries, type Entry, type EntryKind, type EntryOf } from './entry'

/**
 * The entries that count: in order, without those that a later one supersedes, and without retractions.
 *
 * Superseding is followed to its end: when a correction is itself retracted, the entry it had replaced speaks again.
 */
export function liveEntries(entries: readonly Entry[]): Entry[] {
  const unique = new Map(entries.map((entry) => [entry.id, entry]))
  const ordered = [...unique.values()].sort(compareEntries)
  const dead = new Set<string>()
  // From the newest back: an entry that is dead itself kills nothing.
  for (const entry of [...ordered].reverse()) {
    if (entry.supersedes && !dead.has(entry.id)) dead.add(entry.supersedes)
  }
  return ordered.filter((entry) => !dead.has(entry.id) && entry.kind !== 'retracted')
}

/** Narrowing by kind. */
export function ofKind<K extends EntryKind>(entries: readonly Entry[], kind: K): EntryOf<K>[] {
  return entries.filter((entry): entry is Entry & EntryOf<K> => entry.kind === kind) as EntryOf<K>[]
}

/** The newest of a kind, if any. */
export function newestOf<K extends EntryKind>(entries: readonly Entry[], kind: K): EntryOf<K> | undefined {
  return ofKind(entries, kind).at(-1)
}
