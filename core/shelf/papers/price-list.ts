import Papa from 'papaparse'
import { readSpec } from '../../fits/read-spec'
import type { Article } from '../../fits/article'
import { readNumber } from '../../quantity/read-number'
import { InputError } from '../../validation/input-error'
import type { PriceBreak, SupplierOffer } from '../../visit/buying'

/** What a price list says, and by which heads it is known. */
export const PRICE_FIELDS = {
  code: { label: 'their number', heads: ['code', 'number', 'item', 'article', 'sku', 'no'] },
  name: { label: 'what it is', heads: ['name', 'description', 'what', 'text'] },
  price: { label: 'price of one', heads: ['price', 'net', 'each', 'unit price'] },
  currency: { label: 'currency', heads: ['currency', 'cur'] },
  from: { label: 'from so many', heads: ['from', 'from count', 'quantity', 'qty', 'break'] },
  pack: { label: 'in packs of', heads: ['pack', 'pack size', 'per pack'] },
} as const
export type PriceField = keyof typeof PRICE_FIELDS
/** Which column is what; a field without one is not in the list. */
export type PriceMapping = Partial<Record<PriceField, number>>

/** More lines than this are no price list of one supplier. */
export const MOST_PRICE_LINES = 200_000
/** So many faults are named. */
const MOST_TOLD = 20

export interface PriceLine {
  code: string
  name: string
  prices: PriceBreak[]
  pack?: number
}
export interface PriceList {
  heads: string[]
  mapping: PriceMapping
  lines: PriceLine[]
}
/** What a price list changes in what the shop knows. */
export interface PriceChange {
  article: string
  offer: SupplierOffer
  /** Of one piece before, whole cents; absent where it was not known from this supplier. */
  before?: number
}
export interface PricePlan {
  heads: string[]
  mapping: PriceMapping
  lines: number
  changes: PriceChange[]
  /** Known and the same. */
  same: number
  /** In the list and nothing that the shop keeps. */
  unknown: number
  /** Sold by this supplier until now, and not in the list. */
  missing: string[]
}

export function guessPriceMapping(heads: readonly string[]): PriceMapping {
  const plain = heads.map((head) => head.trim().toLowerCase())
  return Object.fromEntries(
    Object.entries(PRICE_FIELDS).flatMap(([field, { heads: known }]) => {
      const column = plain.findIndex((head) => (known as readonly string[]).includes(head))
      return column < 0 ? [] : [[field, column]]
    }),
  )
}

/**
 * A price list as it is in a table. Lines of one number with several counts are its price steps.
 *
 * @param currency of the shop: a list in another is refused
 * @throws InputError naming lines, their values and what would be right; nothing of such a list is taken
 */
export function readPriceList(text: string, currency: string, asked?: PriceMapping): PriceList {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' })
  const [heads = [], ...rows] = data
  const mapping = asked ?? guessPriceMapping(heads)
  if (rows.length === 0) throw problem('file', `${data.length} lines`, 'a table with a head and lines under it')
  if (rows.length > MOST_PRICE_LINES)
    throw problem('file', `${rows.length} lines`, `at most ${MOST_PRICE_LINES} lines: leave out what you never buy`)
  for (const field of ['code', 'price'] as const)
    if (mapping[field] === undefined)
      throw problem('mapping', heads.join(', ').slice(0, 120), `a column for ${PRICE_FIELDS[field].label}`)
  const found = new Map<string, PriceLine>()
  const faults: InputError['problems'][number][] = []
  for (const [index, cells] of rows.entries()) {
    const cell = (field: PriceField) => (mapping[field] === undefined ? '' : (cells[mapping[field]] ?? '').trim())
    const place = `line ${index + 2}`
    const fault = (field: PriceField, expected: string) => {
      if (faults.length < MOST_TOLD)
        faults.push({ field: `${place}, ${PRICE_FIELDS[field].label}`, value: cell(field), expected })
    }
    const code = cell('code')
    const [price, from, pack] = [readNumber(cell('price')), numberIn(cell('from')), numberIn(cell('pack'))]
    if (!code || code.length > 80) fault('code', 'a number of 1 to 80 letters')
    else if (price === undefined || !(price >= 0)) fault('price', 'a price, such as 12.50')
    else if (cell('currency') && cell('currency').toUpperCase() !== currency)
      fault('currency', `${currency}, as the shop reckons`)
    else if (from === null || (from !== undefined && from <= 0)) fault('from', 'a count above 0')
    else if (pack === null || (pack !== undefined && pack <= 0)) fault('pack', 'a count above 0')
    else {
      const line = found.get(code) ?? { code, name: cell('name').slice(0, 200), prices: [], ...(pack ? { pack } : {}) }
      line.prices.push({ from: from ?? 1, price: Math.round(price * 100) })
      found.set(code, line)
    }
  }
  if (faults.length > 0) throw new InputError(faults)
  const lines = [...found.values()].map((line) => ({
    ...line,
    prices: [...new Map(line.prices.map((each) => [each.from, each])).values()].sort((a, b) => a.from - b.from),
  }))
  return { heads: heads.map((head) => head.trim()), mapping, lines }
}

const problem = (field: string, value: unknown, expected: string) => new InputError([{ field, value, expected }])
/** @returns null where something is written that is no number */
const numberIn = (text: string) => (text === '' ? undefined : (readNumber(text) ?? null))

/** What a list changes: only what the shop keeps counts, by number, by code, by name, or by the very same measures. */
export function pricePlan(
  { heads, mapping, lines }: PriceList,
  {
    articles,
    offers,
    supplier,
    today,
  }: {
    articles: readonly Article[]
    offers: ReadonlyMap<string, readonly SupplierOffer[]>
    supplier: string
    today: string
  },
): PricePlan {
  const own = [...offers.values()].flat().filter((offer) => offer.supplier === supplier)
  const byCode = new Map(own.map((offer) => [offer.code, offer]))
  const articleOf = finder(articles, byCode)
  const changes: PriceChange[] = []
  const seen = new Set<string>()
  let [same, unknown] = [0, 0]
  for (const line of lines) {
    const article = articleOf(line)
    if (article === undefined || seen.has(article)) {
      unknown++
      continue
    }
    seen.add(article)
    const before = own.find((offer) => offer.article === article)
    const offer: SupplierOffer = {
      article,
      supplier,
      code: line.code,
      prices: line.prices,
      pricedOn: today,
      ...(line.pack === undefined ? {} : { pack: line.pack }),
    }
    const isSame =
      before?.code === line.code &&
      before.pack === line.pack &&
      JSON.stringify(before.prices) === JSON.stringify(line.prices)
    if (isSame) same++
    changes.push({ article, offer, ...(before ? { before: before.prices[0]?.price ?? 0 } : {}) })
  }
  return {
    heads,
    mapping,
    lines: lines.length,
    changes,
    same,
    unknown,
    missing: own.filter(({ article }) => !seen.has(article)).map(({ article }) => article),
  }
}

function finder(
  articles: readonly Article[],
  byCode: ReadonlyMap<string, SupplierOffer>,
): (line: PriceLine) => string | undefined {
  const kept = articles.filter(({ gone }) => !gone)
  const byLabel = new Map(kept.flatMap(({ id, codes = [] }) => codes.map((code) => [code, id] as const)))
  const byName = new Map(kept.map(({ id, name }) => [name.trim().toLowerCase(), id]))
  const bySpec = new Map(
    kept.flatMap(({ id, family, spec }) => (family && isTelling(spec) ? [[specKey(family, spec), id] as const] : [])),
  )
  const families = [...new Set(kept.flatMap(({ family }) => family ?? []))]
  return ({ code, name }) =>
    byCode.get(code)?.article ??
    byLabel.get(code) ??
    byName.get(name.trim().toLowerCase()) ??
    families.map((family) => bySpec.get(specKey(family, readSpec(family, name)))).find((id) => id !== undefined)
}

/** Two measures and more are no accident. */
const isTelling = (spec: Article['spec']) => Object.keys(spec).length >= 2
function specKey(family: string, spec: Article['spec']): string {
  const sorted = Object.entries(spec).sort(([a], [b]) => (a < b ? -1 : 1))
  return `${family} ${JSON.stringify(sorted)}`
}
