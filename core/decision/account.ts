import { DEFAULT_RATES, type Charges, type EnteredRates } from '../knowledge/shop/rates'
import type { Part } from '../knowledge/vocabulary'
import { formatNumber } from '../quantity/format'
import { cents, sumOfCents } from '../quantity/money'
import type { Bill } from './bill'

/** What is put on or taken off an account by hand. */
export interface AccountChange {
  label: string
  /** Added, or taken off where it is below nothing. */
  amount?: number
  /** The customer pays nothing for the work, or for all of it. */
  waives?: 'work' | 'all'
  /** The customer brought this part. */
  own?: Part
  /** The old one went back: it was clean and sound. */
  kept?: Part
  /** Minutes of the work that fell after the day’s end. */
  afterHours?: number
}
export const ACCOUNT_LINES = ['part', 'work', 'journey', 'change', 'minimum', 'tax'] as const
export interface AccountLine {
  kind: (typeof ACCOUNT_LINES)[number]
  label: string
  amount: number
  part?: Part
  /** Which of the changes put it there. */
  change?: number
  /** The usual price, which the shop has not made its own. */
  isGuessed?: true
  /** The shelf’s price, and the oldest day on which one of its pieces was priced. */
  pricedOn?: string
}
/** What a visit comes to: every line in whole cents, and their sum. */
export interface Account {
  lines: AccountLine[]
  total: number
}

/** What another visit of the same journey comes to before taxes, and whether its work is given away. */
export interface AccountBeside {
  net: number
  isWaived: boolean
}

export interface AccountScene {
  /** Does the shop go there? What stands on its own bench has no journey. */
  isAway: boolean
  /** It goes back under its warranty: another journey fits it again. */
  comesAgain?: boolean
  changes?: readonly AccountChange[]
  isGuessed?: (part: Part) => boolean
  /** ISO date of a price that comes from the shelf. */
  pricedOn?: (part: Part) => string | undefined
  /** Another visit of its journey bears the journey and the least charge. */
  rides?: boolean
  /** The other visits of its journey: the least charge is for all of them. */
  beside?: readonly AccountBeside[]
}

/**
 * The account of a visit, from the bill of its jobs and what the shop charges besides. It is the one place where parts,
 * work, journey, least charge and taxes come together; screens, sheet and papers show its lines.
 *
 * @param bill none where nothing is agreed: a journey is still one
 * @param charges what the shop puts on every account; nothing that it did not enter
 */
export function accountOf(
  bill: Pick<Bill, 'parts' | 'labourPrice' | 'minutes'> | undefined,
  charges: Charges & Pick<EnteredRates, 'trip' | 'hourly' | 'afterHours'>,
  {
    isAway,
    comesAgain = false,
    changes = [],
    isGuessed = () => false,
    pricedOn = () => undefined,
    rides = false,
    beside = [],
  }: AccountScene,
): Account {
  const free = new Map<Part, string>([
    ...changes.flatMap(({ own }): [Part, string][] => (own ? [[own, 'brought by you']] : [])),
    ...changes.flatMap(({ kept }): [Part, string][] => (kept ? [[kept, 'the old one kept']] : [])),
  ])
  const parts = (bill?.parts ?? []).map(({ part, label, price }): AccountLine =>
    free.has(part)
      ? { kind: 'part', part, label: `${label}, ${free.get(part)}`, amount: 0 }
      : {
          kind: 'part',
          part,
          label: isGuessed(part) ? `${label}, at the usual price` : label,
          amount: cents(price),
          ...(isGuessed(part) ? { isGuessed: true as const } : {}),
          ...(pricedOn(part) === undefined ? {} : { pricedOn: pricedOn(part) as string }),
        },
  )
  const work: AccountLine[] = bill
    ? [{ kind: 'work', label: `Work, ${bill.minutes.p50} minutes`, amount: cents(bill.labourPrice) }]
    : []
  const journey: AccountLine[] =
    charges.chargesJourney && isAway && charges.trip > 0
      ? [
          ...(rides ? [] : [{ kind: 'journey' as const, label: 'Journey', amount: cents(charges.trip) }]),
          ...(comesAgain
            ? [{ kind: 'journey' as const, label: 'Second journey, to fit it again', amount: cents(charges.trip) }]
            : []),
        ]
      : []
  // The hours themselves stand in the work; what comes on top is what they cost beyond it.
  const late = changes.flatMap(({ label, afterHours }, change): AccountLine[] =>
    afterHours === undefined ? [] : [{ kind: 'work', change, label, amount: lateCharge(afterHours, charges) }],
  )
  const before = [...parts, ...work, ...late, ...journey]
  const changed = [...before, ...changes.flatMap((change, index) => changeLine(change, index, before))]
  const least = rides ? [] : minimumLine(changed, charges, changes, beside)
  const net = [...changed, ...least]
  const lines = [...net, ...taxLines(net, charges)]
  return { lines, total: sumOfCents(lines.map(({ amount }) => amount)) }
}

/** What minutes after the day’s end cost beyond usual ones. */
function lateCharge(
  minutes: number,
  { hourly, afterHours = DEFAULT_RATES.afterHours }: Pick<EnteredRates, 'hourly' | 'afterHours'>,
): number {
  return cents((minutes / 60) * hourly * (afterHours - 1))
}

function changeLine(
  { label, amount, waives }: AccountChange,
  change: number,
  before: readonly AccountLine[],
): AccountLine[] {
  if (amount !== undefined) return [{ kind: 'change', change, label, amount: cents(amount) }]
  if (waives === undefined) return []
  const waived = before.filter(({ kind }) => waives === 'all' || kind === 'work').map((line) => -line.amount)
  return [{ kind: 'change', change, label, amount: sumOfCents(waived) }]
}

/** What the least charge puts on top; nothing where the work is waived, or there is nothing to pay for at all. */
function minimumLine(
  lines: readonly AccountLine[],
  { minimum = 0 }: Charges,
  changes: readonly AccountChange[],
  beside: readonly AccountBeside[],
): AccountLine[] {
  const sum = sumOfCents([...lines.map(({ amount }) => amount), ...beside.map(({ net }) => net)])
  const isWaived = changes.some(({ waives }) => waives !== undefined) || beside.some((each) => each.isWaived)
  const isCharged = lines.length > 0 || beside.some(({ net }) => net !== 0)
  return isCharged && !isWaived && sum < minimum
    ? [{ kind: 'minimum', label: 'Up to the least charge', amount: sumOfCents([cents(minimum), -sum]) }]
    : []
}

/** Taxes in the shop's order, each on its own base and none on another. */
function taxLines(net: readonly AccountLine[], { taxes = [] }: Charges): AccountLine[] {
  return taxes.flatMap(({ name, percent, on }) => {
    const isTaxed = ({ kind }: AccountLine) => on === 'all' || (on === 'parts') === (kind === 'part')
    const base = sumOfCents(net.filter(isTaxed).map(({ amount }) => amount))
    if (base <= 0) return []
    const label = `${name}, ${formatNumber(percent)} % of ${base.toFixed(2)}${on === 'all' ? '' : ` for ${on}`}`
    return [{ kind: 'tax' as const, label, amount: cents((base * percent) / 100) }]
  })
}
