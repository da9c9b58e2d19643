import { JOBS, OPENINGS, type JobPlan, type Movement, type Opening } from '../knowledge/openings'
import type { ActionRow } from '../knowledge/model-types'
import { KIND_KNOWLEDGE } from '../knowledge/kinds'
import type { Construction, Gate, Kind, Part } from '../knowledge/vocabulary'

/** One step of a repair: what to do, with what, how it turns, what can hurt, how it lies. */
export interface PlanStep extends Movement {
  id: string
  phase: 'down' | 'work' | 'back'
  part: Part
  joint?: Opening['joint']
  count?: number
  countNote?: string
  hand?: 'right' | 'left'
  turn?: 'clockwise' | 'counter-clockwise'
  gates?: readonly Gate[]
}
/**
 * A step's sentence in two: what is done, and how. "Lock screw out of the impeller eye" · "It is left-handed, turn it clockwise. …".
 */
export function splitStep(text: string): { title: string; how: string } {
  const found = /^(.{12,64}?)[:;.,] (.+)$/.exec(text)
  if (!found) return { title: text, how: '' }
  const how = found[2] as string
  return { title: found[1] as string, how: `${how.charAt(0).toUpperCase()}${how.slice(1)}${/[.!?]$/.test(how) ? '' : '.'}` }
}

export interface StepPlan { plan: JobPlan['plan'] | 'simple'; steps: PlanStep[]; minutes: number }

/**
 * The steps of a chosen repair on a construction: down, the work, and back in the reverse order.
 *
 * A repair without a laid-out take-down gets its gates, its own sentence as the work, and the gates back: never an empty page.
 *
 * @param actionId the option chosen under Decide
 */
export function stepPlan(kind: Kind, construction: Construction, actionId: string): StepPlan | undefined {
  const action = KIND_KNOWLEDGE[kind]?.actions.find(({ id }) => id === actionId)
  if (!action) return undefined
  const job = JOBS.find(({ plan, constructions }) => plan === action.plan && constructions.includes(construction))
  const steps = job ? fromJob(job, action) : simple(action)
  return { plan: job?.plan ?? 'simple', steps, minutes: steps.reduce((sum, { minutes }) => sum + minutes, 0) }
}

function fromJob(job: JobPlan, action: ActionRow): PlanStep[] {
  const openings = job.openings.map(openingOf)
  const capacitor: Part | undefined = job.plan === 'capacitor' ? action.parts[0] : undefined
  const about = (part: Part): Part => (capacitor && part === 'run-capacitor' ? capacitor : part)
  return [
    ...openings.map((opening): PlanStep => ({ ...shared(opening, about), ...opening.down, id: `down:${opening.id}`, phase: 'down' })),
    ...job.work.map((step): PlanStep => ({ ...step, part: about(step.part), id: `work:${step.id}`, phase: 'work' })),
    ...[...openings].reverse().map((opening): PlanStep => ({ ...shared(opening, about), ...opening.back, id: `back:${opening.id}`, phase: 'back', turn: closing(opening.turn) })),
  ]
}

function shared(opening: Opening, about: (part: Part) => Part): Pick<PlanStep, 'part' | 'joint' | 'count' | 'countNote' | 'hand' | 'turn' | 'gates'> {
  const { part, joint, count, countNote, hand, turn, gates } = opening
  return { part: about(part), joint, count, countNote, hand, turn, gates }
}

function closing(turn: Opening['turn']): Opening['turn'] {
  return turn === 'clockwise' ? 'counter-clockwise' : turn === 'counter-clockwise' ? 'clockwise' : undefined
}

function openingOf(id: string): Opening {
  const opening = OPENINGS.find((candidate) => candidate.id === id)
  if (!opening) throw new Error(`no opening is called ${id}`)
  return opening
}

function simple(action: ActionRow): PlanStep[] {
  if (action.cures.includes('nothing-wrong')) return [{ id: 'work:leave', phase: 'work', part: 'pump', text: 'Leave the machine as it is; tell the owner what was looked at', minutes: action.minutes }]
  const [makeDead, valves] = [openingOf('make-dead'), openingOf('valves')]
  const gates = [makeDead, valves]
  return [
    ...gates.map((opening): PlanStep => ({ ...shared(opening, (part) => part), ...opening.down, id: `down:${opening.id}`, phase: 'down' })),
    { id: `work:${action.id}`, phase: 'work', part: action.parts[0] ?? 'pump', text: `${action.label}. ${action.reason}`, tool: action.tools.join(', '), minutes: action.minutes },
    ...gates.toReversed().map((opening): PlanStep => ({ ...shared(opening, (part) => part), ...opening.back, id: `back:${opening.id}`, phase: 'back' })),
  ]
}
