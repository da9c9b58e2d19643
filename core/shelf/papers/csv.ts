import Papa from 'papaparse'
import { InputError } from '../../validation/input-error'
import type { DespatchPaper, OrderPaper } from './paper'

const ORDER_HEADS = ['order', 'line', 'code', 'name', 'count', 'price', 'currency'] as const
const DESPATCH_HEADS = ['delivery', 'order', 'line', 'code', 'name', 'count'] as const
const MOST_LINES = 2_000

/** An order as a table. */
export function toOrderCsv({ number, currency, lines }: OrderPaper): string {
  const rows = lines.map(({ line, code, name, count, price }) => ({
    order: number,
    line,
    code,
    name,
    count,
    price: price === undefined ? '' : (price / 100).toFixed(2),
    currency: price === undefined ? '' : currency,
  }))
  // A cell that begins like a formula would be run by a spreadsheet.
  return Papa.unparse(rows, { columns: [...ORDER_HEADS], escapeFormulae: true })
}

export function toDespatchCsv({ id, order, lines }: DespatchPaper): string {
  const rows = lines.map(({ line, ...of }) => ({ delivery: id, order, line: line ?? '', ...of }))
  return Papa.unparse(rows, { columns: [...DESPATCH_HEADS], escapeFormulae: true })
}

const wrong = (field: string, value: unknown, expected: string) => new InputError([{ field, value, expected }])

/**
 * A delivery note from a table whose heads are those of `toDespatchCsv`, in any order.
 *
 * @throws InputError naming the line and what would be right
 */
export function fromDespatchCsv(text: string, issuedOn: string): DespatchPaper {
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (head) => head.trim().toLowerCase(),
  })
  for (const head of ['delivery', 'order', 'code', 'count'])
    if (!meta.fields?.includes(head))
      throw wrong('file', (meta.fields ?? []).join(', ').slice(0, 80), `a column ${head}`)
  if (data.length === 0) throw wrong('file', 'no lines', 'one line at least')
  if (data.length > MOST_LINES) throw wrong('file', `${data.length} lines`, `at most ${MOST_LINES} lines`)
  const [first] = data
  const [id, order] = [(first?.delivery ?? '').trim(), (first?.order ?? '').trim()]
  if (!id || !order) throw wrong('line 2', first, 'a delivery and an order')
  return {
    id,
    issuedOn,
    order,
    lines: data.map((row, index) => {
      const place = `line ${index + 2}`
      if ((row.order ?? '').trim() !== order || (row.delivery ?? '').trim() !== id)
        throw wrong(place, `${row.delivery}, ${row.order}`, `delivery ${id} of order ${order} alone`)
      const count = Number((row.count ?? '').trim() || Number.NaN)
      if (!Number.isFinite(count) || count <= 0) throw wrong(`${place}, count`, row.count, 'a number above 0')
      const code = (row.code ?? '').trim()
      if (!code) throw wrong(`${place}, code`, row.code, 'the supplier’s number of it')
      const line = (row.line ?? '').trim()
      if (line && !(Number.isInteger(Number(line)) && Number(line) > 0))
        throw wrong(`${place}, line`, line, 'the number of a line of the order')
      return { ...(line ? { line: Number(line) } : {}), code, name: (row.name ?? '').trim(), count }
    }),
  }
}
