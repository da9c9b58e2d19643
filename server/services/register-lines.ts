import Papa from 'papaparse'
import { guessMapping, lineOf, type FieldMapping, type RegisterLine } from '../../core/pumps/register-fields'
import { readVCards } from '../../core/pumps/vcard'
import { InputError } from '../../core/validation/input-error'

const MOST_LINES = 20_000
const FEW_CELLS = 3

/** A file of customers and machines as it was chosen; without a mapping its heads tell what its columns are. */
export interface RegisterFile {
  name: string
  text: string
  mapping?: FieldMapping
}

/** Such a file, read: its lines as fields, and for a table its heads, what is in the first cells, and the mapping. */
export interface RegisterLines {
  format: 'csv' | 'vcf'
  heads: string[]
  /** For each column what stands in its first lines. */
  samples: string[][]
  mapping: FieldMapping
  lines: { line: number; fields: RegisterLine }[]
}

/** @throws InputError where it is no table and no cards, or too long */
export function registerLines({ name, text, mapping }: RegisterFile): RegisterLines {
  const read = /BEGIN:VCARD/i.test(text) ? readCards(text) : readTable(text, mapping)
  if (read.lines.length === 0) throw wrong(name, 'a table with a head and lines under it, or vCards')
  if (read.lines.length > MOST_LINES) throw wrong(`${read.lines.length} lines`, `at most ${MOST_LINES} lines at once`)
  return read
}

const wrong = (value: string, expected: string) => new InputError([{ field: 'file', value, expected }])

function readCards(text: string): RegisterLines {
  return { format: 'vcf', heads: [], samples: [], mapping: {}, lines: readVCards(text) }
}

function readTable(text: string, asked: FieldMapping | undefined): RegisterLines {
  // Excel writes a mark before the first head.
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' })
  const [heads = [], ...rows] = data
  if (heads.length === 0) return { format: 'csv', heads: [], samples: [], mapping: {}, lines: [] }
  const mapping = asked ?? guessMapping(heads)
  return {
    format: 'csv',
    heads: heads.map((head) => head.trim()),
    samples: heads.map((_, column) => rows.slice(0, FEW_CELLS).map((cells) => (cells[column] ?? '').trim())),
    mapping,
    lines: rows.map((cells, index) => ({ line: index + 2, fields: lineOf(cells, mapping) })),
  }
}
