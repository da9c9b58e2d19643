import { InputError } from '../../core/validation/input-error'
import { jsonLevels, MOST_LEVELS } from '../../core/validation/holdable'
import type { Entry, EntryKind } from '../../core/visit/entry'
import { validEntry } from '../../core/visit/entry-rules'
import { liftEntry } from '../../core/visit/lift'

/** A line of the journal file that is no entry, with its number and why. */
export interface SetAside {
  line: number
  reason: string
  text: string
}

/** A line that is an entry: what decides whether it fits the journal, and its text as it goes into the database. */
export interface EntryLine {
  line: number
  id: string
  visitId: string | null
  kind: EntryKind
  customerId?: string
  json: string
}

/** What the lines of one chunk say. Line numbers count from the chunk's own first line, 1. */
export interface ReadLines {
  lines: number
  entries: EntryLine[]
  setAside: SetAside[]
}

const NOT_TEXT = 'not UTF-8 text'

/**
 * Reads lines of the journal file: each lifted to today's version and validated, alone. A bad line spoils only itself.
 *
 * @param bytes whole lines
 */
export function readLines(bytes: Uint8Array): ReadLines {
  const read: ReadLines = { lines: 0, entries: [], setAside: [] }
  const decoder = new TextDecoder('utf-8', { fatal: true })
  for (let start = 0; start < bytes.length;) {
    const end = bytes.indexOf(0x0a, start)
    const line = bytes.subarray(start, end < 0 ? bytes.length : end)
    start = end < 0 ? bytes.length : end + 1
    read.lines++
    try {
      const text = decoder.decode(line)
      if (text.trim() === '') continue
      read.entries.push(entryLine(read.lines, readLine(text)))
    } catch (error) {
      read.setAside.push({ line: read.lines, reason: reasonOf(error), text: Buffer.from(line).toString('utf8') })
    }
  }
  return read
}

function readLine(text: string): Entry {
  if (jsonLevels(text) > MOST_LEVELS)
    throw new InputError([{ field: '', value: 'deeper still', expected: `at most ${MOST_LEVELS} levels` }])
  return validEntry(liftEntry(JSON.parse(text)))
}

function entryLine(line: number, entry: Entry): EntryLine {
  const { id, visitId, kind } = entry
  const customerId = customerIn(entry)
  return { line, id, visitId, kind, ...(customerId === undefined ? {} : { customerId }), json: JSON.stringify(entry) }
}

/** The customer that a line tells of, or that must be known for it to be kept. */
function customerIn(entry: Entry): string | undefined {
  if (entry.kind === 'machine-set') return entry.body.machine.customerId
  if (entry.kind === 'site-set') return entry.body.site.customerId
  return entry.kind === 'visit-opened' || entry.kind === 'customer-set' ? entry.body.customer.id : undefined
}

function reasonOf(error: unknown): string {
  // Without the values: this is printed at the start, and customers' words are not.
  if (error instanceof InputError)
    return error.problems.map(({ field, expected }) => (field ? `${field}: ${expected}` : expected)).join('; ')
  if (error instanceof SyntaxError) return 'not JSON'
  if (error instanceof TypeError && 'code' in error && error.code === 'ERR_ENCODING_INVALID_ENCODED_DATA')
    return NOT_TEXT
  throw error
}
