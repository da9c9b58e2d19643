import type { AccountLine } from '../decision/account'
import { firstOf } from '../planning/stops'
import { groupedBy } from '../quantity/grouped'
import { sumOfCents } from '../quantity/money'
import type { EntryBodies } from './entry'
import type { VisitState } from './fold'
import { pricedOf } from './price-lines'

/** One account of the shop's ledger: what a visit came to by what it was for, and what was paid. Whole cents. */
export interface LedgerRow {
  number: string
  visitId: string
  /** ISO date of the hand-over. */
  on: string
  customer: string
  place: string
  machine: string
  parts: number
  work: number
  journey: number
  /** Lines by hand, what was agreed otherwise, up to the least charge. */
  other: number
  taxes: number
  total: number
  paid: number
  open: number
  /** ISO date of the last payment. */
  paidOn?: string
  /** The first visit of its journey, where that is another: their accounts are one. */
  together?: string
}

/** The columns of a ledger's file. Amounts are plain figures with a point. */
export const LEDGER_COLUMNS = [
  'number',
  'on',
  'customer',
  'place',
  'machine',
  'parts',
  'work',
  'journey',
  'other',
  'taxes',
  'total',
  'paid',
  'open',
  'paidOn',
] as const satisfies readonly (keyof LedgerRow)[]

/** A visit’s account number: its day, and enough of its id that no other has it. */
export function accountNumber(visitId: string, on: string): string {
  return `${on.replaceAll('-', '').slice(2)}-${visitId.slice(-6).toUpperCase()}`
}

const COLUMN: Readonly<Record<AccountLine['kind'], 'parts' | 'work' | 'journey' | 'other' | 'taxes'>> = {
  part: 'parts',
  work: 'work',
  journey: 'journey',
  change: 'other',
  minimum: 'other',
  tax: 'taxes',
}

/**
 * The ledger's line of a visit: from its last hand-over, with what was paid since.
 *
 * @returns undefined where nothing is charged, or it is not handed over
 */
export function ledgerRowOf({
  id,
  customer,
  machine,
  handedOver,
  fitted,
  payments,
  together,
}: Pick<VisitState, 'id' | 'customer' | 'machine' | 'handedOver' | 'fitted' | 'payments' | 'together'>):
  LedgerRow | undefined {
  if (!handedOver) return undefined
  const priced =
    pricedOf({ handedOver, fitted }, { account: { lines: [], total: 0 }, price: handedOver.price }) ??
    (payments.length > 0 ? { lines: [], total: 0 } : undefined)
  if (!priced) return undefined
  const sum = (column: string) =>
    sumOfCents(priced.lines.filter(({ kind = 'change' }) => COLUMN[kind] === column).map(({ amount }) => amount))
  const on = handedOver.at.slice(0, 10)
  const paidOn = payments
    .map((each) => each.on)
    .sort()
    .at(-1)
  return {
    number: accountNumber(firstOf({ id, together }), on),
    visitId: id,
    on,
    customer: customer.name,
    place: customer.place,
    machine: machine.name,
    parts: sum('parts'),
    work: sum('work'),
    journey: sum('journey'),
    other: sum('other'),
    taxes: sum('taxes'),
    total: priced.total,
    ...settled(priced.total, payments),
    ...(paidOn ? { paidOn } : {}),
    ...(together ? { together } : {}),
  }
}

/**
 * Accounts as they are sent: the visits of one journey are one account, under the first of them, with their machines
 * beside each other.
 */
export function togetherInLedger(rows: readonly LedgerRow[]): LedgerRow[] {
  const journeys = groupedBy(rows, ({ visitId: id, together }) => firstOf({ id, together }))
  return [...journeys.values()].map((of) => {
    const first = of.find(({ together }) => together === undefined) ?? (of[0] as LedgerRow)
    if (of.length === 1) return first
    const others = of.filter((row) => row !== first)
    const sum = (column: Summed) => sumOfCents(of.map((row) => row[column]))
    const paidOn = of
      .flatMap((row) => row.paidOn ?? [])
      .sort()
      .at(-1)
    return {
      ...first,
      machine: [first, ...others].map(({ machine }) => machine).join(', '),
      ...(Object.fromEntries(SUMMED.map((column) => [column, sum(column)])) as Pick<LedgerRow, Summed>),
      ...(paidOn ? { paidOn } : {}),
    }
  })
}
const SUMMED = ['parts', 'work', 'journey', 'other', 'taxes', 'total', 'paid', 'open'] as const
type Summed = (typeof SUMMED)[number]

/** What of a total is paid, and what is open. */
export function settled(total: number, payments: readonly EntryBodies['paid'][]): { paid: number; open: number } {
  const paid = sumOfCents(payments.map(({ amount }) => amount))
  return { paid, open: sumOfCents([total, -paid]) }
}

/** The same accounts added up: the foot of a month. */
export function ledgerSums(rows: readonly LedgerRow[]): Pick<LedgerRow, 'total' | 'paid' | 'open' | 'taxes'> {
  const sum = (of: 'total' | 'paid' | 'open' | 'taxes') => sumOfCents(rows.map((row) => row[of]))
  return { total: sum('total'), paid: sum('paid'), open: sum('open'), taxes: sum('taxes') }
}
