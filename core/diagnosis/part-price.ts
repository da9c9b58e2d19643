import { articlesFor, wantsOf } from '../fits/for-part'
import type { KnownMachine } from '../fits/wanted-of'
import type { PricedArticle } from '../knowledge/shelf/priced'
import type { Rates } from '../knowledge/shop/rates'
import { METRED } from '../knowledge/shop/stakes'
import type { Part } from '../knowledge/vocabulary'
import type { Pump } from '../motor/nameplate'

/** The machine that a part is priced for: with its plate by what fits it, without one by the list. */
export type PricedFor = Pick<Pump, 'kind' | 'installation' | 'fitted'> & Partial<Pick<Pump, 'nameplate'>>
type PricedBy = Pick<Rates, 'partPrices' | 'partsMarkup' | 'articles'>

/** What the shop pays for a part by what lies on its shelves. */
export interface ShelfPrice {
  /** In the shop's currency, for all pieces of it. */
  price: number
  /** What it is made up of, each with the day of its price. */
  of: PricedArticle[]
}

/**
 * Price of parts, markup included: by the article that is known to fit this machine, else by the list, a kind's own
 * price before the general one, cable and pipe by the metre where the length is known. A part without a price counts
 * nothing and is listed by the caller.
 */
export function partsPrice(parts: readonly Part[], rates: PricedBy, machine: PricedFor): number {
  return (
    parts.reduce(
      (sum, part) => sum + (shelfPriceOf(part, rates, machine)?.price ?? listedPrice(part, rates, machine)),
      0,
    ) *
    (1 + rates.partsMarkup)
  )
}

function listedPrice(part: Part, { partPrices }: PricedBy, { kind, installation }: PricedFor): number {
  const listed = partPrices[`${part}:${kind}`] ?? partPrices[part] ?? 0
  const metred = METRED[part]
  const metres = metred && installation?.[metred.length]
  return metred && metres !== undefined ? (listed * metres) / metred.pricedFor : listed
}

/** One list of articles is asked about the parts of one machine over and over: by every repair that has them. */
const answered = new WeakMap<readonly PricedArticle[], Map<string, ShelfPrice | undefined>>()

/**
 * What a part of a machine costs the shop by its shelves.
 *
 * @returns undefined where nothing there is known to fit, or its length is not known: the list's price stands
 */
export function shelfPriceOf(
  part: Part,
  { articles }: Pick<Rates, 'articles'>,
  machine: PricedFor,
): ShelfPrice | undefined {
  if (!articles || articles.length === 0 || !machine.nameplate) return undefined
  const known = answered.get(articles) ?? new Map<string, ShelfPrice | undefined>()
  answered.set(articles, known)
  const key = `${part} ${keyOf(machine)}`
  if (!known.has(key)) known.set(key, fittingPrice(part, articles, { ...machine, nameplate: machine.nameplate }))
  return known.get(key)
}

const keys = new WeakMap<object, string>()
function keyOf(machine: PricedFor): string {
  const { kind, nameplate, installation, fitted } = machine
  const key = keys.get(machine) ?? JSON.stringify([kind, nameplate, installation, fitted])
  keys.set(machine, key)
  return key
}

function fittingPrice(part: Part, articles: readonly PricedArticle[], machine: KnownMachine): ShelfPrice | undefined {
  const metred = METRED[part]
  if (metred && machine.installation?.[metred.length] === undefined) return undefined
  const pieces = wantsOf(machine, part).map((want) => ({
    needed: want.needed,
    article: articlesFor(want, articles).find(({ verdict }) => verdict === 'fits')?.article,
  }))
  const of = pieces.flatMap(({ article }) => article ?? [])
  if (of.length < pieces.length) return undefined
  const spent = pieces.reduce((sum, { article, needed }) => sum + (article?.price ?? 0) * needed, 0)
  return { price: spent / 100, of: [...new Set(of)] }
}
