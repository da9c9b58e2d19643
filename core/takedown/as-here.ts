import { closing, inAnyAssembly, opening, parseJoint, printStep } from './step-ref'
import type { Act, ConstructionGraph, Joint, JointPlace, Minutes, WorkStep } from '../knowledge/constructions/joint'
import { PRACTICE_WORDS, wayOf, type PracticeId, type PracticeWays } from '../knowledge/shop/practices'
import { badField, type InputError } from '../validation/input-error'
import { waitHere, type JobConditions } from './conditions'

/** What a machine has at a joint otherwise than its construction. */
export interface JointCorrection {
  joint: string
  count?: number
  places?: readonly JointPlace[]
  hand?: 'right' | 'left'
  tool?: string
  /** How it lies: a stamp up, a fin at ten. */
  orientation?: string
  /** Pieces that lie there besides: three washers under one nut. */
  extra?: string
  /** Joints that have to be open before it, on this machine. */
  after?: readonly string[]
}
/** How a shop’s own minutes stand to the estimate, by step: `down:clamp`, `back:clamp`, `work:bearings:pull`. */
export type Pace = Readonly<Record<string, number>>
/**
 * What makes a construction the one that stands here: this machine’s own joints, the shop’s practices and pace, the
 * job’s measurements.
 */
export interface Here {
  machineCorrections?: readonly JointCorrection[]
  practices?: PracticeWays
  pace?: Pace
  conditions?: JobConditions
}

interface Said {
  text: string
  minutes: number
  materials: string[]
  practices: PracticeId[]
}

/** Words with every mark filled in as the shop does it, and what that spends and takes. */
export function said(words: string, ways?: PracticeWays): Said {
  const out: Said = { text: '', minutes: 0, materials: [], practices: [] }
  out.text = words.replace(/\{([a-z-]+)\}/g, (mark, name: string) => {
    const row = PRACTICE_WORDS[name]
    const chosen = row?.ways[wayOf(row.practice, ways)]
    if (!row || !chosen) throw new Error(`${mark} in “${words}” is no practice’s`)
    out.minutes += chosen.minutes ?? 0
    if (chosen.spends) out.materials.push(chosen.spends)
    out.practices.push(row.practice)
    return chosen.words
  })
  return out
}

/** The construction as it stands here: exact for the planner, which then sees the minutes that count. */
export function asHere<G extends ConstructionGraph>(graph: G, here: Here): G {
  const corrections = new Map((here.machineCorrections ?? []).map((correction) => [correction.joint, correction]))
  for (const joint of corrections.keys())
    if (!hasJoint(graph, joint)) throw noJoint('options.machineCorrections', joint, graph)
  const joints = inItsOrder(graph.joints, corrections)
  return {
    ...graph,
    joints: joints.map((joint) => {
      const correction = corrections.get(joint.id)
      return withExtra(jointHere({ ...joint, ...corrected(correction) }, here), correction?.extra)
    }),
  }
}

type After = Joint['after']

/** Is a joint open only once another is: by its own order, or by that of what it waits for? */
export function waitsFor(
  afterOf: (id: string) => After,
  id: string,
  wanted: string,
  seen = new Set<string>(),
): boolean {
  if (id === wanted) return true
  if (seen.has(id)) return false
  seen.add(id)
  return afterOf(id)
    .flat()
    .some((each) => waitsFor(afterOf, each, wanted, seen))
}

/** This machine's own order beside that of its construction. What would wait for itself is left as it was. */
function inItsOrder(joints: readonly Joint[], corrections: ReadonlyMap<string, JointCorrection>): Joint[] {
  const after = new Map<string, After>(joints.map((joint) => [joint.id, joint.after]))
  const afterOf = (id: string) => after.get(id) ?? []
  for (const [id, { after: more = [] }] of corrections)
    for (const each of more) if (after.has(each) && !waitsFor(afterOf, each, id)) after.set(id, [...afterOf(id), each])
  return joints.map((joint) => ({ ...joint, after: afterOf(joint.id) }))
}

/** Pieces that lie there besides are said on the way down and on the way back. */
function withExtra(joint: Joint, extra?: string): Joint {
  if (!extra) return joint
  return {
    ...joint,
    down: `${joint.down}; with it: ${extra}`,
    ...(joint.back === undefined ? {} : { back: `${joint.back}; with it, as they lay: ${extra}` }),
  }
}

/** One joint in the shop’s words and minutes. */
export function jointHere(joint: Joint, { practices, pace, conditions = {} }: Here = {}): Joint {
  const [down, back] = [said(joint.down, practices), said(joint.back ?? '', practices)]
  const [estimateDown, estimateBack] = [
    longer(joint.minutes.down, down.minutes),
    longer(joint.minutes.back, back.minutes),
  ]
  return {
    ...joint,
    down: down.text,
    ...(joint.back === undefined ? {} : { back: back.text }),
    wait: waitHere(joint.wait, conditions),
    minutes: {
      // What was learned of a joint holds in whichever assembly it stands.
      down: paced(estimateDown, pace?.[inAnyAssembly(opening(joint.id))]),
      back: paced(estimateBack, pace?.[inAnyAssembly(closing(joint.id))]),
    },
    estimate: { down: estimateDown[1], back: estimateBack[1] },
    ...(joint.acts ? { acts: { down: actsHere(joint, 'down', pace), back: actsHere(joint, 'back', pace) } } : {}),
    materials: {
      down: [...(joint.materials?.down ?? []), ...down.materials],
      back: [...(joint.materials?.back ?? []), ...back.materials],
    },
    practices: { down: down.practices, back: back.practices },
  }
}

function actsHere({ id, acts }: Joint, phase: 'down' | 'back', pace?: Pace): readonly Act[] {
  return (acts?.[phase] ?? []).map((act) => ({
    ...act,
    estimate: act.minutes[1],
    minutes: paced(act.minutes, pace?.[inAnyAssembly(printStep({ phase, ...parseJoint(id), act: act.id }))]),
  }))
}

/** One step of the work in the shop’s words and minutes. */
export function workStepHere(part: string, step: WorkStep, { practices, pace, conditions = {} }: Here): WorkStep {
  // What was measured at this job is told by amounts and has no marks of practices.
  const {
    text,
    minutes,
    materials,
    practices: asked,
  } = typeof step.text === 'string'
    ? said(step.text, practices)
    : { text: step.text, minutes: 0, materials: [], practices: [] }
  const estimate = longer(step.minutes, minutes)
  return {
    ...step,
    text,
    minutes: paced(estimate, pace?.[`work:${part}:${step.id}`]),
    estimate: estimate[1],
    materials: [...(step.materials ?? []), ...materials],
    practices: [...(step.practices ?? []), ...asked],
    wait: waitHere(step.wait, conditions),
  }
}

/** Has a construction a joint of this name? */
export function hasJoint({ joints }: ConstructionGraph, id: string): boolean {
  return joints.some((joint) => joint.id === id)
}

/** Says which joints there are, where one was named that is none. */
export function noJoint(field: string, id: string, { id: name, joints }: ConstructionGraph): InputError {
  return badField(field, id, `a joint of ${name}: ${joints.map((joint) => joint.id).join(', ')}`)
}

function corrected({
  count: counted,
  places,
  hand,
  tool,
  orientation,
}: Omit<JointCorrection, 'joint'> = {}): Partial<Joint> {
  // What was counted by place adds up, whatever else was said.
  const count = places ? places.reduce((sum, place) => sum + place.count, 0) : counted
  return {
    ...(count === undefined ? {} : { count, places, countNote: 'as counted on this machine' }),
    ...(hand === undefined
      ? {}
      : { hand, turn: hand === 'left' ? ('clockwise' as const) : ('counter-clockwise' as const) }),
    ...(tool === undefined ? {} : { tool }),
    ...(orientation === undefined ? {} : { orientation }),
  }
}

function longer([low, likely, high]: Minutes, by: number): Minutes {
  return [low + by, likely + by, high + by]
}

function paced([low, likely, high]: Minutes, ratio = 1): Minutes {
  return [low * ratio, likely * ratio, high * ratio]
}
