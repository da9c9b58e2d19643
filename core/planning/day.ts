import type { Complaint } from '../knowledge/vocabulary'
import { COMPLAINTS, isIdOf } from '../knowledge/vocabulary'

/** One visit as the Day shows it: work to be done. */
export interface DayVisit<Reading = unknown> {
  id: string
  scheduledAt: string
  plannedMinutes: number
  customer: { name: string; place: string }
  machine: { id: string; name: string; kind: string; construction: string }
  complaints: string[]
  callerSays: string
  /** The stage it stands at, and whether it is handed over. */
  stage: string
  done: boolean
  lastReadings: Reading[]
}

/**
 * The order of a day: by time; what was left over from earlier days comes first, and what is done stays in its place.
 */
export function orderDay<Reading>(visits: readonly DayVisit<Reading>[]): DayVisit<Reading>[] {
  return [...visits].sort((a, b) =>
    a.scheduledAt < b.scheduledAt ? -1 : a.scheduledAt > b.scheduledAt ? 1 : a.id < b.id ? -1 : 1,
  )
}

/** The visit to go to next: the first in the day's order that is not handed over. */
export function nextVisit(visits: readonly DayVisit[]): DayVisit | undefined {
  return orderDay(visits).find(({ done }) => !done)
}

/** What the caller says, in labels. */
export function complaintWords(complaints: readonly string[]): string {
  return complaints
    .map((complaint) => (isIdOf(COMPLAINTS, complaint) ? COMPLAINTS[complaint as Complaint] : complaint))
    .join(' · ')
}
