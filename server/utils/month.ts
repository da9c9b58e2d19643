import { getQuery, type H3Event } from 'h3'
import { badField } from '../../core/validation/input-error'

/** The month that is asked for, as YYYY-MM. */
export function askedMonth(event: H3Event): string {
  const { month } = getQuery(event)
  if (typeof month !== 'string' || !/^\d{4}-(0[1-9]|1[0-2])$/.test(month))
    throw badField('month', month, 'a month, such as 2026-05')
  return month
}
