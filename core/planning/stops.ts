import { groupedBy } from '../quantity/grouped'
import { isBegun, type DayVisit } from './day'

/**
 * The visits of one journey in the order of its sheet: the one that the others name bears the journey and comes first,
 * the others as they were opened.
 */
export function inJourneyOrder<T extends { id: string; together?: string }>(visits: readonly T[]): T[] {
  return visits.toSorted(
    (a, b) => Number(a.together !== undefined) - Number(b.together !== undefined) || (a.id < b.id ? -1 : 1),
  )
}

/**
 * Visits as stops: those of one journey are one, under the first of them that is there, and done once all of them are.
 *
 * @param visits that stand in the same list: what stands elsewhere makes no stop with them
 */
export function asStops<Reading>(visits: readonly DayVisit<Reading>[]): DayVisit<Reading>[] {
  const journeys = groupedBy(visits, ({ id, together }) => together ?? id)
  return [...journeys.values()].map((journey) => {
    const of = inJourneyOrder(journey)
    const first = of[0] as DayVisit<Reading>
    if (of.length === 1) return first
    const open = of.find(({ done }) => !done)
    const begun = of.find((each) => !each.done && isBegun(each))
    return {
      ...first,
      of,
      stage: (begun ?? open ?? first).stage,
      done: open === undefined,
      plannedMinutes: of.reduce((sum, { plannedMinutes }) => sum + plannedMinutes, 0),
      arranged: arrangedOf(of),
    }
  })
}

/** What was promised of each holds for all: from the last hour, until the first, when all parts are there. */
function arrangedOf(of: readonly DayVisit[]): DayVisit['arranged'] {
  const hours = (which: 'from' | 'until' | 'partsAt') => of.flatMap(({ arranged }) => arranged[which] ?? []).sort()
  const [from, until, partsAt] = [hours('from').at(-1), hours('until')[0], hours('partsAt').at(-1)]
  const people = Math.max(...of.map(({ arranged }) => arranged.people ?? 0))
  return {
    ...(from ? { from } : {}),
    ...(until ? { until } : {}),
    ...(partsAt ? { partsAt } : {}),
    ...(people > 0 ? { people } : {}),
  }
}

/** All visits of a stop, the first of its journey first. */
export function visitsOf<Reading>(stop: DayVisit<Reading>): readonly DayVisit<Reading>[] {
  return stop.of ?? [stop]
}

/** Those of its visits that are still to be done: what is decided of a stop is written in each. */
export function openIn(stop: DayVisit): string[] {
  return visitsOf(stop)
    .filter(({ done }) => !done)
    .map(({ id }) => id)
}

/** The visit of a stop where the work goes on: the first that is not done. */
export function nextIn<Reading>(stop: DayVisit<Reading>): DayVisit<Reading> {
  return visitsOf(stop).find(({ done }) => !done) ?? stop
}

/** What the machines of a stop are called. */
export function machinesOf(stop: DayVisit): string {
  return visitsOf(stop)
    .map(({ machine }) => machine.name)
    .join(', ')
}
