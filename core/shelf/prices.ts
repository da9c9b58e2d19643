import { differenceInCalendarDays, parseISO } from 'date-fns'
import type { Article } from '../fits/article'
import { PRICE_AGE } from '../knowledge/shelf/prices'

/** Is what the shop pays for it older than a season? @param today ISO date */
export function isOldPrice({ pricedOn }: Pick<Article, 'pricedOn'>, today: string): boolean {
  return pricedOn !== undefined && differenceInCalendarDays(parseISO(today), parseISO(pricedOn)) > PRICE_AGE.days
}
