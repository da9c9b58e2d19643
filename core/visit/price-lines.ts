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
 * What the customer pays, line by line: the account, and a line for what was agreed otherwise. The total is the sum of
 * the lines, to the cent. Once it is handed over, the lines are those of that day.
 */
export function pricedOf(
  { handedOver, fitted }: Pick<VisitState, 'handedOver' | 'fitted'>,
  { account, price }: Pick<Job, 'account' | 'price'>,
): Priced | undefined {
  const lines = handedOver?.lines ?? linesOf(account, fitted)
  if (price === undefined && lines.length === 0) return undefined
  const difference = price === undefined ? 0 : sumOfCents([cents(price), ...lines.map(({ amount }) => -amount)])
  const all =
    difference === 0
      ? lines
      : [...lines, { label: lines.length > 0 ? 'Agreed otherwise' : 'As agreed', amount: difference }]
  return { lines: all, total: sumOfCents(all.map(({ amount }) => amount)) }
}

/** The lines of an account as they are printed: each part by what identifies it. */
export function linesOf({ lines }: Job['account'], fitted: VisitState['fitted']): PriceLine[] {
  return lines.map(({ kind, part, label, amount }) => {
    const identity = part && fitted.findLast((each) => each.part === part)?.identity
    return { label: capital(identity ? `${label}: ${identity}` : label), amount, kind }
  })
}
