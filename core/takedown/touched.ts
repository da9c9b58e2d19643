import type { Consumable, TakeDownStep } from './plan'
import { isOpening } from './step-ref'

/** What a plan renews, and what it opens or works on along the way: what its proofs hang on. */
export function touchedBy({
  steps,
  consumables,
}: {
  steps: readonly TakeDownStep[]
  consumables: readonly Consumable[]
}): { renewed: string[]; opened: string[] } {
  return {
    renewed: consumables.flatMap((each) => ('part' in each ? [each.part] : [])),
    opened: steps
      .filter(({ id, joint, phase }) => (isOpening(id) && joint !== 'gate') || phase === 'work')
      .map(({ part }) => part),
  }
}
