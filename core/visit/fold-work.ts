import { GATES, LIVE_GATES, usualStanding, type Gate, type MotorType, type Standing } from '../knowledge/vocabulary'
import type { JobConditions } from '../takedown/conditions'
import type { TakeDownFound } from '../takedown/plan'
import { POWER_JOINT } from '../takedown/progress'
import { repairSteps, type Repair } from '../takedown/step-plan'
import { parseStep } from '../takedown/step-ref'
import { agrees, JobBook } from './agreed'
import type { Entry, EntryOf, Machine } from './entry'
import { StepBook } from './step-book'

/** Jobs that were carried out and closed before another was agreed, and what was met on their way. */
export interface Round {
  jobs: string[]
  found: TakeDownFound[]
  standing: Standing
}
export interface Work {
  book: JobBook
  steps: StepBook
  rounds: Round[]
  found: TakeDownFound[]
  /** Where in the journal this round began. */
  roundFrom: number
  /** What was new by the time a comeback came, by the comeback’s id. */
  renewedBy: ReadonlyMap<string, readonly string[]>
  agreedStanding?: Standing
}

/** Jobs and steps as they stand, read together: a job that is agreed once everything is closed begins a new round. */
export function foldWork(live: readonly Entry[], machine: Machine, motorBefore: (index: number) => MotorType): Work {
  const [book, steps] = [new JobBook(), new StepBook()]
  const rounds: Round[] = []
  let found: TakeDownFound[] = []
  let standing: Standing = usualStanding(machine.construction)
  let agreedStanding: Standing | undefined
  let roundFrom = 0
  const held = new Map<Gate, string>()
  const renewedBy = new Map<string, readonly string[]>()
  const planNow = (): Repair | undefined =>
    repairSteps(machine.kind, machine.construction, book.agreed, {
      machineCorrections: machine.joints,
      found,
      conditions: measuredIn(live),
      motorType: motorBefore(roundFrom),
      standing: agreedStanding ?? standing,
      gatesHeld: steps.carried,
      underway: steps.underway,
    })
  // What ends open is closed by whatever is agreed after it: the same round.
  const isTicked = (plan: Repair | undefined): boolean =>
    plan !== undefined && !plan.endsOpen && plan.steps.every(({ id }) => steps.steps.get(id)?.done)
  function endRound(index: number): void {
    rounds.push({ jobs: book.agreed, found, standing: agreedStanding ?? standing })
    found = []
    roundFrom = index
    book.finish()
    steps.close(held)
  }
  for (const [index, entry] of live.entries()) {
    if (entry.kind === 'step') steps.tick({ ...entry.body, at: entry.at })
    const turned = turnedBy(entry)
    if (turned) {
      const { gate, shut } = turned.body
      for (const undone of shut ? (GATES[gate].undoes ?? []) : [gate]) {
        held.delete(undone)
        steps.opened(undone)
      }
      if (shut) {
        held.set(gate, entry.at)
        // A live check's gates are no part of a take-down.
        if (!LIVE_GATES.includes(gate)) steps.shut(gate, entry.at)
      }
    }
    if (entry.kind === 'standing') standing = entry.body.at
    if (entry.kind === 'take-down-found') found.push(entry.body)
    // What was agreed before this line is done; what it agrees is the new round.
    if (agrees(entry) && book.agreed.length > 0 && steps.steps.size > 0 && isTicked(planNow())) endRound(index)
    if (entry.kind === 'comeback') {
      const plan = book.agreed.length > 0 ? planNow() : undefined
      // Where nobody ticked a step, that it was tried and did not prove says that it was done.
      if (book.agreed.length > 0 && (steps.steps.size === 0 || isTicked(plan))) {
        renewedBy.set(entry.id, plan?.consumables.flatMap((each) => ('part' in each ? [each.part] : [])) ?? [])
        endRound(index)
      }
      book.reopen()
    }
    if (agrees(entry) && book.agreed.length === 0) agreedStanding = standing
    book.read(entry)
  }
  return { book, steps, rounds, found, roundFrom, renewedBy, ...(agreedStanding ? { agreedStanding } : {}) }
}

export function turnedBy(entry: Entry): Pick<EntryOf<'gate'>, 'body' | 'at'> | undefined {
  if (entry.kind === 'gate') return entry
  if (entry.kind !== 'step' || !entry.body.done) return undefined
  const ref = parseStep(entry.body.step)
  return ref?.phase === 'back' && ref.joint === POWER_JOINT
    ? { body: { gate: 'power-on', shut: true }, at: entry.at }
    : undefined
}

/** What the steps hang on: as it was measured for them, or said of the part itself. The newest of each speaks. */
export function measuredIn(live: readonly Entry[]): JobConditions {
  return live.reduce((so: JobConditions, entry): JobConditions => {
    if (entry.kind === 'take-down-measured') return { ...so, ...entry.body }
    if (entry.kind !== 'finding' || entry.body.check !== 'bearing-fit') return so
    const clearance = entry.body.clearanceMillimetres ?? (entry.body.outcome === 'tight' ? 0 : undefined)
    // Loose at one end is what is packed, however tight the other sits.
    return clearance === undefined ? so : { ...so, bearingClearanceMm: Math.max(clearance, so.bearingClearanceMm ?? 0) }
  }, {})
}
