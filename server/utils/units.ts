import { getQuery, type H3Event } from 'h3'
import type { UnitSystem } from '../../core/quantity/measures'
import { badField } from '../../core/validation/input-error'

/** In whose units a paper is asked for; undefined means the shop's. */
export function askedUnits(event: H3Event): UnitSystem | undefined {
  const { units } = getQuery(event)
  if (units === undefined || units === 'us' || units === 'metric') return units
  throw badField('units', units, 'us or metric, or nothing for the shop’s own')
}
