import { getQuery, type H3Event } from 'h3'
import { badField } from '../../core/validation/input-error'
import { isCalendarDay } from '../../core/validation/rules'
import { serverNow } from './app'

/** Up to which day it is asked what comes due, and which day it is for whoever asks. */
export function askedDue(event: H3Event): { today: string; until: string } {
  const { until, today = serverNow().slice(0, 10) } = getQuery(event)
  if (!isCalendarDay(until)) throw badField('until', until, 'a day, such as 2026-05-12')
  if (!isCalendarDay(today)) throw badField('today', today, 'a day, such as 2026-05-12')
  return { today, until }
}
