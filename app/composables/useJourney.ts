import { computed } from 'vue'
import type { Stage } from '#core/knowledge/vocabulary'
import { apartFrom } from '#core/planning/stops'
import { foldVisit } from '#core/visit/fold'

/** A machine of the journey as the line under the head of the visit has it. */
export interface JourneyMachine {
  id: string
  name: string
  stage: Stage
  done: boolean
}

/** The machines of the open visit's journey, and how one of them leaves it. */
export function useJourney() {
  const { visit, state } = useVisitContext()
  const machines = computed((): JourneyMachine[] => {
    const others = new Map(visit.others.map(({ visitId, entries }) => [visitId, entries]))
    return visit.order.flatMap((id) => {
      const of = id === state.value.id ? state.value : foldVisit(others.get(id) ?? [])
      return of ? [{ id, name: of.machine.name, stage: of.stage, done: of.handedOver !== undefined }] : []
    })
  })
  /** From now on a machine has its journey and its sheet for itself. */
  function leave(id: string): void {
    for (const { visit: of, with: first } of apartFrom(visit.order, id)) {
      const body = first ? { with: first } : {}
      if (of === state.value.id) visit.append('together', body)
      else visit.appendTo(of, 'together', body)
    }
  }
  return { machines, leave }
}
