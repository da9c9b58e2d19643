import type { Article } from '../../fits/article'
import type { SupplierOffer } from '../../visit/buying'
import type { OrderState } from '../bought'
import { whole } from '../stock'
import type { DespatchPaper } from './paper'

/** A line of a delivery note held against the order: what it is, and whether it is what was ordered. */
export interface DeliveryLine {
  /** Of the order. */
  line: number
  code: string
  name: string
  count: number
  /** The article that it is; absent where the shop does not know it. */
  article?: string
  is: 'right' | 'too-many' | 'wrong' | 'unknown'
}
export interface CheckedDelivery {
  delivery: string
  order: string
  number: string
  lines: DeliveryLine[]
  /** It was taken in before. */
  isKnown: boolean
}

/**
 * A delivery note held against its order, line by line.
 *
 * @param known deliveries of this order that were taken in before
 */
export function checkedDelivery(
  { id, lines }: DespatchPaper,
  order: OrderState,
  {
    offers,
    articles,
    known,
  }: {
    offers: ReadonlyMap<string, readonly SupplierOffer[]>
    articles: ReadonlyMap<string, Article>
    known: ReadonlySet<string>
  },
): CheckedDelivery {
  const byCode = new Map(
    [...offers.values()]
      .flat()
      .flatMap(({ supplier, code, article }) => (supplier === order.supplier ? [[code, article]] : [])),
  )
  const left = new Map(order.lines.map(({ line, missing }) => [line, missing]))
  return {
    delivery: id,
    order: order.order,
    number: order.number,
    isKnown: known.has(id),
    lines: lines.map(({ line: said, code, name, count }): DeliveryLine => {
      const of = order.lines.find((each) => (said === undefined ? each.code === code : each.line === said))
      const ordered = of?.code === code ? of.article : undefined
      const article = ordered ?? byCode.get(code) ?? articleCalled(articles, name)
      const line = of?.line ?? order.lines[0]?.line ?? 1
      if (article === undefined) return { line, code, name, count, is: 'unknown' }
      if (!of || article !== of.article) return { line, code, name, count, article, is: 'wrong' }
      const missing = left.get(line) ?? 0
      left.set(line, whole(missing - count))
      return { line, code, name, count, article, is: count > missing ? 'too-many' : 'right' }
    }),
  }
}

function articleCalled(articles: ReadonlyMap<string, Article>, name: string): string | undefined {
  const wanted = name.trim().toLowerCase()
  return [...articles.values()].find(({ name: called, gone }) => !gone && called.toLowerCase() === wanted)?.id
}
