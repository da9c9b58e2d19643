import type { Entry, Site } from '../visit/entry'
import type { HistoryReading } from '../visit/history'
import type { VisitRow } from '../visit/visit-row'
import type { VisitPart } from '../visit/visit-view'

/** Days before and after today whose visits a device keeps: what was left, this week and the next. */
export const KEPT_DAYS = { before: 7, after: 8 } as const

/** A visit as a device keeps it: all that follows from it can be worked out without the shop. */
export interface KeptVisit extends Omit<VisitPart, 'visitId'> {
  row: VisitRow
  /** What its machine read last, for the Day. */
  lastReadings: HistoryReading[]
  site?: Site
}

/** What of a window is on the device already, to be sent again only where it has changed. */
export interface KnownWindow {
  /** As the last window said it; nothing where all of it is wanted. */
  since?: number
  visits: string[]
  machines: string[]
  customers: string[]
}

/** One line of the window as the server sends it: what is in it first, then each, then that it was all. */
export type WindowLine =
  | {
      is: 'window'
      /** The newest arrival of before any of it was read. */
      arrival: number
      /** From which arrival on what has changed is to be asked for next; nothing where all of it is. */
      since?: number
      visits: string[]
      machines: string[]
      customers: string[]
      /** The shop's own lines of itself, and those that order its days. */
      shop: Entry[]
      /** How many lines follow before the last. */
      of: number
    }
  | { is: 'visit'; visit: KeptVisit }
  | { is: 'machine'; id: string; card: object }
  | { is: 'customer'; id: string; view: object }
  | { is: 'whole' }
