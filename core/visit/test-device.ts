import { ENTRY_VERSION, type Entry, type EntryBodies, type EntryKind } from './entry'
import { mergedJournal } from './merged'
import { writtenAfter } from './seen'
import { VISIT } from './test-journal'

let count = 0

/** A device of a test: the visit's journal as it knows it, and lines that it writes by its own clock. */
export class TestDevice {
  journal: readonly Entry[]

  /** @param offBy hours by which its clock is off */
  constructor(
    readonly author: string,
    journal: readonly Entry[] = [],
    private readonly offBy = 0,
  ) {
    this.journal = mergedJournal([], journal)
  }

  write<K extends EntryKind>(kind: K, body: EntryBodies[K], supersedes?: Entry, settles: readonly Entry[] = []): Entry {
    count++
    const entry = {
      id: `0197a000-00bb-7000-8000-${count.toString(16).padStart(12, '0')}`,
      v: ENTRY_VERSION,
      ...writtenAfter(this.journal),
      visitId: VISIT,
      kind,
      at: new Date(Date.UTC(2026, 4, 12, 10 + this.offBy, count % 60)).toISOString(),
      author: this.author,
      ...(supersedes ? { supersedes: supersedes.id } : {}),
      ...(settles.length > 0 ? { settles: settles.map(({ id }) => id) } : {}),
      body,
    } as unknown as Entry
    this.take([entry])
    return entry
  }

  take(lines: readonly Entry[]): void {
    this.journal = mergedJournal(this.journal, lines)
  }
}
