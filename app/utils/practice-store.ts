import type { DBSchema, IDBPDatabase } from 'idb'
import type { TryLine } from '#core/practice/try'
import { toRaw } from 'vue'
import { openStore } from './open-store'

/** A line of a try, kept beside the others of it. */
export type KeptTryLine = TryLine & { tryId: string }
interface PracticeDatabase extends DBSchema {
  lines: { key: string; value: KeptTryLine; indexes: { tryId: string } }
}

/** In a database of its own: no line of practice is ever in reach of what is sent to the shop. */
const NAME = 'pike-lamp.practice'

/** What of practice a device keeps, line by line. Where it has no store it keeps nothing and says so. */
export class PracticeStore {
  private readonly opened: Promise<IDBPDatabase<PracticeDatabase> | undefined> = openStore<PracticeDatabase>(
    NAME,
    (store) => {
      store.createObjectStore('lines', { keyPath: 'id' }).createIndex('tryId', 'tryId')
    },
  )

  #waiting: KeptTryLine[] = []
  #writing: Promise<boolean> = Promise.resolve(true)

  /** Keeps lines, those that come while it writes together in the next stroke. @returns whether they are kept */
  add(lines: readonly KeptTryLine[]): Promise<boolean> {
    const isFirst = this.#waiting.length === 0
    this.#waiting.push(...lines)
    if (isFirst) this.#writing = this.#writing.then(() => this.#write())
    return this.#writing
  }

  async #write(): Promise<boolean> {
    const store = await this.opened
    const lines = this.#waiting
    this.#waiting = []
    if (!store) return false
    try {
      const transaction = store.transaction('lines', 'readwrite')
      for (const line of lines) void transaction.store.put(toRaw(line))
      await transaction.done
      return true
    } catch {
      return false
    }
  }

  /** The lines of one try in the order in which they were written. */
  async linesOf(tryId: string): Promise<TryLine[]> {
    return (await (await this.opened)?.getAllFromIndex('lines', 'tryId', tryId).catch(() => [])) ?? []
  }

  async all(): Promise<KeptTryLine[]> {
    return (await (await this.opened)?.getAll('lines').catch(() => [])) ?? []
  }

  /** A try is forgotten with all its lines. */
  async drop(tryId: string): Promise<void> {
    const store = await this.opened
    if (!store) return
    const transaction = store.transaction('lines', 'readwrite')
    for (const key of await transaction.store.index('tryId').getAllKeys(tryId)) void transaction.store.delete(key)
    await transaction.done.catch(() => undefined)
  }

  async clear(): Promise<void> {
    await (await this.opened)?.clear('lines').catch(() => undefined)
  }
}
