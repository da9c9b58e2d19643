import { CONSTRUCTION_GRAPHS } from '../knowledge/constructions'
import type { Gate } from '../knowledge/vocabulary'
import { openedJoints, POWER_JOINT, undoneBy, UNDONE_BY_POWER } from '../takedown/progress'
import { isClosing, jointOf, opening, parseJoint } from '../takedown/step-ref'
import type { EntryBodies } from './entry'

export type StepRecordAt = EntryBodies['step'] & { at: string }

/** Which gates a joint shuts, by its name: the same in every assembly. */
const SHUT_BY: ReadonlyMap<string, readonly Gate[]> = new Map(
  CONSTRUCTION_GRAPHS.flatMap(({ joints }) => joints.map(({ id, shuts = [] }) => [id, shuts] as const)),
)
/**
 * The steps of a visit as they were ticked. What was opened again is closed no longer; and where all
 * that was planned is done and another job is agreed, a new round begins: what was done stays done, and is kept.
 */
export class StepBook {
  #steps = new Map<string, StepRecordAt>()
  readonly #past: StepRecordAt[] = []
  /** Gates that Safe has shut, each with its time. */
  #carried = new Map<Gate, string>()

  tick(record: StepRecordAt): void {
    const { step, done } = record
    if (done) for (const id of undoneBy(step, this.#steps)) this.#steps.delete(id)
    this.#steps.set(step, record)
    const joint = jointOf(step)
    if (done && joint !== undefined && isClosing(step)) this.#closed(parseJoint(joint).joint)
  }

  /**
   * What Safe had shut for this round is closed again by its step: from then on it stands as opened and closed, so that
   * whatever needs it once more asks for it once more.
   */
  #closed(joint: string): void {
    for (const opened of joint === POWER_JOINT ? [joint, ...UNDONE_BY_POWER] : [joint]) {
      const gates = SHUT_BY.get(opened) ?? []
      if (gates.length === 0 || !gates.every((gate) => this.#carried.has(gate))) continue
      const at = this.#carried.get(gates[0] as Gate) as string
      for (const gate of gates) this.#carried.delete(gate)
      const id = opening(opened)
      if (!this.#steps.has(id)) this.#steps.set(id, { step: id, done: true, at })
    }
  }

  /** A gate that is shut before or during a round is carried into its plan. */
  shut(gate: Gate, at: string): void {
    this.#carried.set(gate, at)
  }

  /** A gate that was opened before any step is no longer carried. */
  opened(gate: Gate): void {
    if (this.#steps.size === 0) this.#carried.delete(gate)
  }

  /** All that was planned is done: what was done is kept, and what is agreed next begins anew. */
  close(held: ReadonlyMap<Gate, string>): void {
    this.#past.push(...this.#steps.values())
    this.#steps = new Map()
    this.#carried = new Map(held)
  }

  get steps(): ReadonlyMap<string, StepRecordAt> {
    return this.#steps
  }
  /** Steps of rounds before this one, oldest first. */
  get past(): readonly StepRecordAt[] {
    return this.#past
  }
  /** Joints that were opened in this round, closed again or not. */
  get underway(): string[] {
    return openedJoints(this.#steps)
  }
  get carried(): Gate[] {
    return [...this.#carried.keys()]
  }
}
