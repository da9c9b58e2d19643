import type { Article } from '../fits/article'
import { isShelfPlace, type AnyPlace, type ShelfPlace } from '../fits/shelf-place'
import { compareEntries, SHELF_KINDS, type Entry, type EntryOf, type StockMoved } from '../visit/entry'
import { liveEntries } from '../visit/supersession'
import { USUAL_BAYS, type Bay } from './bays'

/** Some of one article at one place that may lie until the same day. */
export interface Lot {
  count: number
  until?: string
}
/** How much of an article is at a place. */
export interface AtPlace {
  place: ShelfPlace
  article: string
  /** Below nothing where more was taken than anybody brought. */
  count: number
  /** The first to be used first; what is known to lie for ever last. */
  lots: Lot[]
}
/** A count that was not what the entries before it came to. */
export interface Difference {
  /** The line of the count. */
  line: string
  at: string
  author: string
  place: ShelfPlace
  article: string
  expected: number
  counted: number
  why?: string
}
export interface Stock {
  articles: Map<string, Article>
  bays: Map<string, Bay>
  /** Where something is, was or is missing; by place and article. */
  at: Map<string, AtPlace>
  differences: Difference[]
  /** Lines that say once more that a part was loaded for a visit or used at it: they count nothing. */
  twice: string[]
}
type ShelfLine = Extract<Entry, { kind: (typeof SHELF_KINDS)[number] }>

export const stockKey = (place: AnyPlace, article: string) => `${place} ${article}`

/** Nothing lies anywhere; the bays are the usual ones. */
export function emptyStock(): Stock {
  return {
    articles: new Map(),
    bays: new Map(USUAL_BAYS.map((each) => [each.bay, each])),
    at: new Map(),
    differences: [],
    twice: [],
  }
}

/**
 * What lies where, from the lines of the shop's journal, whatever the order in which they arrived.
 *
 * What moves and what is counted is taken in the order in which it was done: a count speaks of all that was done before
 * it, and what a van without a signal used before the count does not go off it a second time. A line that supersedes
 * another stands in its place and at its time; what was taken back was not.
 */
export function stockFrom(lines: readonly Entry[]): Stock {
  const stock = emptyStock()
  const live = liveEntries(lines).filter((line): line is ShelfLine =>
    (SHELF_KINDS as readonly string[]).includes(line.kind),
  )
  const doneAt = timesOf(lines)
  const used = new Set<string>()
  const byDoing = [...live].sort((a, b) => compare(doneAt(a), doneAt(b)) || compareEntries(a, b))
  for (const line of byDoing) {
    if (line.kind === 'article-set') stock.articles.set(line.body.article.id, line.body.article)
    else if (line.kind === 'bay-set') bay(stock, line.body)
    else if (line.kind === 'stock-counted') count(stock, line)
    else if (line.kind === 'stock-moved') {
      const { article, from, to, until } = line.body
      // Two devices at one visit, or a step ticked twice: the part went into the van, and into the machine, once.
      const once = onceKey(line.body)
      if (once !== undefined && used.has(once)) {
        stock.twice.push(line.id)
        continue
      }
      if (once !== undefined) used.add(once)
      const moved = isShelfPlace(from) ? take(stock, from, article, line.body.count, until) : undefined
      if (isShelfPlace(to))
        for (const lot of moved ?? [{ count: line.body.count, ...(until === undefined ? {} : { until }) }])
          put(stock, to, article, lot)
    }
  }
  return stock
}

/**
 * What happens once, however often it is said: loading a part for a use of a visit out of one place, using it up, and
 * taking in what a delivery brought of a line of an order.
 */
function onceKey({ why, visit, use, article, from, to, order, line, delivery }: StockMoved): string | undefined {
  if (order !== undefined && delivery !== undefined && (why === 'received' || why === 'returned'))
    return `${why} ${order} ${line} ${delivery} ${article}`
  if (visit === undefined || use === undefined) return undefined
  if (why === 'used') return `${visit} ${use} ${article}`
  return why === 'loaded' ? `${visit} ${use} ${article} ${from} ${to}` : undefined
}

/** When what a line says was done: a line that corrects another stands at the time of the first. */
function timesOf(lines: readonly Entry[]): (line: Entry) => string {
  const at = new Map(lines.map(({ id, at: instant }) => [id, new Date(instant).toISOString()]))
  const supersedes = new Map(lines.flatMap((line) => (line.supersedes ? [[line.id, line.supersedes] as const] : [])))
  return (line) => {
    const seen = new Set<string>()
    let first = line.id
    for (let older = supersedes.get(first); older !== undefined && at.has(older) && !seen.has(older);) {
      seen.add(older)
      first = older
      older = supersedes.get(first)
    }
    return at.get(first) as string
  }
}

const compare = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0)

function bay(stock: Stock, { bay: id, name, gone }: EntryOf<'bay-set'>['body']): void {
  if (gone) stock.bays.delete(id)
  else stock.bays.set(id, { bay: id, name })
}

function at(stock: Stock, place: ShelfPlace, article: string): AtPlace {
  const key = stockKey(place, article)
  const known = stock.at.get(key)
  if (known) return known
  const fresh: AtPlace = { place, article, count: 0, lots: [] }
  stock.at.set(key, fresh)
  return fresh
}

/** Metres of cable are cut to the millimetre: sums stay whole thousandths. */
export const whole = (count: number) => Math.round(count * 1000) / 1000

function put(stock: Stock, place: ShelfPlace, article: string, { count: more, until }: Lot): void {
  const here = at(stock, place, article)
  const missing = Math.max(0, -here.count)
  here.count = whole(here.count + more)
  // What was taken before it was written down as brought is out of this.
  const left = whole(more - Math.min(missing, more))
  if (left === 0) return
  const same = here.lots.find((lot) => lot.until === until)
  if (same) same.count = whole(same.count + left)
  else here.lots.push({ count: left, ...(until === undefined ? {} : { until }) })
  here.lots.sort((a, b) => compare(a.until ?? '9', b.until ?? '9'))
}

/** Takes so much of an article, what has to be used first before the rest, or of the lot that is named. */
function take(stock: Stock, place: ShelfPlace, article: string, wanted: number, until?: string): Lot[] {
  const here = at(stock, place, article)
  here.count = whole(here.count - wanted)
  let left = wanted
  const taken: Lot[] = []
  const order = [...here.lots].sort((a, b) => Number(b.until === until) - Number(a.until === until))
  for (const lot of until === undefined ? here.lots : order) {
    const part = Math.min(lot.count, left)
    if (part <= 0) continue
    lot.count = whole(lot.count - part)
    left = whole(left - part)
    taken.push({ count: part, ...(lot.until === undefined ? {} : { until: lot.until }) })
  }
  here.lots = here.lots.filter((lot) => lot.count > 0)
  if (left > 0) taken.push({ count: left })
  return taken
}

function count(stock: Stock, { id, at: instant, author, body }: EntryOf<'stock-counted'>): void {
  const { place, article, counted, why } = body
  const here = at(stock, place, article)
  const expected = here.count
  if (counted !== expected)
    stock.differences.push({
      line: id,
      at: instant,
      author,
      place,
      article,
      expected,
      counted,
      ...(why === undefined ? {} : { why }),
    })
  if (counted > expected) put(stock, place, article, { count: whole(counted - expected) })
  else take(stock, place, article, whole(expected - counted))
}

/** How much of an article there is, at one place or at all of them. */
export function countOf({ at: known }: Pick<Stock, 'at'>, article: string, place?: ShelfPlace): number {
  if (place !== undefined) return known.get(stockKey(place, article))?.count ?? 0
  return whole([...known.values()].reduce((sum, each) => (each.article === article ? sum + each.count : sum), 0))
}
