import type { Complaint, Stage } from '../knowledge/vocabulary'
import { COMPLAINTS, isIdOf } from '../knowledge/vocabulary'

/** One visit as the Day shows it: work to be done. */
export interface DayVisit<Reading = unknown> {
  id: string
  scheduledAt: string
  plannedMinutes: number
  /** It was begun on an earlier day, and goes on on this one. */
  beganAt?: string
  /** What was promised to the caller, and what it needs. */
  arranged: { from?: string; until?: string; partsAt?: string; people?: number; minutes?: number }
  customer: { name: string; place: string; phone?: string }
  /** Where it is, if not at the customer's own address, and what one must know to get in. */
  address?: string
  wayIn?: string
  machine: { id: string; name: string; kind: string; construction: string }
  complaints: string[]
  callerSays: string
  /** The stage it stands at, and whether it is handed over. */
  stage: string
  done: boolean
  lastReadings: Reading[]
  /** The first visit of its journey, where that is another. */
  together?: string
  /** Where it stands for several machines of one customer: the visit at each, the first of the journey first. */
  of?: DayVisit<Reading>[]
}

/** The order of a day: by time. */
export function orderDay<Reading>(visits: readonly DayVisit<Reading>[]): DayVisit<Reading>[] {
  return [...visits].sort((a, b) =>
    a.scheduledAt < b.scheduledAt ? -1 : a.scheduledAt > b.scheduledAt ? 1 : a.id < b.id ? -1 : 1,
  )
}

/** What the caller says, in labels. */
export function complaintWords(complaints: readonly string[]): string {
  return complaints
    .map((complaint) => (isIdOf(COMPLAINTS, complaint) ? COMPLAINTS[complaint as Complaint] : complaint))
    .join(' · ')
}

/** What a visit is about: what it does, else the caller's own words. */
export function toldOf({ complaints, callerSays }: Pick<DayVisit, 'complaints' | 'callerSays'>): string {
  return complaintWords(complaints) || callerSays
}

/** Was work begun there: are its safety gates behind it? */
export function isBegun({ stage }: Pick<DayVisit, 'stage'>): boolean {
  return !BEFORE_WORK.includes(stage)
}
const BEFORE_WORK: readonly string[] = ['call', 'prepare', 'safe'] satisfies readonly Stage[]
