import type { Article } from '../fits/article'
import type { Candidate } from '../fits/what-fits'
import { groupedBy } from '../quantity/grouped'
import type { Stock } from './stock'

/** The articles of the shop as what may fit, with how many there are. */
export function candidatesIn({ articles, at }: Pick<Stock, 'articles' | 'at'>): (Candidate & { article: Article })[] {
  const lying = groupedBy([...at.values()], ({ article }) => article)
  return [...articles.values()]
    .filter(({ gone }) => !gone)
    .map((article) => ({
      id: article.id,
      name: article.name,
      article,
      spec: article.spec,
      count: Math.max(0, Math.floor((lying.get(article.id) ?? []).reduce((sum, { count }) => sum + count, 0))),
      ...(article.family ? { family: article.family } : {}),
      ...(article.price === undefined ? {} : { price: article.price }),
    }))
}
