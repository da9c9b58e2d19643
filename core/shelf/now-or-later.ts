import { addDays, formatISO, parseISO } from 'date-fns'
import type { PartWant } from '../fits/for-part'
import { vanOf, type ShelfPlace } from '../fits/shelf-place'
import { LEAD } from '../knowledge/shelf/keeping'
import type { Rates } from '../knowledge/shop/rates'
import type { Supplier, SupplierOffer } from '../visit/buying'
import { secondTripCost } from './levels/level'
import { usable, type Lying } from './lying'

/** How far it is from the machine, minutes one way; absent where it is on no map. */
export interface Reach {
  shop?: number
  /** The other vans: where each stands now. */
  vans: Readonly<Record<string, { minutes: number; at: string }>>
}
/** Where a part can be had from. */
export interface PartSource {
  from: 'van' | 'other-van' | 'shop' | 'supplier' | 'nowhere'
  /** What it is called there. */
  name?: string
  place?: ShelfPlace
  supplier?: string
  /** Who stands where with it. */
  at?: string
  /** There and back, minutes. */
  minutes?: number
  /** ISO date on which it can be there. */
  on?: string
  /** What must be done for it to fit. */
  needs: string[]
  /** Nobody has held it against the old one yet. */
  isUnsure?: true
}

interface Scene {
  van: ShelfPlace
  reach: Reach | undefined
  offers: ReadonlyMap<string, readonly SupplierOffer[]>
  suppliers: ReadonlyMap<string, Supplier>
  /** Articles that may serve, whether or not they lie anywhere, the surest first. */
  serving: readonly { article: { id: string; name: string }; verdict: Lying['verdict']; needs: readonly string[] }[]
  /** ISO date. */
  today: string
}

/** Everywhere that a part can be had from, the soonest first; nowhere where it is to be had nowhere. */
export function sourcesOf(want: PartWant, lying: readonly Lying[], scene: Scene): PartSource[] {
  const { van, reach, offers, suppliers, serving, today } = scene
  const sure = (verdict: Lying['verdict']) => (verdict === 'not-read' ? { isUnsure: true as const } : {})
  const here: PartSource[] = usable(lying).flatMap(({ article, verdict, needs, places }) =>
    places
      .filter(({ count }) => count >= want.needed)
      .map(({ place }): PartSource => {
        const inVan = vanOf(place)
        const other = inVan === undefined ? undefined : reach?.vans[inVan]
        const of = { name: article.name, place, needs: [...needs], ...sure(verdict) }
        if (place === van) return { ...of, from: 'van', minutes: 0 }
        if (inVan !== undefined)
          return { ...of, from: 'other-van', ...(other ? { minutes: 2 * other.minutes, at: other.at } : {}) }
        return { ...of, from: 'shop', ...(reach?.shop === undefined ? {} : { minutes: 2 * reach.shop }) }
      }),
  )
  const sold = usable(serving).flatMap(({ article, verdict, needs }) =>
    (offers.get(article.id) ?? []).flatMap(({ supplier: id }): PartSource[] => {
      const supplier = suppliers.get(id)
      if (!supplier || supplier.gone) return []
      const days = Math.ceil(supplier.leadDays ?? LEAD.days)
      const on = formatISO(addDays(parseISO(today), days), { representation: 'date' })
      return [
        { from: 'supplier', supplier: supplier.name, name: article.name, on, needs: [...needs], ...sure(verdict) },
      ]
    }),
  )
  const all = [
    ...here.sort((a, b) => (a.minutes ?? FAR) - (b.minutes ?? FAR)),
    ...sold.sort((a, b) => ((a.on as string) < (b.on as string) ? -1 : 1)),
  ]
  return all.length > 0 ? all : [{ from: 'nowhere', needs: [] }]
}
/** What is on no map is farther than all that is. */
const FAR = 1e6

/** A repair: whether it can be finished now, and what it comes to if not. Money in the shop's currency. */
export interface NowOrLater {
  option: string
  /** All of its parts are in the van. */
  isNow: boolean
  /** What is not in the van, each with the soonest way to it. */
  missing: { part: string; source: PartSource }[]
  /** Fetched while somebody waits there: minutes, and what they cost; absent where something cannot be fetched. */
  fetch?: { minutes: number; cost: number }
  /** Another journey on another day: its day where it is known, and what it costs with the customer's trouble. */
  later?: { on?: string; cost: number }
  /** Expected cost with the cheaper of both. */
  total: number
}

/** More than this nobody waits for. */
const MOST_FETCHING = 180

/**
 * Each repair with what getting its parts adds: what can be finished now stands beside what is right and comes later,
 * in money and with the risk of being wrong in its expected cost already.
 */
export function nowOrLater(
  options: readonly {
    id: string
    expectedCost: number
    parts: readonly { part: string; sources: readonly PartSource[] }[]
  }[],
  rates: Pick<Rates, 'hourly' | 'trip' | 'downtime'>,
): NowOrLater[] {
  return options
    .map(({ id, expectedCost, parts }): NowOrLater => {
      const missing = parts.flatMap(({ part, sources }) => {
        const [soonest] = sources
        return soonest && soonest.from !== 'van' ? [{ part, source: soonest }] : []
      })
      if (missing.length === 0) return { option: id, isNow: true, missing, total: expectedCost }
      // One way brings all that lies at one place.
      const ways = new Map(missing.map(({ source }) => [source.place ?? source.supplier ?? '', source.minutes]))
      const minutes = [...ways.values()].reduce<number>((sum, each) => sum + (each ?? FAR), 0)
      const fetch = minutes <= MOST_FETCHING ? { minutes, cost: (minutes / 60) * rates.hourly } : undefined
      const cost = secondTripCost(rates)
      const days = missing.map(({ source }) => source.on)
      const on = days.every((day) => day !== undefined) ? days.sort().at(-1) : undefined
      const isNowhere = missing.some(({ source }) => source.from === 'nowhere')
      return {
        option: id,
        isNow: false,
        missing,
        ...(fetch ? { fetch } : {}),
        later: { cost, ...(on === undefined || isNowhere ? {} : { on }) },
        total: expectedCost + Math.min(fetch?.cost ?? Number.POSITIVE_INFINITY, cost),
      }
    })
    .sort((a, b) => a.total - b.total)
}
