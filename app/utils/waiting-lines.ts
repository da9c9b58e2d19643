import type { DBSchema, IDBPDatabase } from 'idb'
import type { FieldProblem } from '#core/validation/input-error'
import { compareEntries, type Entry } from '#core/visit/entry'
import { openStore } from './open-store'

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

interface DeviceStore extends DBSchema {
  waiting: { key: string; value: WaitingLine }
}
/** What one tab tells the others of a line that it kept or forgot. */
type News = { kept: WaitingLine } | { forgotten: string }

const NAME = 'pike-lamp'
/** Where older apps had left lines: each under a key of its own, or all together. */
const OLD_PREFIX = 'pike-lamp.waiting.'
const OLD_TOGETHER = 'pike-lamp.outbox'

/**
 * What waits on this device, shared by all its tabs. A line is in the device's own store as soon as that has taken it;
 * what the store would not take is held on the page, and known to be.
 */
export class WaitingLines {
  /** When what the device had kept has been read. */
  readonly ready: Promise<void>
  private readonly lines = new Map<string, WaitingLine>()
  private readonly unkept = new Set<string>()
  /** Given up or sent since this page was opened: a slow reading of the store does not bring them back. */
  private readonly gone = new Set<string>()
  private readonly store: Promise<IDBPDatabase<DeviceStore> | undefined>
  private readonly others = new BroadcastChannel('pike-lamp.waiting')

  /**
   * @param changed told whenever other lines wait than before
   * @param older where an older app may have left lines
   */
  constructor(
    private readonly changed: () => void,
    private readonly older: Pick<Storage, 'length' | 'key' | 'getItem' | 'removeItem'>,
  ) {
    this.store = openStore<DeviceStore>(
      NAME,
      (store) => void store.createObjectStore('waiting', { keyPath: 'entry.id' }),
    )
    this.others.onmessage = ({ data }: MessageEvent<News>) => this.hear(data)
    this.ready = this.read()
  }

  /** Every waiting line in the order of its journal. */
  all(): WaitingLine[] {
    return [...this.lines.values()].sort((a, b) => compareEntries(a.entry, b.entry))
  }

  /** Lines that are only on this page, because the device's store would not take them. */
  get onlyHere(): number {
    return this.unkept.size
  }

  /** Keeps a line, new or changed. It waits at once; where the store will not have it, it is held on the page. */
  async keep(line: WaitingLine): Promise<void> {
    // What a form made reactive cannot be stored; a line of the journal is plain by nature.
    const plain = JSON.parse(JSON.stringify(line)) as WaitingLine
    this.lines.set(line.entry.id, plain)
    this.gone.delete(line.entry.id)
    this.changed()
    await this.put(plain)
  }

  async forget(id: string): Promise<void> {
    this.lines.delete(id)
    this.unkept.delete(id)
    this.gone.add(id)
    this.changed()
    const store = await this.store
    await store?.delete('waiting', id).catch(() => undefined)
    this.others.postMessage({ forgotten: id } satisfies News)
    // There is room again.
    await Promise.all([...this.unkept].map((each) => this.put(this.lines.get(each) as WaitingLine)))
  }

  private async put(line: WaitingLine): Promise<void> {
    const { id } = line.entry
    if (await this.stored(line)) {
      this.unkept.delete(id)
      this.others.postMessage({ kept: line } satisfies News)
    } else if (this.lines.has(id)) this.unkept.add(id)
    this.changed()
  }

  private async stored(line: WaitingLine): Promise<boolean> {
    const store = await this.store
    if (!store) return false
    try {
      const transaction = store.transaction('waiting', 'readwrite', { durability: 'strict' })
      const put = transaction.store.put(line)
      // Said at once, so that a tab closed in the next moment has said it.
      transaction.commit()
      await Promise.all([put, transaction.done])
      return true
    } catch {
      return false
    }
  }

  private hear(news: News): void {
    if ('kept' in news) {
      this.lines.set(news.kept.entry.id, news.kept)
      this.gone.delete(news.kept.entry.id)
    } else {
      this.lines.delete(news.forgotten)
      this.gone.add(news.forgotten)
    }
    this.changed()
  }

  private async read(): Promise<void> {
    const store = await this.store
    for (const line of (await store?.getAll('waiting').catch(() => [])) ?? [])
      if (!this.lines.has(line.entry.id) && !this.gone.has(line.entry.id)) this.lines.set(line.entry.id, line)
    await this.takeOver()
    this.changed()
  }

  /** Lines that an older app had left: they leave their old place once the store has them. */
  private async takeOver(): Promise<void> {
    const keys = Array.from({ length: this.older.length }, (_, index) => this.older.key(index))
    for (const key of keys.filter((each) => each !== null)) {
      const lines = key === OLD_TOGETHER || key.startsWith(OLD_PREFIX) ? linesIn(this.older.getItem(key)) : []
      for (const line of lines) await this.keep(line)
      if (lines.length > 0 && lines.every(({ entry }) => !this.unkept.has(entry.id))) this.older.removeItem(key)
    }
  }
}

/** One line, or a list of entries as they once lay together; nothing where the text is neither. */
function linesIn(text: string | null): WaitingLine[] {
  let found: unknown
  try {
    found = JSON.parse(text ?? '')
  } catch {
    return []
  }
  const lines = Array.isArray(found) ? found.map((entry) => ({ entry })) : [found]
  return (lines as (WaitingLine | null)[]).filter((line): line is WaitingLine => Boolean(line?.entry?.id))
}
