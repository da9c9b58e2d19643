import { getQuery, type H3Event } from 'h3'
import { badField } from '../../core/validation/input-error'
import { isCalendarDay, isInstant } from '../../core/validation/rules'
import type { DaySpan } from '../services/day-view'

const LONGEST_SPAN = 40 * 24 * 3600 * 1000

/** The day that a request asks for: its two midnights as instants, and its date. */
export function daySpan(event: H3Event): DaySpan {
  const { from, to, on = String(from).slice(0, 10) } = getQuery(event)
  for (const [field, value] of Object.entries({ from, to }))
    if (!isInstant(value)) throw badField(field, value, 'an ISO instant, such as 2026-05-12T00:00:00Z')
  if (!isCalendarDay(on)) throw badField('on', on, 'a day, such as 2026-05-12')
  const [start, end] = [new Date(from as string), new Date(to as string)]
  if (!(end > start) || end.getTime() - start.getTime() > LONGEST_SPAN)
    throw badField('to', to, 'after from, and at most forty days later')
  return { from: start.toISOString(), to: end.toISOString(), on: on as string }
}
