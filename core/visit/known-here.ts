import { knownOf, type Known } from '../questions/known'
import type { VisitState } from './fold'

/** What a visit knows of its machine when a question is asked there. */
export function knownHere({
  pump,
  plate,
  case: { findings = [] },
}: Pick<VisitState, 'pump' | 'plate' | 'case'>): Known {
  return knownOf(pump, plate, findings)
}
