import { familyOf, FAMILIES } from '../knowledge/fits/families'
import type { SpecField } from '../knowledge/fits/family'
import { toldField } from '../fits/fit'
import type { Article } from '../fits/article'
import type { ShelfPlace } from '../fits/shelf-place'
import { addDays, formatISO, parseISO } from 'date-fns'
import { groupedBy } from '../quantity/grouped'
import { render, type Reader } from '../quantity/sentence'
import { SHELF_LIFE } from '../knowledge/shelf/moves'
import { whole, type Stock } from './stock'

/** An article as one line of a list. */
export interface ListedArticle {
  article: Article
  /** Its measures in words. */
  told: string
  total: number
  places: { place: ShelfPlace; count: number }[]
  /** The first day on which some of it is too old, where that is near or over. */
  oldOn?: string
}

/** The measures of an article in the reader’s units, by their names. */
export function toldMeasures({ family, spec }: Pick<Article, 'family' | 'spec'>, reader: Reader): string[] {
  if (!family) return []
  const fields: Readonly<Record<string, SpecField>> = FAMILIES[family].fields
  return Object.entries(fields).flatMap(([name, field]) => {
    const value = spec[name]
    return value === undefined ? [] : [`${field.label.toLowerCase()} ${render(toldField(field, value), reader)}`]
  })
}

/**
 * The articles of the shop by family and name, each with where it lies; all of them, or those that have every word that
 * was typed.
 *
 * @param today ISO date
 */
export function listArticles(
  { articles, at }: Pick<Stock, 'articles' | 'at'>,
  { words = '', place, today, reader }: { words?: string; place?: ShelfPlace; today: string; reader: Reader },
): ListedArticle[] {
  const asked = words.toLowerCase().split(/\s+/).filter(Boolean)
  const near = formatISO(addDays(parseISO(today), SHELF_LIFE.warnDays), { representation: 'date' })
  const lying = groupedBy(
    [...at.values()].filter(({ count }) => count !== 0),
    ({ article }) => article,
  )
  return [...articles.values()]
    .flatMap((article): ListedArticle[] => {
      const here = lying.get(article.id) ?? []
      const told = toldMeasures(article, reader).join(', ')
      const text =
        `${article.name} ${told} ${article.family ? FAMILIES[article.family].name : ''} ${article.note ?? ''} ${(
          article.codes ?? []
        ).join(' ')}`.toLowerCase()
      const isGone = article.gone && here.length === 0
      if (isGone || !asked.every((word) => text.includes(word))) return []
      if (place !== undefined && !here.some((each) => each.place === place)) return []
      const oldOn = here
        .flatMap(({ lots }) => lots.flatMap(({ until }) => until ?? []))
        .filter((until) => until <= near)
        .sort()[0]
      return [
        {
          article,
          told,
          total: whole(here.reduce((sum, { count }) => sum + count, 0)),
          places: here.map(({ place: where, count }) => ({ place: where, count })),
          ...(oldOn === undefined ? {} : { oldOn }),
        },
      ]
    })
    .sort((a, b) => compare(orderOf(a.article), orderOf(b.article)))
}

const compare = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0)
const FAMILY_ORDER = Object.keys(FAMILIES)
/** Families as they stand on the shelves, numbers in a name by their size. */
function orderOf({ family, part, name }: Article): string {
  const of = family ?? (part && familyOf(part))
  const at = of ? FAMILY_ORDER.indexOf(of) : FAMILY_ORDER.length
  return `${String(at).padStart(3, '0')} ${name.toLowerCase().replace(/\d+/g, (number) => number.padStart(8, '0'))}`
}

/** A count as it is written: never rounded, for what is shown is typed again. */
export const countWords = (count: number) => String(whole(count))

/** The article that a code belongs to, as it was read by a camera or typed; or that is called so. */
export function byCode({ articles }: Pick<Stock, 'articles'>, code: string): Article | undefined {
  const wanted = code.trim()
  return [...articles.values()].find(
    ({ id, name, codes = [], gone }) =>
      !gone && (codeOf(id) === wanted || codes.includes(wanted) || name.toLowerCase() === wanted.toLowerCase()),
  )
}
/** What the shop’s own label of an article says. */
export const codeOf = (article: string) => `pike:${article}`
