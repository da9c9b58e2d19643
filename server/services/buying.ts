import type { PricePlan } from '../../core/shelf/papers/price-list'
import { boughtFrom, type Bought, type OrderState } from '../../core/shelf/bought'
import { checkedDelivery, type CheckedDelivery } from '../../core/shelf/papers/delivery'
import type { DespatchPaper, OrderPaper } from '../../core/shelf/papers/paper'
import { fromDespatchCsv } from '../../core/shelf/papers/csv'
import { fromUblDespatch, toUblOrder } from '../../core/shelf/papers/ubl'
import { stockFrom, type Stock } from '../../core/shelf/stock'
import type { Supplier } from '../../core/visit/buying'
import type { Entry } from '../../core/visit/entry'
import { ofKind } from '../../core/visit/of-kind'
import { liveEntries } from '../../core/visit/supersession'
import { shopOf } from '../../core/visit/visit-view'
import { InputError } from '../../core/validation/input-error'
import { serviceOf, type OrderAnswer } from '../suppliers/service'
import { Problem } from '../utils/problem'
import type { PriceFile } from './price-lists'
import type { ShopApp } from './shop-app'

export interface ShelfKnown {
  lines: Entry[]
  stock: Stock
  bought: Bought
  shop: ReturnType<typeof shopOf>
}

/** What the shop has, buys and charges, read and folded once. */
export async function shelfKnown({ repository }: Pick<ShopApp, 'repository'>): Promise<ShelfKnown> {
  const lines = await repository.shelfLines()
  return {
    lines,
    stock: stockFrom(lines),
    bought: boughtFrom(lines),
    shop: shopOf((await repository.shopEntries()).map(({ entry }) => entry)),
  }
}

function supplierIn({ suppliers }: Bought, id: string): Supplier {
  const supplier = suppliers.get(id)
  if (!supplier || supplier.gone) throw new Problem(404, `There is no supplier with the id ${id}.`)
  return supplier
}
function orderIn({ orders }: Bought, id: string): OrderState {
  const order = orders.find((each) => each.order === id)
  if (!order) throw new Problem(404, `There is no order with the id ${id}.`)
  return order
}

/** What a price list would change: nothing is written. */
export async function priceListOf(
  app: ShopApp,
  { supplier, file, today }: { supplier: string; file?: PriceFile; today: string },
): Promise<PricePlan> {
  const { stock, bought, shop } = await shelfKnown(app)
  const known = supplierIn(bought, supplier)
  const { text, mapping } = file ?? { text: await serviceOf(known).prices() }
  return app.work.run('priceList', {
    text,
    currency: shop.rates.currency,
    ...(mapping ? { mapping } : {}),
    articles: [...stock.articles.values()],
    offers: bought.offers,
    supplier,
    today,
  })
}

/** An order as it leaves: each line by the supplier’s number of it, else by its name. */
export async function orderPaperOf(app: ShopApp, id: string): Promise<OrderPaper> {
  const known = await shelfKnown(app)
  return paperOf(orderIn(known.bought, id), known)
}

function paperOf(order: OrderState, { stock, bought, shop }: ShelfKnown): OrderPaper {
  return {
    number: order.number,
    issuedOn: order.placedAt.slice(0, 10),
    currency: shop.rates.currency,
    buyer: shop.name || 'This shop',
    seller: bought.suppliers.get(order.supplier)?.name ?? '',
    lines: order.lines.map(({ line, article, count, code, price }) => {
      const name = stock.articles.get(article)?.name ?? article
      return { line, name, count, code: code ?? name, ...(price === undefined ? {} : { price }) }
    }),
  }
}

/** Tells the supplier of an order, and hears what it says. */
export async function sendOrder(app: ShopApp, id: string): Promise<OrderAnswer> {
  const known = await shelfKnown(app)
  const order = orderIn(known.bought, id)
  const service = serviceOf(supplierIn(known.bought, order.supplier))
  return service.order(toUblOrder(paperOf(order, known)))
}

/** What the supplier says that it sent of an order, held against it. */
export async function deliveriesOf(app: ShopApp, id: string): Promise<CheckedDelivery[]> {
  const known = await shelfKnown(app)
  const order = orderIn(known.bought, id)
  const service = serviceOf(supplierIn(known.bought, order.supplier))
  const papers = (await service.despatches(order.number)).map(fromUblDespatch)
  return papers.map((paper) => held(paper, order, known))
}

/** A delivery note as a file, UBL or a table, held against the order that it names. */
export async function deliveryIn(app: ShopApp, text: string, today: string): Promise<CheckedDelivery> {
  const paper = text.trimStart().startsWith('<') ? fromUblDespatch(text) : fromDespatchCsv(text, today)
  const known = await shelfKnown(app)
  const order = known.bought.orders.find(({ number }) => number === paper.order)
  if (!order)
    throw new InputError([
      { field: 'order', value: paper.order.slice(0, 80), expected: 'the number of an order of this shop' },
    ])
  return held(paper, order, known)
}

function held(paper: DespatchPaper, order: OrderState, { lines, stock, bought }: ShelfKnown): CheckedDelivery {
  const taken = ofKind(liveEntries(lines), 'stock-moved').flatMap(({ body }) =>
    body.order === order.order && body.delivery !== undefined ? [body.delivery] : [],
  )
  return checkedDelivery(paper, order, { offers: bought.offers, articles: stock.articles, known: new Set(taken) })
}
