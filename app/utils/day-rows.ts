import type { DayVisit } from '#core/planning/day'
import { errandOf, type DaySplit } from '#core/planning/day-plan'
import type { Because, DayWalk } from '#core/planning/order/day-order'
import type { Visited } from '#core/planning/order/walk'
import type { HistoryReading } from '#core/visit/history'

/** A row of a tour: a visit, where it stands in the day, and its hours once they are reckoned. */
export interface TourRow {
  id: string
  visit: DayVisit<HistoryReading>
  is: 'done' | 'elsewhere' | 'now' | 'ahead' | 'errand'
  /** Its number among the visits of the tour, from 1. */
  number: number
  hours?: Visited
  /** Until when somebody is likely to be there, minutes from midnight. */
  endsAt?: number
  because?: Because
}

/** The rows of one van's tour in order: what is behind, what is under way, what is ahead. */
export function tourRows(
  van: string,
  visits: readonly DayVisit<HistoryReading>[],
  split: DaySplit,
  route: readonly string[],
  walk: DayWalk | undefined,
  reasons: ReadonlyMap<string, Because>,
): TourRow[] {
  const byId = new Map(visits.map((visit) => [visit.id, visit]))
  const hours = new Map(walk?.walks[van]?.stops.map((stop) => [stop.id, stop]))
  const underway = split.underway[van]
  let number = 0
  const row = (id: string, is: TourRow['is'], more: Partial<TourRow> = {}): TourRow[] => {
    const visit = byId.get(errandOf(id) ?? id)
    if (!visit) return []
    return [{ id, visit, is, number: is === 'errand' ? number : ++number, ...more }]
  }
  return [
    ...(split.behind[van] ?? []).flatMap((id) => row(id, byId.get(id)?.done ? 'done' : 'elsewhere')),
    ...(underway ? row(underway.id, 'now', { endsAt: underway.endsAt }) : []),
    ...route.flatMap((id) =>
      row(id, errandOf(id) === undefined ? 'ahead' : 'errand', {
        hours: hours.get(id),
        ...(reasons.has(id) ? { because: reasons.get(id) } : {}),
      }),
    ),
  ]
}

/** Why a stop stands where it does, in words. */
export const BECAUSE_WORDS: Readonly<Record<Because, string>> = {
  urgent: 'urgent',
  promised: 'promised',
  'on-the-way': 'on the way',
  daylight: 'by daylight',
  parts: 'brings the parts',
  'day-ends': 'before the day ends',
}

/** A whole number of minutes more or less, such as +0:09. */
export function moreOrLess(minutes: number): string {
  const whole = Math.round(minutes)
  const size = Math.abs(whole)
  return `${whole < 0 ? '−' : '+'}${Math.floor(size / 60)}:${String(size % 60).padStart(2, '0')}`
}

/** A chance in as few letters as there are, its ends kept honest. */
export function shortPercent(chance: number): string {
  if (chance < 0.01) return '<1\u00a0%'
  if (chance > 0.99) return '>99\u00a0%'
  return `${Math.round(chance * 100)}\u00a0%`
}

/** A distance along roads as the shop writes it. */
export function roadLength(km: number, units: 'us' | 'metric'): string {
  return units === 'us' ? `${Math.round(km / KM_PER_MILE)} mi` : `${Math.round(km)} km`
}
/** The international mile: NIST Special Publication 811, appendix B. */
const KM_PER_MILE = 1.609344

/** First, second, third place in words that fit a button. */
export function ordinal(place: number): string {
  const tens = place % 100
  if (tens >= 11 && tens <= 13) return `${place}th`
  return `${place}${['th', 'st', 'nd', 'rd'][place % 10] ?? 'th'}`
}
