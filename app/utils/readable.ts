import { ENTRY_VERSION, type Entry } from '#core/visit/entry'

/** Lines that this app can read: one of a newer app is left alone until this one is as new. */
export function readable<T extends Pick<Entry, 'v'>>(lines: readonly T[]): readonly T[] {
  return lines.every(isReadable) ? lines : lines.filter(isReadable)
}

function isReadable({ v = 1 }: Pick<Entry, 'v'>): boolean {
  return v <= ENTRY_VERSION
}
