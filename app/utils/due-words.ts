import { format } from 'date-fns'
import { faultLabel } from '#core/diagnosis/words/fault-label'
import { isIdOf, PARTS } from '#core/knowledge/vocabulary'
import type { Span } from '#core/planning/futures'
import type { DueKind } from '#core/pumps/due-list'
import { formatNumber } from '#core/quantity/format'

const LEFT: ReadonlySet<DueKind> = new Set<DueKind>(['second-look', 'reading', 'visit', 'claim'])
/** Has a visit left it, and not the calendar or a reckoning? */
export const isLeftByVisit = (kind: DueKind): boolean => LEFT.has(kind)

/** What fails: a part, else the fault itself. */
export const groupLabel = (key: string): string => (isIdOf(PARTS, key) ? PARTS[key] : faultLabel(key))

/** The day of something that comes due; the year where it is another. */
export function dueDay(on: string, today: string): string {
  const day = new Date(`${on}T12:00:00`)
  return format(day, on.slice(0, 4) === today.slice(0, 4) ? 'EEE d MMM' : 'd MMM yyyy')
}

/** How many are expected. */
export const countWords = ({ mean }: Pick<Span, 'mean'>): string =>
  mean >= 3 ? String(Math.round(mean)) : formatNumber(Math.round(mean * 10) / 10)

/** Between which counts they mostly are. */
export const spanWords = ({ low, high }: Span): string => (low === high ? String(low) : `${low}–${high}`)
