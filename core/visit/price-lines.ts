import { sumOfCents, cents } from '../quantity/money'
import type { PriceLine } from './entry'
import type { VisitState } from './fold'
import type { Job } from './job'
import { capital } from './owner-done'

export interface Priced {
  lines: PriceLine[]
  total: number
}

/**
 * What the customer pays, line by line: the parts, the work, and a line for what was agreed otherwise. The total is the
 * sum of the lines, to the cent. Once it is handed over, the lines are those of that day.
 */
export function pricedOf(
  { handedOver, fitted }: Pick<VisitState, 'handedOver' | 'fitted'>,
  { bill, price }: Pick<Job, 'bill' | 'price'>,
): Priced | undefined {
  const kept = handedOver?.lines
  const lines = kept ?? (bill ? billLines(bill, fitted) : [])
  if (price === undefined && lines.length === 0) return undefined
  const difference = price === undefined ? 0 : sumOfCents([cents(price), ...lines.map(({ amount }) => -amount)])
  const all =
    difference === 0
      ? lines
      : [...lines, { label: lines.length > 0 ? 'Agreed otherwise' : 'As agreed', amount: difference }]
  return { lines: all, total: sumOfCents(all.map(({ amount }) => amount)) }
}

/** The lines of a bill: each part by what identifies it, and the work. */
export function billLines(bill: NonNullable<Job['bill']>, fitted: VisitState['fitted']): PriceLine[] {
  return [
    ...bill.parts.map(({ part, label, price }) => {
      const identity = fitted.findLast((each) => each.part === part)?.identity
      return { label: capital(identity ? `${label}: ${identity}` : label), amount: cents(price) }
    }),
    { label: `Work, ${bill.minutes.p50} minutes`, amount: cents(bill.labourPrice) },
  ]
}
