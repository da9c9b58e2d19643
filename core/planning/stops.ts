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
 * The visits of the journey that one of them is of, itself among them, in the order of their sheet: those that name the
 * same first visit and were not called off. One that was called off is alone.
 */
export function journeyAround<T extends { id: string; together?: string; cancelled?: string }>(
  own: T,
  visits: readonly T[],
): T[] {
  const first = firstOf(own)
  const others = visits.filter(
    (each) =>
      each.id !== own.id && own.cancelled === undefined && each.cancelled === undefined && firstOf(each) === first,
  )
  return inJourneyOrder([own, ...others])
}

/** The visit that a journey is named by. */
export function firstOf({ id, together }: { id: string; together?: string }): string {
  return together ?? id
}

/**
 * What has to be written for one visit of a journey to have its own again: the others stay together, under another
 * first where it was theirs.
 *
 * @param journey the ids in the order of their sheet
 * @returns for each visit that changes the first of its journey, nothing where that is itself
 */
export function apartFrom(journey: readonly string[], leaves: string): { visit: string; with?: string }[] {
  if (journey[0] !== leaves) return [{ visit: leaves }]
  const [first, ...others] = journey.slice(1)
  if (first === undefined) return []
  return [{ visit: first }, ...others.map((visit) => ({ visit, with: first }))]
}

/**
 * Visits as stops: those of one journey are one, under the first of them that is there, and done once all of them are.
 *
 * @param visits that stand in the same list: what stands elsewhere makes no stop with them
 */
export function asStops<Reading>(visits: readonly DayVisit<Reading>[]): DayVisit<Reading>[] {
  const journeys = groupedBy(visits, firstOf)
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
