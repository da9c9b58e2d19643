import { isIdOf, KINDS, PARTS } from '../knowledge/vocabulary'
import type { FieldProblem } from '../validation/input-error'
import { cents } from '../quantity/money'
import { isPartPrice, MOST_PRICE } from './part-price'

/** The columns of a price list as a file. */
export const PRICE_COLUMNS = ['part', 'kind', 'name', 'price'] as const
export type PriceRow = Record<(typeof PRICE_COLUMNS)[number], string>

/** What taking in a list would change: nothing where the price is the same. */
export interface PriceChange {
  /** `motor`, or `motor:pool` of one kind. */
  key: string
  name: string
  from?: number
  to: number
}
export interface ReadPrices {
  changes: PriceChange[]
  same: number
  problems: FieldProblem[]
}

const keyOf = (part: string, kind: string) => (kind ? `${part}:${kind}` : part)

/** What a price is for, in words. */
export function priceName(key: string): string {
  const [part = '', kind = ''] = key.split(':')
  const name = isIdOf(PARTS, part) ? PARTS[part] : part
  return isIdOf(KINDS, kind) ? `${name}, ${KINDS[kind]}` : name
}

/** A price list as rows, by name: what a spreadsheet opens. */
export function priceRows(prices: Readonly<Partial<Record<string, number>>>): PriceRow[] {
  return Object.entries(prices)
    .map(([key, price]) => {
      const [part = '', kind = ''] = key.split(':')
      return { part, kind, name: priceName(key), price: String(price) }
    })
    .sort((a, b) => (a.name.toLowerCase() < b.name.toLowerCase() ? -1 : 1))
}

/**
 * Reads the rows of a price list against the prices that are known: what would change, and what is wrong, each by its
 * line. Nothing is changed by reading; a part that the list does not name keeps its price.
 *
 * @param rows as a spreadsheet gives them: every field a text; a price with a point or a comma
 */
export function readPrices(
  rows: readonly Partial<Record<string, string>>[],
  known: Readonly<Partial<Record<string, number>>>,
): ReadPrices {
  const problems: FieldProblem[] = []
  const read = new Map<string, number>()
  for (const [index, row] of rows.entries()) {
    // The first line of the file holds the names of the columns.
    const line = `line ${index + 2}`
    const [part, kind] = [(row.part ?? '').trim(), (row.kind ?? '').trim()]
    const written = (row.price ?? '').trim()
    const price = written === '' ? Number.NaN : Number(written.replace(',', '.'))
    if (!isIdOf(PARTS, part))
      problems.push({ field: `${line}, part`, value: part, expected: 'a part, such as shaft-seal' })
    else if (kind && !isIdOf(KINDS, kind))
      problems.push({
        field: `${line}, kind`,
        value: kind,
        expected: `nothing, or one of ${Object.keys(KINDS).join(', ')}`,
      })
    else if (!isPartPrice(keyOf(part, kind), price))
      problems.push({
        field: `${line}, price`,
        value: written,
        expected: `a number from 0 to ${MOST_PRICE}, such as 12.50`,
      })
    else if (read.has(keyOf(part, kind)))
      problems.push({ field: `${line}, part`, value: keyOf(part, kind), expected: 'each part once' })
    else read.set(keyOf(part, kind), cents(price))
  }
  const changes = [...read].flatMap(([key, to]): PriceChange[] =>
    known[key] === to
      ? []
      : [{ key, name: priceName(key), to, ...(known[key] === undefined ? {} : { from: known[key] }) }],
  )
  return { changes, same: read.size - changes.length, problems }
}
