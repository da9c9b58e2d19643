import type { Verdict } from '../judgement/judgement'
import type { VisitState } from './fold'
import type { Job } from './job'
import type { WorkshopRecord } from './record'
import type { Sheet } from './sheet'

/** What the owner keeps, and the workshop’s record behind it, by the parts that scripts and files read. */
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
  assumed?: string
  cautions: string[]
  record: { at: string; text: string }[]
}

/** The sheet by its parts. Its lines add up to its total to the cent. */
export function ownerSheet(
  state: Pick<VisitState, 'fitted'>,
  { bill }: Pick<Job, 'bill'>,
  sheet: Sheet,
  record: WorkshopRecord,
): OwnerSheet {
  return {
    headline: sheet.headline,
    found: sheet.found,
    done: sheet.done,
    proved: sheet.proved.map(({ line: _, ...row }) => row),
    parts: (bill?.parts ?? []).map(({ part, label, price }) => {
      const identity = state.fitted.findLast((fitted) => fitted.part === part)?.identity
      return { label, ...(identity ? { identity } : {}), price }
    }),
    price: {
      lines: (sheet.price?.lines ?? []).map(({ label, amount }) => ({ label, amount })),
      total: sheet.price?.total ?? 0,
    },
    left: sheet.left,
    watch: sheet.watch,
    ...(sheet.nextDate ? { next: sheet.nextDate } : {}),
    ...(sheet.assumed ? { assumed: sheet.assumed } : {}),
    cautions: sheet.cautions,
    record: record.steps.map(({ at, text }) => ({ at, text })),
  }
}
