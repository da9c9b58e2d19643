import type { Article } from '../fits/article'
import type { ShelfPlace } from '../fits/shelf-place'
import type { Candidate } from '../fits/what-fits'
import { countOf, type Stock } from './stock'

/** The articles of the shop as what may fit, with how many there are: everywhere, or at one place. */
export function candidatesIn(
  stock: Pick<Stock, 'articles' | 'at'>,
  place?: ShelfPlace,
): (Candidate & { article: Article })[] {
  return [...stock.articles.values()]
    .filter(({ gone }) => !gone)
    .map((article) => ({
      id: article.id,
      name: article.name,
      article,
      spec: article.spec,
      count: Math.max(0, Math.floor(countOf(stock, article.id, place))),
      ...(article.family ? { family: article.family } : {}),
      ...(article.price === undefined ? {} : { price: article.price }),
    }))
}
