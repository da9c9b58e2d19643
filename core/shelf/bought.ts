import { groupedBy } from '../quantity/grouped'
import type { OrderLine, Supplier, SupplierOffer } from '../visit/buying'
import type { Entry, EntryOf } from '../visit/entry'
import { ofKind } from '../visit/of-kind'
import { liveEntries } from '../visit/supersession'
import { whole } from './stock'

/** A line of an order, and what came of it. */
export interface OrderLineState extends OrderLine {
  /** So many come, as the supplier says. */
  promised: number
  /** Of what was ordered. */
  received: number
  /** What came in its place. */
  wrong: { article: string; count: number }[]
  /** Still to come. */
  missing: number
}
export const ORDER_STATES = {
  placed: 'ordered',
  confirmed: 'confirmed',
  partly: 'partly there',
  wrong: 'something wrong came',
  whole: 'all there',
  cancelled: 'cancelled',
  closed: 'closed, not all came',
} as const
export type OrderStateId = keyof typeof ORDER_STATES
export interface OrderState {
  order: string
  supplier: string
  number: string
  state: OrderStateId
  placedAt: string
  author: string
  /** ISO date. */
  expectedOn?: string
  freight?: number
  lines: OrderLineState[]
  note?: string
  /** When the last of it came. */
  arrivedAt?: string
}
/** What the shop wants to have and buys, as its lines say it. */
export interface Bought {
  suppliers: Map<string, Supplier>
  /** By article. */
  offers: Map<string, SupplierOffer[]>
  /** The newest first. */
  orders: OrderState[]
  /** Levels fixed by hand, pieces. */
  fixed: Record<string, number>
  /** So much money may lie, whole cents. */
  most?: number
}

/** What is ordered, from whom, and how far it has come. */
export function boughtFrom(lines: readonly Entry[]): Bought {
  const live = liveEntries(lines)
  const suppliers = new Map(ofKind(live, 'supplier-set').map(({ body: { supplier } }) => [supplier.id, supplier]))
  const offers = new Map(
    ofKind(live, 'offer-set').map(({ body: { offer } }) => [`${offer.article} ${offer.supplier}`, offer]),
  )
  const fixed = new Map(ofKind(live, 'level-set').map(({ body }) => [body.article, body.level]))
  const most = ofKind(live, 'keeping-set').at(-1)?.body.most
  const moves = groupedBy(ofKind(live, 'order-moved'), ({ body }) => body.order)
  const came = groupedBy(
    ofKind(live, 'stock-moved').filter(({ body }) => body.order !== undefined),
    ({ body }) => body.order as string,
  )
  return {
    suppliers,
    offers: groupedBy(
      [...offers.values()].filter(({ gone }) => !gone),
      ({ article }) => article,
    ),
    orders: ofKind(live, 'order-placed')
      .map((placed) => orderState(placed, moves.get(placed.body.order) ?? [], came.get(placed.body.order) ?? []))
      .sort((a, b) => (a.placedAt < b.placedAt ? 1 : -1)),
    fixed: Object.fromEntries(
      [...fixed].flatMap(([article, level]) => (level === undefined ? [] : [[article, level]])),
    ),
    ...(most === undefined ? {} : { most }),
  }
}

function orderState(
  { at, author, body }: EntryOf<'order-placed'>,
  moves: readonly EntryOf<'order-moved'>[],
  came: readonly EntryOf<'stock-moved'>[],
): OrderState {
  const said = new Map(
    moves.flatMap(({ body: { lines = [] } }) => lines.map(({ line, count }) => [line, count] as const)),
  )
  const known = new Set<string>()
  // The same delivery said by two devices came once.
  const once = came.filter(({ body: { why, line, delivery, article } }) => {
    const key = `${why} ${line} ${delivery} ${article}`
    const isNew = delivery === undefined || !known.has(key)
    known.add(key)
    return isNew
  })
  const lines = body.lines.map((line): OrderLineState => {
    const own = once.filter((move) => move.body.line === line.line)
    const sum = (article: string, why: string) =>
      own.reduce(
        (all, move) => (move.body.article === article && move.body.why === why ? all + move.body.count : all),
        0,
      )
    const received = whole(sum(line.article, 'received') - sum(line.article, 'returned'))
    const others = [...new Set(own.map((move) => move.body.article))].filter((article) => article !== line.article)
    const promised = said.get(line.line) ?? line.count
    return {
      ...line,
      promised,
      received,
      wrong: others.flatMap((article) => {
        const count = whole(sum(article, 'received') - sum(article, 'returned'))
        return count > 0 ? [{ article, count }] : []
      }),
      missing: Math.max(0, whole(promised - received)),
    }
  })
  const last = moves.at(-1)
  const ended = moves.findLast(({ body: { to } }) => to !== 'confirmed')?.body.to
  const expectedOn = moves.findLast(({ body: { expectedOn: on } }) => on !== undefined)?.body.expectedOn
  const arrivals = once.filter(({ body: { why } }) => why === 'received').map((move) => move.at)
  return {
    order: body.order,
    supplier: body.supplier,
    number: body.number,
    state: stateOf(lines, moves.length > 0, ended),
    placedAt: at,
    author,
    lines,
    ...(expectedOn === undefined ? {} : { expectedOn }),
    ...(body.freight === undefined ? {} : { freight: body.freight }),
    ...(last?.body.note === undefined ? {} : { note: last.body.note }),
    ...(arrivals.length === 0 ? {} : { arrivedAt: arrivals.sort().at(-1) as string }),
  }
}

function stateOf(
  lines: readonly OrderLineState[],
  isConfirmed: boolean,
  ended: 'confirmed' | 'cancelled' | 'closed' | undefined,
): OrderStateId {
  if (lines.some(({ wrong }) => wrong.length > 0)) return 'wrong'
  if (ended === 'cancelled' || ended === 'closed') return ended
  if (lines.every(({ missing }) => missing === 0)) return 'whole'
  if (lines.some(({ received }) => received > 0)) return 'partly'
  return isConfirmed ? 'confirmed' : 'placed'
}

const ENDED: ReadonlySet<OrderStateId> = new Set<OrderStateId>(['whole', 'cancelled', 'closed'])
export const isOpenOrder = ({ state }: Pick<OrderState, 'state'>) => !ENDED.has(state)

/** By article what is ordered and not there yet. */
export function onOrderOf(orders: readonly OrderState[]): Record<string, number> {
  const sums: Record<string, number> = {}
  for (const order of orders.filter(isOpenOrder))
    for (const { article, missing } of order.lines) sums[article] = whole((sums[article] ?? 0) + missing)
  return sums
}

/** Fewer deliveries than this say nothing of how long the next takes. */
const LEAST_DELIVERIES = 4
const DAY = 86_400_000

/** How long deliveries took of late, days; absent where too few came. */
export function leadSeen(orders: readonly OrderState[]): { days: number; spreadDays: number } | undefined {
  const took = orders
    .filter(({ state, arrivedAt }) => state === 'whole' && arrivedAt !== undefined)
    .slice(0, 20)
    .map(({ placedAt, arrivedAt }) => Math.max(0, (Date.parse(arrivedAt as string) - Date.parse(placedAt)) / DAY))
  if (took.length < LEAST_DELIVERIES) return undefined
  const days = took.reduce((sum, each) => sum + each, 0) / took.length
  const variance = took.reduce((sum, each) => sum + (each - days) ** 2, 0) / (took.length - 1)
  return { days: Math.max(0.5, days), spreadDays: Math.sqrt(variance) }
}
