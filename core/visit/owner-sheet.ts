import type { Verdict } from '../judgement/judgement'
import type { VisitState } from './fold'
import type { Job } from './job'
import type { Sheet } from './sheet'

/** What the owner keeps, by its parts: the same facts as the printed sheet. */
export interface OwnerSheet {
  headline: string
  found: { verdict: Verdict; text: string }[]
  done: { job: string; text: string }[]
  proved: { label: string; before?: string; after: string; verdict: Verdict; limit: string }[]
  parts: { label: string; identity?: string; price: number }[]
  price: { lines: { label: string; amount: number }[]; total: number }
  left: string[]
  watch: string[]
  next?: string
  cautions: string[]
  record: { at: string; text: string }[]
}

const cents = (amount: number) => Math.round(amount * 100) / 100

/** The sheet by its parts. Its lines add up to its total to the cent: what was agreed otherwise is its own line. */
export function ownerSheet(state: VisitState, { bill, price }: Job, sheet: Sheet): OwnerSheet {
  const lines = bill
    ? [
        ...bill.parts.map(({ label, price: each }) => ({ label, amount: cents(each) })),
        { label: `work, ${bill.minutes.p50} minutes`, amount: cents(bill.labourPrice) },
      ]
    : []
  const total = cents(price ?? 0)
  const rest = cents(total - lines.reduce((sum, { amount }) => sum + amount, 0))
  return {
    headline: sheet.summary,
    found: sheet.findings.filter(({ verdict }) => verdict !== 'sound').map(({ text, verdict }) => ({ verdict, text })),
    done: (bill?.lines ?? []).map(({ id, label }) => ({ job: id, text: `${label}.` })),
    proved: sheet.readings.flatMap(({ subject, before, after, afterVerdict, limits }) =>
      after === undefined || afterVerdict === undefined
        ? []
        : [{ label: subject, ...(before ? { before } : {}), after, verdict: afterVerdict, limit: limits }],
    ),
    parts: (bill?.parts ?? []).map(({ part, label, price: each }) => {
      const identity = state.fitted.findLast((fitted) => fitted.part === part)?.identity
      return { label, ...(identity ? { identity } : {}), price: cents(each) }
    }),
    price: {
      lines:
        Math.abs(rest) < 0.005 ? lines : [...lines, { label: lines.length > 0 ? 'as agreed' : 'agreed', amount: rest }],
      total,
    },
    left: sheet.seenAndLeft,
    watch: sheet.watch,
    ...(sheet.nextDate ? { next: sheet.nextDate } : {}),
    cautions: sheet.cautions,
    record: sheet.work.map(({ at, text }) => ({ at, text })),
  }
}
