import { STUCK } from '../knowledge/constructions'
import type { Act, FinishStep, Joint, StuckKind, WorkStep } from '../knowledge/constructions/joint'
import { USUAL_HOLD, type Freeing } from '../knowledge/constructions/stuck'
import type { PracticeId } from '../knowledge/shop/practices'
import type { Part } from '../knowledge/vocabulary'
import { workStepHere, type Here } from './as-here'
import type { TakeDownStep } from './plan'
import { closing, opening, parseJoint, printStep } from './step-ref'

/** How a joint holds: its own way, else its type’s. */
export function stuckKind({ holds, type }: Joint): StuckKind {
  return holds ?? USUAL_HOLD[type] ?? 'bolt'
}

const OTHER_TURN = { clockwise: 'counter-clockwise', 'counter-clockwise': 'clockwise' } as const

function shared({
  part,
  type,
  count,
  countNote,
  places,
  hand,
  tool,
  gates = [],
  hold,
  twoPeople,
  temporary,
}: Joint): Omit<TakeDownStep, 'id' | 'phase' | 'text' | 'minutes' | 'times' | 'estimate'> {
  return { part, joint: type, gates, ...defined({ count, countNote, places, hand, tool, hold, twoPeople, temporary }) }
}

/** A joint as the step that opens it. */
export function downStep(joint: Joint): TakeDownStep {
  const { id, down, minutes, turn, caution, orientation, materials, practices, estimate, tags } = joint
  return {
    ...shared(joint),
    id: opening(id),
    phase: 'down',
    text: down,
    minutes: minutes.down[1],
    times: minutes.down,
    estimate: estimate?.down ?? minutes.down[1],
    ...defined({ turn, caution, orientation, tags: tags?.down, ...has(materials?.down, practices?.down) }),
  }
}

/**
 * A joint as the step that closes it; none where nothing closes.
 *
 * @param remade what it spends besides, where it was given up and made anew
 */
export function backStep(joint: Joint, remade: readonly string[] = []): TakeDownStep | undefined {
  const { id, back, minutes, turn, orientation, tighten, lubricant, materials, practices, estimate, tags } = joint
  if (back === undefined) return undefined
  const tool = joint.backTool ?? joint.tool
  return {
    ...shared({ ...joint, tool: tool === '' ? undefined : tool }),
    id: closing(id),
    phase: joint.commissions ? 'commission' : 'back',
    text: back,
    minutes: minutes.back[1],
    times: minutes.back,
    estimate: estimate?.back ?? minutes.back[1],
    ...defined({
      turn: turn && OTHER_TURN[turn],
      orientation,
      tighten,
      lubricant,
      tags: tags?.back,
      ...has([...(materials?.back ?? []), ...remade], practices?.back),
    }),
  }
}

/** An act before a joint is opened or closed, as a step of its own. */
export function actStep(joint: Joint, phase: 'down' | 'back', act: Act): TakeDownStep {
  const { id, text, minutes, tool, count, caution, orientation, tags, materials, estimate } = act
  return {
    id: printStep({ phase, ...parseJoint(joint.id), act: id }),
    phase,
    text,
    part: joint.part,
    minutes: minutes[1],
    times: minutes,
    estimate: estimate ?? minutes[1],
    gates: joint.gates ?? [],
    ...defined({ tool, count, caution, orientation, tags, materials }),
  }
}

function has(
  materials: readonly string[] = [],
  practices: readonly PracticeId[] = [],
): Pick<TakeDownStep, 'materials' | 'practices'> {
  return { ...(materials.length > 0 ? { materials } : {}), ...(practices.length > 0 ? { practices } : {}) }
}

/** A step of the work at a part. */
export function workStep(part: Part, spec: WorkStep): TakeDownStep {
  const {
    id,
    text,
    tool,
    minutes,
    caution,
    orientation,
    estimate,
    materials,
    practices,
    count,
    bench,
    tags,
    asks,
    decides,
    reads,
    identifies,
  } = spec
  return {
    id: printStep({ phase: 'work', work: `${part}:${id}` }),
    phase: spec.phase ?? (spec.early ? 'down' : 'work'),
    text,
    part,
    minutes: minutes[1],
    times: minutes,
    estimate: estimate ?? minutes[1],
    gates: [],
    ...defined({
      tool,
      caution,
      orientation,
      count,
      bench,
      tags,
      asks,
      decides,
      reads,
      identifies,
      ...has(materials, practices),
    }),
  }
}

/** What the way back asks for itself, as a step. */
export function finishStep(spec: FinishStep, options: Here): TakeDownStep {
  return { ...workStep(spec.part, workStepHere(spec.part, spec, options)), phase: spec.phase }
}

/**
 * What is tried when a joint will not open, in its own kind's way: one step for each time it was said to hold, the next
 * alternatives with their minutes behind it.
 */
export function freeing(joint: Joint, tries: number): TakeDownStep[] {
  const ways: readonly Freeing[] = STUCK[stuckKind(joint)]
  return ways
    .slice(0, tries)
    .map(({ text, tool, minutes, caution }, index): TakeDownStep => ({
      id: printStep({ phase: 'down', ...parseJoint(joint.id), attempt: index + 1 }),
      phase: 'down',
      text,
      part: joint.part,
      joint: joint.type,
      tool,
      minutes: minutes[1],
      times: minutes,
      estimate: minutes[1],
      gates: joint.gates ?? [],
      caution,
      ...(index === Math.min(tries, ways.length) - 1 && index < ways.length - 1
        ? { orElse: ways.slice(index + 1).map((way) => ({ text: way.text, minutes: way.minutes[1] })) }
        : {}),
    }))
}

function defined<T extends object>(fields: T): Partial<T> {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as Partial<T>
}
