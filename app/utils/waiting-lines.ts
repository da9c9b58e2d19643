import type { FieldProblem } from '#core/validation/input-error'
import { compareEntries, type Entry } from '#core/visit/entry'

/** Why the server would not take a line: its words, and the fields they are about. */
export interface Refusal {
  title: string
  status: number
  problems: FieldProblem[]
}
/** A line that the server has not acknowledged: on its way, or refused and kept until somebody changes or drops it. */
export interface WaitingLine {
  entry: Entry
  refusal?: Refusal
}

const PREFIX = 'pike-lamp.waiting.'
/** Where all lines lay together before each had a place of its own. */
const TOGETHER = 'pike-lamp.outbox'

/**
 * What waits on this device, shared by all its tabs: each line under a key of its own, so that two tabs never write
 * over each other.
 * Everything is read from the storage itself; only what the storage would not take is held in memory, and known to be.
 */
export class WaitingLines {
  private readonly unkept = new Map<string, WaitingLine>()

  constructor(private readonly storage: Pick<Storage, 'length' | 'key' | 'getItem' | 'setItem' | 'removeItem'>) {
    this.spreadOut()
  }

  /** Every waiting line in the order of its journal. */
  all(): WaitingLine[] {
    const kept = Array.from({ length: this.storage.length }, (_, index) => this.storage.key(index)).flatMap((key) =>
      key?.startsWith(PREFIX) ? (parsed(this.storage.getItem(key)) ?? []) : [],
    )
    return [...new Map([...kept, ...this.unkept.values()].map((line) => [line.entry.id, line])).values()].sort((a, b) =>
      compareEntries(a.entry, b.entry),
    )
  }

  /** Lines that are only on this page, because the device's storage would not take them. */
  get onlyHere(): number {
    return this.unkept.size
  }

  /** Keeps a line, new or changed. Where the storage is full it is held on the page. */
  keep(line: WaitingLine): void {
    try {
      this.storage.setItem(PREFIX + line.entry.id, JSON.stringify(line))
      this.unkept.delete(line.entry.id)
    } catch {
      this.unkept.set(line.entry.id, line)
    }
  }

  forget(id: string): void {
    this.unkept.delete(id)
    this.storage.removeItem(PREFIX + id)
    // There is room again.
    for (const line of [...this.unkept.values()]) this.keep(line)
  }

  /** Is this a change in the storage that concerns these lines? */
  static concerns(key: string | null): boolean {
    return key === null || key.startsWith(PREFIX)
  }

  private spreadOut(): void {
    const together = this.storage.getItem(TOGETHER)
    if (together === null) return
    for (const entry of (parsedJson(together) as Entry[] | undefined) ?? []) this.keep({ entry })
    if (this.unkept.size === 0) this.storage.removeItem(TOGETHER)
  }
}

function parsed(text: string | null): WaitingLine | undefined {
  const line = text === null ? undefined : (parsedJson(text) as WaitingLine | undefined)
  return line?.entry?.id ? line : undefined
}

function parsedJson(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}
