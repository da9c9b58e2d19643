import type { DayVisit } from '#core/planning/day'
import type { DayWork } from '#core/planning/day-plan'
import type { ShopVan } from '#core/knowledge/shop/van'
import type { DayWalk, Fit } from '#core/planning/order/day-order'
import type { HistoryReading } from '#core/visit/history'
import { LATENESS } from '#core/knowledge/shop/day'
import { clock } from './day-hours'
import { moreOrLess, ordinal, shortPercent } from './day-rows'

type Visit = DayVisit<HistoryReading>

/** Calls in the order in which they press: the urgent, then what was promised soonest, then who called first. */
export function pressing(calls: readonly Visit[], work: Readonly<Record<string, DayWork>> = {}): Visit[] {
  const weight = ({ id }: Visit) => work[id]?.urgency.perHour ?? 0
  const until = ({ arranged }: Visit) => (arranged.until ? Date.parse(arranged.until) : Number.POSITIVE_INFINITY)
  return [...calls].sort(
    (a, b) =>
      weight(b) - weight(a) ||
      (until(a) === until(b) ? 0 : until(a) - until(b)) ||
      (a.scheduledAt < b.scheduledAt ? -1 : 1),
  )
}

/** So many stops are told of whose chance of being late has changed most. */
const MOST_CHANGES = 3

/** What an order saves over another before it is worth a word, in minutes behind the wheel. */
export const WORTH_TELLING = 5

/**
 * What another order does to a day: driving, coming home, and who is then likely to be late.
 *
 * @param nameOf a stop in words
 */
export function orderChange(before: DayWalk, after: DayWalk, nameOf: (id: string) => string): string[] {
  const driving = Math.round(after.driving - before.driving)
  const home = Math.round(after.home - before.home)
  const late = lateIn(after)
  const lateBefore = lateIn(before)
  const by = (id: string) => Math.abs((late.get(id) ?? 0) - (lateBefore.get(id) ?? 0))
  const changed = [...new Set([...late.keys(), ...lateBefore.keys()])]
    .filter((id) => by(id) >= LATENESS.worthSaying)
    .toSorted((a, b) => by(b) - by(a))
    .slice(0, MOST_CHANGES)
  return [
    driving === 0 ? 'as much driving' : `${Math.abs(driving)} min ${driving > 0 ? 'more' : 'less'} driving`,
    home === 0 ? `home ${clock(after.home)} as before` : `home ${clock(after.home)} instead of ${clock(before.home)}`,
    ...changed.map(
      (id) =>
        `${nameOf(id)} late ${shortPercent(late.get(id) ?? 0)} instead of ${shortPercent(lateBefore.get(id) ?? 0)}`,
    ),
  ]
}

function lateIn(walk: DayWalk): Map<string, number> {
  return new Map(Object.values(walk.walks).flatMap(({ stops }) => stops.map(({ id, late }) => [id, late] as const)))
}

/** A place where a call could go, as a row to choose from. */
export interface FitRow {
  fit: Fit
  where: string
  /** Which van, where there are several. */
  van?: string
  arrives: string
  driving: string
  says: string
}

/** The cheapest places for a call, the best first. */
export function fitRows(
  fits: readonly Fit[],
  {
    vans,
    before,
    nameOf,
    most,
  }: {
    vans: readonly ShopVan[]
    /** How many visits of each van stand before what is still ahead. */
    before: Readonly<Record<string, number>>
    nameOf: (id: string) => string
    most: number
  },
): FitRow[] {
  return fits.slice(0, most).map((fit) => {
    const name = vans.find(({ id }) => id === fit.van)?.name ?? fit.van
    return {
      fit,
      where: ordinal((before[fit.van] ?? 0) + fit.place + 1),
      ...(vans.length > 1 ? { van: name.charAt(0).toLowerCase() + name.slice(1) } : {}),
      arrives: clock(fit.arrives),
      driving: moreOrLess(fit.driving),
      says:
        fit.latest && fit.latest.late >= LATENESS.worthSaying
          ? `${nameOf(fit.latest.id)} late ${shortPercent(fit.latest.late)}`
          : 'nobody late',
    }
  })
}
