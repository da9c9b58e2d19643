import { addDays } from 'date-fns'
import { createEvents, type EventAttributes } from 'ics'
import type { DueItem } from '../../core/pumps/due-list'
import type { PlannedVisit } from './planned-visits'

/**
 * What comes due as a calendar file, each an all-day event under an id of its own, so that reading it in again changes
 * it and doubles nothing.
 *
 * @source RFC 5545
 */
export function calendarOf(dues: readonly DueItem[], now: Date): string {
  return written(dueEvents(dues, now))
}

/** Planned visits, and what comes due, as one calendar; each visit keeps its id when its hour changes. */
export function visitCalendar(visits: readonly PlannedVisit[], now: Date, dues: readonly DueItem[] = []): string {
  return written([
    ...visits.map(({ id, title, place, words, begins, ends }): EventAttributes => ({
      uid: `${id}@pike-lamp`,
      productId: 'pike-lamp',
      start: begins.getTime(),
      end: ends.getTime(),
      startInputType: 'utc',
      title,
      location: place,
      description: words,
      created: now.getTime(),
    })),
    ...dueEvents(dues, now),
  ])
}

function dueEvents(dues: readonly DueItem[], now: Date): EventAttributes[] {
  return dues.map(({ key, on, what, customer, machine, address }) => ({
    uid: `${key.replaceAll(' ', '-')}@pike-lamp`,
    productId: 'pike-lamp',
    start: dayOf(on),
    end: dayOf(on, 1),
    title: `${machine.name}: ${what}`,
    location: [customer.name, address].filter(Boolean).join(', '),
    created: now.getTime(),
  }))
}

function written(events: EventAttributes[]): string {
  const { error, value } = createEvents(events)
  if (error) throw error
  // Without an event the kit writes nothing at all, which no calendar reads.
  return value || ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:pike-lamp', 'END:VCALENDAR', ''].join('\r\n')
}

/** A day, or one so many days after it, as the kit takes it. */
function dayOf(on: string, after = 0): [number, number, number] {
  const date = addDays(new Date(`${on}T12:00:00`), after)
  return [date.getFullYear(), date.getMonth() + 1, date.getDate()]
}
