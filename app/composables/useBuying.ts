import { addMonths, formatISO } from 'date-fns'
import { v7 as uuidv7 } from 'uuid'
import { ref } from 'vue'
import type { ShelfPlace } from '#core/fits/shelf-place'
import { shelfMonthsOf } from '#core/knowledge/fits/families'
import type { OrderState } from '#core/shelf/bought'
import type { BuyingFrom } from '#core/shelf/buying-list'
import type { DeliveryLine } from '#core/shelf/papers/delivery'
import type { PriceChange } from '#core/shelf/papers/price-list'
import type { Supplier } from '#core/visit/buying'
import { useShelf } from '~/stores/shelf'
import { useDayJournal } from './useDayJournal'
import { draft, useDrafts } from './useDrafts'

/** What is taken in of a delivery: so many of an article for a line of the order, and where it goes. */
export interface TakenIn extends Pick<DeliveryLine, 'line' | 'count'> {
  article: string
  to: ShelfPlace
}
/** An order as it is put together: lines of a supplier that sells them, and what is asked for by name. */
export type OrderDraft = Pick<BuyingFrom, 'supplier' | 'freight'> & {
  lines: { article: string; count: number; code?: string; price?: number; visits?: string[] }[]
}

/** Orders, deliveries and prices: written down here, and asked of the supplier by way of the shop. */
export function useBuying() {
  const shelf = useShelf()
  const drafts = useDrafts()
  const journal = useDayJournal()
  const trouble = ref('')
  const isBusy = ref(false)

  /** Asks the shop something that it asks the supplier. @returns nothing where there is trouble, which is then said */
  async function ask<T>(path: string, body?: object): Promise<T | undefined> {
    trouble.value = ''
    isBusy.value = true
    const init = body && { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }
    const response = await fetch(path, init).catch(() => undefined)
    isBusy.value = false
    if (response?.ok) return (await response.json()) as T
    const said = (await response?.json().catch(() => undefined)) as { title?: string } | undefined
    trouble.value = said?.title ?? 'No way to the shop just now: nothing was sent.'
    return undefined
  }

  /** The next number of the shop: the year and how many there were. */
  function nextNumber(): string {
    const year = String(new Date().getFullYear()).slice(2)
    const used = shelf.bought.orders.flatMap(({ number }) => {
      const found = new RegExp(`^${year}-(\\d+)$`).exec(number)
      return found ? [Number(found[1])] : []
    })
    return `${year}-${Math.max(0, ...used) + 1}`
  }

  /** Writes an order down, and tells the supplier where it answers. */
  async function place({ supplier, lines, freight }: OrderDraft): Promise<string> {
    const order = uuidv7()
    await shelf.write({
      kind: 'order-placed',
      body: {
        order,
        supplier: supplier.id,
        number: nextNumber(),
        lines: lines.map((line, index) => ({ ...line, line: index + 1 })),
        ...(freight > 0 ? { freight } : {}),
      },
    })
    if (supplier.service) await send(order)
    return order
  }

  /** Tells the supplier; an order that is told twice is one. */
  async function send(order: string): Promise<void> {
    const said = await ask<{
      state: 'confirmed' | 'cancelled'
      expectedOn?: string
      lines: { line: number; count: number }[]
    }>(`/api/shelf/orders/${order}/send`, {})
    if (!said) return
    await confirm(order, said.state, { ...(said.expectedOn ? { expectedOn: said.expectedOn } : {}), lines: said.lines })
  }

  async function confirm(
    order: string,
    to: 'confirmed' | 'cancelled' | 'closed',
    {
      expectedOn,
      lines = [],
      note,
    }: { expectedOn?: string; lines?: { line: number; count: number }[]; note?: string } = {},
  ): Promise<void> {
    await shelf.write({
      kind: 'order-moved',
      body: {
        order,
        to,
        ...(expectedOn ? { expectedOn } : {}),
        ...(lines.length > 0 ? { lines } : {}),
        ...(note ? { note } : {}),
      },
    })
    if (expectedOn && to === 'confirmed') await tellVisits(order, new Date(`${expectedOn}T12:00`))
  }

  /** The Day knows from when on the parts of a visit are there. */
  async function tellVisits(id: string, at: Date, lines?: ReadonlySet<number>): Promise<void> {
    const order = shelf.bought.orders.find((each) => each.order === id)
    const waiting = new Set(
      (order?.lines ?? []).flatMap(({ line, visits = [] }) => (!lines || lines.has(line) ? visits : [])),
    )
    for (const visitId of waiting) {
      const state = await journal.stateOf(visitId).catch(() => undefined)
      if (state && !state.handedOver)
        await drafts.write([draft(visitId, 'arranged', { ...state.schedule.arranged, partsAt: at.toISOString() })])
    }
  }

  /** Puts what came where it lies from now on. */
  async function takeIn(order: OrderState, delivery: string, taken: readonly TakenIn[]): Promise<void> {
    await shelf.move(
      ...taken.map(({ article, count, line, to }) => ({
        article,
        count,
        from: 'supplier' as const,
        to,
        why: 'received' as const,
        order: order.order,
        line,
        delivery,
        ...untilOf(article),
      })),
    )
    const whole = new Set(
      shelf.bought.orders
        .find((each) => each.order === order.order)
        ?.lines.flatMap(({ line, missing }) => (missing === 0 ? [line] : [])) ?? [],
    )
    await tellVisits(order.order, new Date(), whole)
  }
  function untilOf(article: string): { until?: string } {
    const months = shelfMonthsOf(shelf.stock.articles.get(article)?.family)
    return months === undefined ? {} : { until: formatISO(addMonths(new Date(), months), { representation: 'date' }) }
  }

  /** What came in place of something else goes back to where it came from. */
  async function sendBack(order: OrderState, line: number, article: string, count: number): Promise<void> {
    const lying = [...shelf.stock.at.values()].filter((each) => each.article === article && each.count >= count)
    const [from] = lying.toSorted((a, b) => b.count - a.count)
    if (!from) {
      trouble.value = 'It does not lie anywhere any more: count it first.'
      return
    }
    await shelf.move({
      article,
      count,
      from: from.place,
      to: 'supplier',
      why: 'returned',
      order: order.order,
      line,
      delivery: uuidv7(),
    })
  }

  /** What a price list says from now on, and with it what the shop reckons with: the least that anybody asks. */
  async function keepPrices(changes: readonly PriceChange[]): Promise<void> {
    const lines = changes.flatMap(({ article: id, offer }) => {
      const article = shelf.stock.articles.get(id)
      const others = (shelf.bought.offers.get(id) ?? []).filter(({ supplier }) => supplier !== offer.supplier)
      const asked = [...others, offer].map(({ prices }) => prices[0]?.price ?? Number.POSITIVE_INFINITY)
      const price = Math.min(...asked)
      return [
        { kind: 'offer-set' as const, body: { offer } },
        ...(article
          ? [{ kind: 'article-set' as const, body: { article: { ...article, price, pricedOn: offer.pricedOn } } }]
          : []),
      ]
    })
    if (lines.length > 0) await shelf.write(...lines)
  }

  return {
    trouble,
    isBusy,
    ask,
    place,
    send,
    confirm,
    takeIn,
    sendBack,
    keepPrices,
    keepSupplier: (supplier: Supplier) => shelf.write({ kind: 'supplier-set', body: { supplier } }),
  }
}
