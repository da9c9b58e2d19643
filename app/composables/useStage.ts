import { STAGES, type Stage } from '#core/knowledge/vocabulary'

/** Ends a stage (one journal line) and goes to the next, which is then lit. */
export function useStageEnd() {
  const { visit, state } = useVisitContext()
  const placeOf = useStagePlace()
  return function endStage(stage: Stage): Promise<unknown> {
    if (!state.value.stagesDone.has(stage)) visit.append('joint-done', { joint: stage })
    const next = STAGES[STAGES.indexOf(stage) + 1] ?? stage
    return Promise.resolve(navigateTo(placeOf(next)))
  }
}
