import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Article } from '#core/fits/article'
import type { ShelfPlace } from '#core/fits/shelf-place'
import { boughtFrom } from '#core/shelf/bought'
import { placesOf } from '#core/shelf/places'
import { countOf, stockFrom } from '#core/shelf/stock'
import type { ToldOfShelf } from '#core/shelf/told-of-shelf'
import { groupedBy } from '#core/quantity/grouped'
import type { MoveWhy } from '#core/knowledge/shelf/moves'
import { liveEntries } from '#core/visit/supersession'
import {
  nextLamport,
  BUYING_KINDS,
  SHELF_KINDS,
  type Entry,
  type EntryBodies,
  type StockMoved,
} from '#core/visit/entry'
import { UNNAMED_SHOP } from '#core/visit/shop'
import { useWriter } from '~/composables/useWriter'
import { shelfTold } from '~/utils/told-store'
import { writeLine } from '~/utils/write-line'
import { useLive } from './live'
import { useOutbox } from './outbox'

const KINDS: ReadonlySet<string> = new Set([...SHELF_KINDS, ...BUYING_KINDS, 'retracted'])
const isOfShelf = ({ kind, visitId }: Entry) => visitId === null && KINDS.has(kind)
const NOTHING: ToldOfShelf = { lines: [], vans: [], currency: UNNAMED_SHOP.rates.currency }

/** What lies on the shop's shelves: as the shop told it last, with what was written here since. */
export const useShelf = defineStore('shelf', () => {
  const [outbox, writer, store] = [useOutbox(), useWriter(), shelfTold()]
  const told = shallowRef<ToldOfShelf>(NOTHING)
  const here = shallowRef<readonly Entry[]>([])
  const isRead = ref(false)
  /** What is shown is what the shop told last: nobody answers now. */
  const isOld = ref(false)
  const hear = (entries: readonly Entry[]) => {
    const heard = entries.filter(isOfShelf)
    if (heard.length > 0) here.value = [...here.value, ...heard]
  }
  // Acknowledged while the shop was asked: it stands in neither answer.
  outbox.onAccepted(hear)
  // What the others take and count is seen while one looks.
  const live = useLive()
  live.onLines(hear)
  live.onMissed(() => {
    if (isRead.value) void read()
  })
  const lines = computed(() => {
    const waiting = outbox.pending.filter(isOfShelf)
    return [...new Map([...told.value.lines, ...here.value, ...waiting].map((line) => [line.id, line])).values()]
  })
  const stock = computed(() => stockFrom(lines.value))
  const bought = computed(() => boughtFrom(lines.value))
  /** What moved for a visit and stands, by the use that it was for. */
  const movedFor = computed(() => {
    const moves = liveEntries(lines.value).filter((line) => line.kind === 'stock-moved')
    return groupedBy(moves, ({ body: { visit, use } }) => `${visit ?? ''} ${use ?? ''}`)
  })
  const places = computed(() => placesOf(stock.value, told.value.vans))

  /** Asks the shop; where nobody answers it is as it was told last. */
  async function read(): Promise<void> {
    const response = await fetch('/api/shelf').catch(() => undefined)
    if (response?.ok) {
      told.value = (await response.json()) as ToldOfShelf
      isOld.value = false
      isRead.value = true
      await store.keep(told.value)
      return
    }
    isOld.value = true
    told.value = (await store.told()) ?? told.value
    isRead.value = true
  }

  type ShelfKind = (typeof SHELF_KINDS)[number] | (typeof BUYING_KINDS)[number]
  type Line = { [K in ShelfKind]: { kind: K; body: EntryBodies[K]; supersedes?: string } }[ShelfKind]
  /** Writes lines that belong together, one after the other. */
  async function write(...said: Line[]): Promise<void> {
    const first = nextLamport(lines.value)
    const written = said.map(({ kind, body, supersedes }, index) =>
      writeLine(
        { visitId: null, ...writer.value, lamport: first + index, ...(supersedes ? { supersedes } : {}) },
        kind,
        body,
      ),
    )
    here.value = [...here.value, ...written]
    await outbox.add(written)
  }

  return {
    lines,
    stock,
    bought,
    vans: computed(() => told.value.vans),
    places,
    /** Counts that came out otherwise, without a reason yet. */
    unexplained: computed(() => stock.value.differences.filter(({ why }) => !why)),
    isRead,
    isOld,
    currency: computed(() => told.value.currency),
    read,
    /** Asked once; from then on what is written is heard. */
    ensure: async () => {
      if (!isRead.value) await read()
    },
    write,
    placeName: (id: string) => places.value.find((place) => place.id === id)?.name ?? id,
    shortName: (id: string) => places.value.find((place) => place.id === id)?.short ?? id,
    articleName: (article: string) => stock.value.articles.get(article)?.name ?? article,
    countOf: (article: string, place?: ShelfPlace) => countOf(stock.value, article, place),
    keepArticle: (article: Article) => write({ kind: 'article-set', body: { article } }),
    move: (...bodies: StockMoved[]) => write(...bodies.map((body) => ({ kind: 'stock-moved' as const, body }))),
    /** What moved for a use of a visit: loaded for it, or used up by it. */
    movesOf: (visit: string, use: string, why: MoveWhy) =>
      (movedFor.value.get(`${visit} ${use}`) ?? []).filter(({ body }) => body.why === why),
    takeBack: async (...taken: string[]) => {
      const first = nextLamport(lines.value)
      const back = taken.map((line, index) =>
        writeLine({ visitId: null, ...writer.value, lamport: first + index, supersedes: line }, 'retracted', {}),
      )
      here.value = [...here.value, ...back]
      await outbox.add(back)
    },
  }
})
