import type { Entry } from './entry'
import { foldVisit, machineOf, type VisitState } from './fold'
import type { HistoryReading } from './history'
import { earlierReadings, historyIn } from './history-of'
import { liveEntries } from './supersession'

/**
 * The visits of one machine, each judged by what was known before it, as it was then.
 *
 * @param journals oldest visit first; one that cannot be read is left out
 */
export function machineStates(journals: readonly (readonly Entry[])[]): VisitState[] {
  const history: HistoryReading[] = []
  return journals.flatMap((journal) => {
    const state = foldVisit(journal, { earlier: earlierReadings(history, machineOf(liveEntries(journal))) })
    if (state) history.push(...historyIn(state))
    return state ?? []
  })
}
