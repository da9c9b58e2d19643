import type { Scene } from '../language/scene'
import type { VisitState } from './fold'

/** The scene in which a line of this visit is said. */
export function sceneOf(
  state: Pick<VisitState, 'machine' | 'plate' | 'gates' | 'standing' | 'findings'>,
  lit?: Scene['lit'],
): Scene {
  return {
    kind: state.machine.kind,
    construction: state.machine.construction,
    plate: state.plate,
    printed: state.machine.plateUnreadable ? {} : state.machine.nameplate,
    standing: state.standing,
    gates: new Set(state.gates.keys()),
    lit: lit ?? null,
    findings: state.findings.map(({ finding }) => finding),
  }
}
