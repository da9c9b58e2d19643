import type { Stage } from '#core/knowledge/vocabulary'
import { useVisit } from '~/stores/visit'

/** Where a stage of the open visit is: a try has the same ones, at an address of its own. */
export function useStagePlace() {
  const visit = useVisit()
  return (stage: Stage) => ({
    name: visit.isPractice ? ('practice-id-stage' as const) : ('visits-id-stage' as const),
    params: { id: visit.visitId ?? '', stage },
  })
}
