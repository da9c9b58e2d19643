import { isCalendarDay } from '../validation/rules'
import { ENTRY_VERSION, type Entry } from './entry'
import { isPartPrice } from './part-price'

type Plain = Record<string, unknown>

/**
 * What lifts a stored line of one version to the next. A rule is tightened only together with the lift of what it had
 * let through.
 */
const UPCASTERS: Readonly<Record<number, (line: Plain) => Plain>> = {
  // Ids were taken in any case, and a next date on a day that no month has.
  1: (line) => lastDayOfItsMonth(lowerIds(line)),
  // A price stood for anything, and under any name.
  2: pricedParts,
}

/**
 * A stored line in today's shape. Lines that were acknowledged under an older version's rules are lifted until today's
 * take them;
 * whatever is no entry at all is given back as it is, for validation to refuse.
 */
export function liftEntry(line: unknown): unknown {
  if (line === null || typeof line !== 'object' || Array.isArray(line)) return line
  let lifted = line as Plain
  // A version that none ever was is for validation to refuse: counting up from it need never end.
  if (typeof lifted.v === 'number' && !(Number.isInteger(lifted.v) && lifted.v >= 1)) return line
  const first = typeof lifted.v === 'number' ? lifted.v : 1
  for (let version = first; version < ENTRY_VERSION; version++) lifted = UPCASTERS[version]?.(lifted) ?? lifted
  return first < ENTRY_VERSION ? { ...lifted, v: ENTRY_VERSION } : lifted
}

/**
 * How far a line's logical time may stand above all that arrived before it: more than any device writes without a
 * signal.
 */
export const MOST_LAMPORT_AHEAD = 1_000_000

/**
 * A journal in today's shape and with its order: each line that says no logical time is taken to have been written with
 * all before
 * it seen. One that corrects or takes back another stands after it, whatever it says. One that claims to stand absurdly
 * far ahead is
 * brought back, so that no line can end a journal's time.
 *
 * @param arrived in order of arrival
 */
export function liftJournal(arrived: readonly unknown[]): Entry[] {
  let highest = 0
  const known = new Map<string, number>()
  return arrived.map((line) => {
    const entry = liftEntry(line) as Entry
    const causes = [entry.supersedes, ...(entry.settles ?? [])].map((id) =>
      id === undefined ? 0 : (known.get(id) ?? 0),
    )
    const lamport = Math.max(
      Math.min(entry.lamport ?? highest + 1, highest + MOST_LAMPORT_AHEAD),
      ...causes.map((cause) => cause + 1),
    )
    highest = Math.max(highest, lamport)
    known.set(entry.id, lamport)
    return { ...entry, lamport }
  })
}

function lowerIds(line: Plain): Plain {
  const lower = (value: unknown) => (typeof value === 'string' ? value.toLowerCase() : value)
  const body = { ...(line.body as Plain | undefined) }
  for (const of of ['customer', 'machine']) {
    const thing = body[of] as Plain | undefined
    if (thing === null || typeof thing !== 'object') continue
    body[of] = {
      ...thing,
      id: lower(thing.id),
      ...('customerId' in thing ? { customerId: lower(thing.customerId) } : {}),
    }
  }
  const supersedes = line.supersedes === undefined ? {} : { supersedes: lower(line.supersedes) }
  return {
    ...line,
    id: lower(line.id),
    visitId: lower(line.visitId),
    ...supersedes,
    body: line.body && typeof line.body === 'object' ? body : line.body,
  }
}

function pricedParts(line: Plain): Plain {
  const body = line.body as { rates?: { partPrices?: unknown } } | undefined
  const prices = body?.rates?.partPrices
  if (line.kind !== 'shop-set' || prices === null || typeof prices !== 'object') return line
  const partPrices = Object.fromEntries(Object.entries(prices).filter(([part, price]) => isPartPrice(part, price)))
  return { ...line, body: { ...body, rates: { ...body?.rates, partPrices } } }
}

function lastDayOfItsMonth(line: Plain): Plain {
  const { nextDate } = (line.body ?? {}) as { nextDate?: unknown }
  const [, month, day] = (typeof nextDate === 'string' && /^(\d{4}-\d{2})-(\d{2})$/.exec(nextDate)) || []
  if (month === undefined || isCalendarDay(nextDate)) return line
  for (let last = Math.min(31, Number(day)); last > 0; last--) {
    const existing = `${month}-${String(last).padStart(2, '0')}`
    if (isCalendarDay(existing)) return { ...line, body: { ...(line.body as Plain), nextDate: existing } }
  }
  const { nextDate: _, ...body } = line.body as Plain
  return { ...line, body }
}
