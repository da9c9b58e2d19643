import type { Supplier, SupplierOffer } from '../visit/buying'
import { whole } from './stock'

/** Something that is to be bought. */
export interface Wanted {
  article: string
  count: number
  /** Visits that wait for it. */
  visits?: string[]
}
export interface BuyingLine extends Wanted {
  code: string
  /** Of one piece, whole cents. */
  price: number
  amount: number
  /** More than is wanted: by its pack, or because more costs less. */
  isMore?: 'pack' | 'cheaper'
}
/** What is ordered from one supplier. Whole cents. */
export interface BuyingFrom {
  supplier: Supplier
  lines: BuyingLine[]
  goods: number
  freight: number
  /** What is missing to the least that it delivers. */
  short: number
}
export interface BuyingList {
  from: BuyingFrom[]
  /** What nobody on the list sells. */
  nowhere: Wanted[]
  total: number
}

/** More suppliers than this are not tried in every combination. */
const MOST_SUPPLIERS = 10

/** How many are bought so that enough come at the least money: whole packs, and a price step where more costs less. */
export function bestCount(
  { prices, pack }: Pick<SupplierOffer, 'prices' | 'pack'>,
  wanted: number,
): Omit<BuyingLine, 'article' | 'code'> {
  const packed = (count: number) => (pack ? whole(Math.ceil(whole(count / pack)) * pack) : count)
  const priceAt = (count: number) => (prices.findLast(({ from }) => from <= count) ?? prices[0])?.price ?? 0
  const amountOf = (count: number) => Math.round(priceAt(count) * count)
  const plain = packed(Math.max(wanted, prices[0]?.from ?? 0))
  const tried = [plain, ...prices.map(({ from }) => packed(from)).filter((from) => from > plain)]
  const count = tried.reduce((best, each) => (amountOf(each) < amountOf(best) ? each : best), plain)
  return {
    count,
    price: priceAt(count),
    amount: amountOf(count),
    ...(count > plain ? { isMore: 'cheaper' as const } : count > wanted ? { isMore: 'pack' as const } : {}),
  }
}

/**
 * From whom what is wanted is bought for the least money with freight: every choice of suppliers, each article from the
 * cheapest of them, and then what is moved so that a freight or a least order is saved.
 */
export function buyingList(
  wanted: readonly Wanted[],
  suppliers: readonly Supplier[],
  offers: ReadonlyMap<string, readonly SupplierOffer[]>,
): BuyingList {
  const known = new Map(suppliers.filter(({ gone }) => !gone).map((supplier) => [supplier.id, supplier]))
  const sold = wanted.map((want) => ({
    want,
    offers: (offers.get(want.article) ?? []).flatMap((offer) =>
      known.has(offer.supplier) ? [{ offer, bought: bestCount(offer, want.count) }] : [],
    ),
  }))
  const able = sold.filter((each) => each.offers.length > 0)
  const nowhere = sold.filter((each) => each.offers.length === 0).map(({ want }) => want)
  const names = [...new Set(able.flatMap((each) => each.offers.map(({ offer }) => offer.supplier)))].slice(
    0,
    MOST_SUPPLIERS,
  )
  let best: { cost: number; chosen: string[] } | undefined
  for (let set = 1; set < 1 << names.length; set++) {
    const allowed = new Set(names.filter((_, index) => set & (1 << index)))
    const chosen = cheapestOf(able, allowed)
    if (!chosen) continue
    const better = moved(able, chosen, known, allowed)
    const cost = costOf(able, better, known)
    if (!best || cost < best.cost) best = { cost, chosen: better }
  }
  const from = best ? ordersOf(able, best.chosen, known) : []
  return { from, nowhere, total: from.reduce((sum, { goods, freight }) => sum + goods + freight, 0) }
}

type Able = { want: Wanted; offers: { offer: SupplierOffer; bought: ReturnType<typeof bestCount> }[] }

function amountFrom({ offers }: Able, supplier: string): number {
  return offers.find(({ offer }) => offer.supplier === supplier)?.bought.amount ?? Number.POSITIVE_INFINITY
}

function cheapestOf(able: readonly Able[], allowed: ReadonlySet<string>): string[] | undefined {
  const chosen: string[] = []
  for (const each of able) {
    const cheapest = each.offers
      .map(({ offer }) => offer.supplier)
      .filter((supplier) => allowed.has(supplier))
      .reduce<string | undefined>(
        (least, supplier) =>
          least === undefined || amountFrom(each, supplier) < amountFrom(each, least) ? supplier : least,
        undefined,
      )
    if (cheapest === undefined) return undefined
    chosen.push(cheapest)
  }
  return chosen
}

/** Money beyond the goods that a shortfall of the least order is held to be worth, cents: it cannot be ordered so. */
const TOO_LITTLE = 5_000_00

function costOf(able: readonly Able[], chosen: readonly string[], known: ReadonlyMap<string, Supplier>): number {
  const goods = new Map<string, number>()
  able.forEach((each, index) => {
    const supplier = chosen[index] as string
    goods.set(supplier, (goods.get(supplier) ?? 0) + amountFrom(each, supplier))
  })
  return [...goods].reduce((sum, [id, amount]) => {
    const supplier = known.get(id) as Supplier
    return sum + amount + freightOf(supplier, amount) + (amount < (supplier.minimum ?? 0) ? TOO_LITTLE : 0)
  }, 0)
}

export function freightOf({ freight = 0, freeFrom }: Pick<Supplier, 'freight' | 'freeFrom'>, goods: number): number {
  return freeFrom !== undefined && goods >= freeFrom ? 0 : freight
}

/** Moves one article after the other to another supplier as long as it saves money. */
function moved(
  able: readonly Able[],
  chosen: readonly string[],
  known: ReadonlyMap<string, Supplier>,
  allowed: ReadonlySet<string>,
): string[] {
  let now = [...chosen]
  let cost = costOf(able, now, known)
  for (;;) {
    let best: { next: string[]; cost: number } | undefined
    able.forEach((each, index) => {
      for (const { offer } of each.offers) {
        if (!allowed.has(offer.supplier) || offer.supplier === now[index]) continue
        const next = now.with(index, offer.supplier)
        const tried = costOf(able, next, known)
        if (tried < cost && (!best || tried < best.cost)) best = { next, cost: tried }
      }
    })
    if (!best) return now
    ;({ next: now, cost } = best)
  }
}

function ordersOf(
  able: readonly Able[],
  chosen: readonly string[],
  known: ReadonlyMap<string, Supplier>,
): BuyingFrom[] {
  return [...new Set(chosen)].map((id) => {
    const supplier = known.get(id) as Supplier
    const lines = able.flatMap(({ want, offers }, index): BuyingLine[] => {
      const sold = chosen[index] === id ? offers.find(({ offer }) => offer.supplier === id) : undefined
      return sold
        ? [
            {
              ...sold.bought,
              article: want.article,
              code: sold.offer.code,
              ...(want.visits ? { visits: want.visits } : {}),
            },
          ]
        : []
    })
    const goods = lines.reduce((sum, { amount }) => sum + amount, 0)
    return {
      supplier,
      lines,
      goods,
      freight: freightOf(supplier, goods),
      short: Math.max(0, (supplier.minimum ?? 0) - goods),
    }
  })
}
