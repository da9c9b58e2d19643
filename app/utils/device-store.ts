import type { DBSchema, IDBPDatabase } from 'idb'
import type { KeptVisit, WindowLine } from '#core/pumps/device-window'
import { groupedBy } from '#core/quantity/grouped'
import type { Entry, EntryBodies } from '#core/visit/entry'
import { mergedJournal } from '#core/visit/merged'
import { ofKind } from '#core/visit/of-kind'
import { openStore } from './open-store'

/** What is known of the window as a whole. */
export interface KeptWindow {
  /** From which arrival on what has changed is asked for next; nothing where all of it is. */
  since?: number
  /** The arrival up to which lines were read or heard: the visits and the shop are as new as that. */
  heard: number
  /** When it was last read whole, an ISO instant. */
  at: string
  from: string
  to: string
  visits: string[]
  /** The shop's own lines. */
  shop: Entry[]
}

interface ShopStore extends DBSchema {
  visits: { key: string; value: KeptVisit }
  machines: { key: string; value: { id: string; card: object } }
  customers: { key: string; value: { id: string; view: object } }
  /** Answers of the shop that are kept as they were: its window, its settings page, its last plans. */
  facts: { key: string; value: unknown }
}
export type Kept = 'visits' | 'machines' | 'customers'

/** What a page opened with: the shop's answer, and the arrival that it is as new as. */
export interface Opening {
  path: string
  arrival: number
  answer: object
}

/** Beside the waiting lines, in a database of its own: an older app that is open holds theirs as it knows it. */
const NAME = 'pike-lamp.shop'
const KEPT: readonly Kept[] = ['visits', 'machines', 'customers']
const WINDOW = 'window'
const OPENING = 'opening'
const SENT = 'sent'

/** What of the shop a device keeps. Where it has no store, or that is full, it keeps nothing and says so. */
export class DeviceStore {
  private readonly opened: Promise<IDBPDatabase<ShopStore> | undefined> = openStore<ShopStore>(NAME, (store) => {
    store.createObjectStore('visits', { keyPath: 'row.id' })
    store.createObjectStore('machines', { keyPath: 'id' })
    store.createObjectStore('customers', { keyPath: 'id' })
    store.createObjectStore('facts')
  })

  async window(): Promise<KeptWindow | undefined> {
    return this.fact<KeptWindow>(WINDOW)
  }
  async opening(): Promise<Opening | undefined> {
    return this.fact<Opening>(OPENING)
  }
  async keepOpening(opening: Opening): Promise<void> {
    await this.keepFact(OPENING, opening)
  }
  /** Lines that the shop has acknowledged: what was read of it before may not have them. */
  async sent(): Promise<Entry[]> {
    return (await this.fact<Entry[]>(SENT)) ?? []
  }
  /** Keeps lines as sent; what a page opened with before them is old. */
  async keepSent(lines: readonly Entry[]): Promise<void> {
    await this.put(async (store) => {
      const transaction = store.transaction('facts', 'readwrite')
      const before = ((await transaction.store.get(SENT)) ?? []) as Entry[]
      void transaction.store.put([...before, ...lines], SENT)
      void transaction.store.delete(OPENING)
      await transaction.done
    })
  }
  async fact<T>(name: string): Promise<T | undefined> {
    const store = await this.opened
    return store?.get('facts', name).catch(() => undefined) as Promise<T | undefined>
  }
  /** @returns whether it is kept */
  async keepFact(name: string, fact: unknown): Promise<boolean> {
    return this.put((store) => store.put('facts', fact, name))
  }

  /** Lines were heard up to an arrival: those of kept visits, and of the shop itself, stand in what is kept. */
  async hear(arrival: number, lines: readonly Entry[], isOfShop: (line: Entry) => boolean): Promise<boolean> {
    return this.put(async (store) => {
      const { withLines } = await import('./kept-visit')
      const transaction = store.transaction(['visits', 'facts'], 'readwrite')
      const visits = transaction.objectStore('visits')
      for (const [id, own] of groupedBy(lines, ({ visitId }) => visitId)) {
        const kept = id === null ? undefined : await visits.get(id)
        if (kept) void visits.put(withLines(kept, own))
      }
      const facts = transaction.objectStore('facts')
      const window = (await facts.get(WINDOW)) as KeptWindow | undefined
      if (window) {
        const shop = [...mergedJournal(window.shop, lines.filter(isOfShop))]
        void facts.put({ ...window, shop, heard: Math.max(window.heard, arrival) } satisfies KeptWindow, WINDOW)
      }
      await transaction.done
    })
  }

  async visit(id: string): Promise<KeptVisit | undefined> {
    return (await this.opened)?.get('visits', id).catch(() => undefined)
  }
  async visits(): Promise<KeptVisit[]> {
    return (await (await this.opened)?.getAll('visits').catch(() => [])) ?? []
  }
  async card(id: string): Promise<object | undefined> {
    return (await (await this.opened)?.get('machines', id).catch(() => undefined))?.card
  }
  async customer(id: string): Promise<object | undefined> {
    return (await (await this.opened)?.get('customers', id).catch(() => undefined))?.view
  }
  async customers(): Promise<object[]> {
    return ((await (await this.opened)?.getAll('customers').catch(() => [])) ?? []).map(({ view }) => view)
  }
  /** The pictures that the kept visits speak of, the newest first. */
  async pictures(): Promise<string[]> {
    const photos = ofKind(
      (await this.visits()).flatMap(({ entries }) => entries),
      'photo',
    )
    return [...new Set(photos.sort((a, b) => (a.at < b.at ? 1 : -1)).map(({ body }) => body.hash))]
  }
  async idsOf(kept: Kept): Promise<string[]> {
    return (await (await this.opened)?.getAllKeys(kept).catch(() => [])) ?? []
  }

  /** Keeps lines of the window as they come. @returns whether all of them are kept */
  async take(lines: readonly WindowLine[]): Promise<boolean> {
    return this.put(async (store) => {
      const transaction = store.transaction(KEPT, 'readwrite')
      for (const line of lines) {
        if (line.is === 'visit') void transaction.objectStore('visits').put(line.visit)
        else if (line.is === 'machine') void transaction.objectStore('machines').put({ id: line.id, card: line.card })
        else if (line.is === 'customer') void transaction.objectStore('customers').put({ id: line.id, view: line.view })
      }
      await transaction.done
    })
  }

  /**
   * The window is here whole: what stands in it no more goes.
   *
   * @param sent lines that were sent before it was asked for: they stand in it
   */
  async closeWindow(
    window: KeptWindow,
    ids: Readonly<Record<Kept, readonly string[]>>,
    sent: readonly Entry[] = [],
  ): Promise<boolean> {
    return this.put(async (store) => {
      const transaction = store.transaction([...KEPT, 'facts'], 'readwrite')
      for (const kept of KEPT) {
        const stays = new Set(ids[kept])
        const own = transaction.objectStore(kept)
        for (const id of await own.getAllKeys()) if (!stays.has(id)) void own.delete(id)
      }
      const facts = transaction.objectStore('facts')
      void facts.put(window, WINDOW)
      const read = new Set(sent.map(({ id }) => id))
      const since = (((await facts.get(SENT)) ?? []) as Entry[]).filter(({ id }) => !read.has(id))
      void facts.put(since, SENT)
      await transaction.done
    })
  }

  /** Somebody's data were removed at the shop: nothing of them stays, nor of the days that they stood in. */
  async drop({ customers, machines, visits }: EntryBodies['customer-forgotten']): Promise<void> {
    await this.put(async (store) => {
      const transaction = store.transaction([...KEPT, 'facts'], 'readwrite')
      for (const [name, ids] of [
        ['customers', customers],
        ['machines', machines],
        ['visits', visits],
      ] as const)
        for (const id of ids) void transaction.objectStore(name).delete(id)
      const facts = transaction.objectStore('facts')
      for (const name of await facts.getAllKeys())
        if (name === OPENING || name === SENT || name.startsWith('plan:')) void facts.delete(name)
      await transaction.done
    })
  }

  async clear(): Promise<void> {
    await this.put(async (store) => {
      const transaction = store.transaction([...KEPT, 'facts'], 'readwrite')
      for (const name of [...KEPT, 'facts'] as const) void transaction.objectStore(name).clear()
      await transaction.done
    })
  }

  private async put(work: (store: IDBPDatabase<ShopStore>) => Promise<unknown>): Promise<boolean> {
    const store = await this.opened
    if (!store) return false
    return work(store).then(
      () => true,
      () => false,
    )
  }
}
