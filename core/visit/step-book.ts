import { CONSTRUCTION_GRAPHS } from '../knowledge/constructions'
import type { Gate } from '../knowledge/vocabulary'
import { closing, isClosing, isOpening, jointOf, opening, parseJoint, parseStep } from '../takedown/step-ref'
import type { EntryBodies } from './entry'

export type StepRecordAt = EntryBodies['step'] & { at: string }

/** The joint whose closing puts the power back on. */
export const POWER_JOINT = 'make-dead'
/** Joints that stand for a state which power undoes. */
const UNDONE_BY_POWER: ReadonlySet<string> = new Set(['discharge', 'cool', 'drive-wait'])
/** Bleeds, photographs, coolings: nothing closes them. */
const WITHOUT_WAY_BACK: ReadonlySet<string> = new Set(
  CONSTRUCTION_GRAPHS.flatMap(({ joints }) => joints.flatMap(({ id, back }) => (back === undefined ? [id] : []))),
)

/**
 * The steps of a visit as they were ticked. What was opened again is closed no longer; and where everything is closed
 * and another job is agreed, a new round begins: what was done stays done, and is kept.
 */
export class StepBook {
  #steps = new Map<string, StepRecordAt>()
  readonly #past: StepRecordAt[] = []
  #carried = new Set<Gate>()

  tick(record: StepRecordAt): void {
    const { step, done } = record
    this.#steps.set(step, record)
    if (!done) return
    const joint = jointOf(step)
    if (joint === undefined) return
    if (isOpening(step))
      for (const id of [...this.#steps.keys()]) {
        const ref = parseStep(id)
        if (ref?.phase === 'back' && jointOf(id) === joint) this.#steps.delete(id)
      }
    if (isClosing(step) && joint === POWER_JOINT)
      for (const id of [...this.#steps.keys()])
        if (isOpening(id) && UNDONE_BY_POWER.has(parseJoint(jointOf(id) as string).joint)) this.#steps.delete(id)
  }

  /** A gate that is shut before or during a round is carried into its plan. */
  shut(gate: Gate): void {
    this.#carried.add(gate)
  }

  /** A gate that was opened before any step is no longer carried. */
  opened(gate: Gate): void {
    if (this.#steps.size === 0) this.#carried.delete(gate)
  }

  /** Another job is agreed. @returns whether it begins a new round: everything was closed */
  agree(held: Iterable<Gate>): boolean {
    if (!this.#isComplete()) return false
    this.#past.push(...this.#steps.values())
    this.#steps = new Map()
    this.#carried = new Set(held)
    return true
  }

  get steps(): ReadonlyMap<string, StepRecordAt> {
    return this.#steps
  }
  /** Steps of rounds before this one, oldest first. */
  get past(): readonly StepRecordAt[] {
    return this.#past
  }
  get carried(): Gate[] {
    return [...this.#carried]
  }

  #isComplete(): boolean {
    const isDone = (id: string) => this.#steps.get(id)?.done === true
    const opened = [...this.#steps.keys()]
      .filter((id) => isOpening(id) && isDone(id))
      .map((id) => jointOf(id) as string)
      .filter((joint) => !WITHOUT_WAY_BACK.has(parseJoint(joint).joint))
    const closed = [...this.#steps.keys()].some((id) => isClosing(id) && isDone(id))
    return closed && opened.every((joint) => isDone(closing(joint))) && !this.#powerIsOff()
  }

  /** Safe’s own lock has no step of its own: only its closing says that the power is back. */
  #powerIsOff(): boolean {
    const closes = this.#steps.get(closing(POWER_JOINT))?.done === true
    return this.#carried.has('power-off') && !closes && this.#steps.get(opening(POWER_JOINT)) === undefined
  }
}
