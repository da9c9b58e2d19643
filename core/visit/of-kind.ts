import type { Entry, EntryKind, EntryOf } from './entry'

/** Narrowing by kind. */
export function ofKind<K extends EntryKind>(entries: readonly Entry[], kind: K): EntryOf<K>[] {
  return entries.filter((entry): entry is Entry & EntryOf<K> => entry.kind === kind) as EntryOf<K>[]
}

/** The newest of a kind, if any. */
export function newestOf<K extends EntryKind>(entries: readonly Entry[], kind: K): EntryOf<K> | undefined {
  return ofKind(entries, kind).at(-1)
}
