import { CONSTRUCTION_GRAPHS, PART_WORK, STUCK } from '../knowledge/constructions'
import type { Assembly, ConstructionGraph, Joint, Minutes, WorkStep } from '../knowledge/constructions/joint'
import { PARTS, type Gate, type Part } from '../knowledge/vocabulary'
import { chance } from '../quantity/random'
import { badField, type InputError } from '../validation/input-error'

/** What was met on the way: a joint that will not open, a part that is damaged. */
export interface TakeDownFound { joint?: string; part?: Part; what: 'stuck' | 'damaged' }
/** What a machine has at a joint otherwise than its construction. */
export interface JointCorrection { joint: string; count?: number; hand?: 'right' | 'left'; tool?: string }
export interface TakeDownOptions {
  /** What this machine has otherwise than its construction, by joint. */
  machineCorrections?: readonly JointCorrection[]
  /** Joints that are open already: they cost nothing more on the way down, and close on the way back. */
  opened?: readonly string[]
  found?: readonly TakeDownFound[]
  /** Joints not to be opened this time. */
  alternativesExcluded?: readonly string[]
  /** Targets that are only reached on the way to another assembly: nothing is done at them here. */
  accessOnly?: readonly Part[]
  seed?: number
}

export interface TakeDownStep {
  id: string
  phase: 'down' | 'work' | 'back'
  text: string
  part: Part
  joint?: Joint['type']
  count?: number
  countNote?: string
  hand?: 'right' | 'left'
  turn?: 'clockwise' | 'counter-clockwise'
  tool?: string
  minutes: number
  times: Minutes
  gates: readonly Gate[]
  caution?: string
  hold?: readonly string[]
  orientation?: string
  tighten?: Joint['tighten']
  lubricant?: string
  twoPeople?: true
  temporary?: true
}
export type Wait = NonNullable<Joint['wait']> & { after: string }
export interface TakeDownPlan {
  construction: Assembly
  down: TakeDownStep[]
  work: TakeDownStep[]
  back: TakeDownStep[]
  tools: string[]
  consumables: { part: Part; because: string }[]
  /** At the machine until the water is back, waits that run alongside counted only where they hold up. */
  minutes: { p50: number; p90: number }
  /** What runs by itself after a step; what wants its gate, or the closing it holds, waits for it. */
  waits: Wait[]
  cautions: string[]
  /** Parts that lie open anyway, and the minutes it takes to do them now. */
  whileOpen: { part: Part; minutes: number }[]
}

const SAMPLES = 2000
const OF_THE_DAY = 0.5
const USUAL_SEED = 1

/** @throws InputError for a construction that is none */
export function graphOf(construction: string): ConstructionGraph {
  const found = CONSTRUCTION_GRAPHS.find(({ id }) => id === construction)
  if (!found) throw badField('construction', construction, `one of ${CONSTRUCTION_GRAPHS.map(({ id }) => id).join(', ')}`)
  return found
}

/** A plan without its clock: two thousand tries are for whoever reads the minutes. */
export type UntimedPlan = Omit<TakeDownPlan, 'minutes'>

/**
 * The take-down of least time that reaches all targets, its work, and the way back.
 *
 * @throws InputError for a target the construction does not reach, or that nothing reaches once alternatives are excluded
 */
export function planTakeDown(construction: string, targets: readonly Part[], options: TakeDownOptions = {}): TakeDownPlan {
  const plan = untimedPlan(construction, targets, options)
  return { ...plan, minutes: minutesOf([...plan.down, ...plan.work, ...plan.back], plan.waits, options.seed) }
}

/** The same, without its minutes. */
export function untimedPlan(construction: string, targets: readonly Part[], options: TakeDownOptions = {}): UntimedPlan {
  const graph = corrected(graphOf(construction), options)
  const opened = new Set(options.opened ?? [])
  for (const id of [...opened, ...(options.alternativesExcluded ?? [])]) if (!hasJoint(graph, id)) throw noJoint('options', id, graph)
  const order = openingOrder(graph, cheapestOpening(graph, targets, opened, new Set(options.alternativesExcluded ?? [])))
  const stuck = new Set((options.found ?? []).filter(({ what }) => what === 'stuck').map(({ joint }) => joint))
  const treated = targets.filter((part) => !options.accessOnly?.includes(part))
  const treatment = treated.flatMap((part) => workAt(graph.id, part).map((step) => ({ part, step })))
  const down = order.filter(({ id }) => !opened.has(id)).flatMap((joint) => [...(stuck.has(joint.id) ? [freeing(joint)] : []), downStep(joint)])
  const work = treatment.map(({ part, step }) => workStep(part, step))
  const back = [...order].reverse().flatMap((joint) => backStep(joint) ?? [])
  const steps = [...down, ...work, ...back]
  return {
    construction: graph.id, down, work, back, tools: [...new Set(steps.flatMap(({ tool }) => tool?.split(/,\s*/) ?? []))],
    consumables: consumablesOf(order, treated, treatment.map(({ step }) => step), options),
    waits: order.flatMap(({ id, wait }) => (wait ? [{ ...wait, after: `down:${id}` }] : [])),
    cautions: [...new Set(steps.flatMap(({ caution }) => caution ?? []))], whileOpen: besides(graph, order, targets),
  }
}

/** Has a construction a joint of this name? */
export function hasJoint({ joints }: ConstructionGraph, id: string): boolean {
  return joints.some((joint) => joint.id === id)
}

function noJoint(field: string, id: string, { id: name, joints }: ConstructionGraph): InputError {
  return badField(field, id, `a joint of ${name}: ${joints.map((joint) => joint.id).join(', ')}`)
}

/**
 * The set of joints of least likely time, both ways, that reaches every target and opens nothing that is still blocked. Exact: every choice between alternatives is followed, and left only when it costs more than the best so far.
 */
export function cheapestOpening(graph: ConstructionGraph, targets: readonly Part[], opened: ReadonlySet<string>, excluded: ReadonlySet<string>): Set<string> {
  const byId = new Map(graph.joints.map((joint) => [joint.id, joint]))
  const cost = (id: string) => costOf(byId.get(id) as Joint, opened)
  let best: { cost: number; set: Set<string> } | undefined
  const clauses: string[][][] = targets.map((part) => {
    const ways = graph.reach[part]
    if (!ways) throw badField('targets', part, `a part that ${graph.label} gives access to: ${Object.keys(graph.reach).join(', ')}`)
    return ways.map((way) => [...way])
  })
  // What is open already is there to be closed again, whatever is chosen.
  follow(new Set(), 0, [...[...opened].map((id) => [[id]]), ...clauses])
  if (!best) throw badField('targets', targets, 'targets that some way still reaches: all of them are excluded')
  return (best as { set: Set<string> }).set

  function follow(set: Set<string>, spent: number, open: readonly string[][][]): void {
    if (best && spent >= best.cost) return
    const index = open.findIndex((ways) => !ways.some((way) => way.every((id) => set.has(id))))
    if (index < 0) {
      best = { cost: spent, set }
      return
    }
    const rest = open.slice(index + 1)
    for (const way of open[index] as string[][]) {
      const fresh = way.filter((id) => !set.has(id))
      if (fresh.some((id) => excluded.has(id))) continue
      const blocked = fresh.flatMap((id) => (byId.get(id) as Joint).after.map((before) => (typeof before === 'string' ? [[before]] : before.map((id) => [id]))))
      follow(new Set([...set, ...fresh]), spent + fresh.reduce((sum, id) => sum + cost(id), 0), [...blocked, ...rest])
    }
  }
}

/** Likely minutes of a joint, both ways; an open one has only its way back. */
export function costOf(joint: Joint, opened: ReadonlySet<string>): number {
  return (opened.has(joint.id) ? 0 : joint.minutes.down[1]) + joint.minutes.back[1]
}

/** Chosen joints in an order in which each is free when its turn comes: as the construction lists them, as far as that goes. */
export function openingOrder(graph: ConstructionGraph, chosen: ReadonlySet<string>): Joint[] {
  const left = graph.joints.filter(({ id }) => chosen.has(id))
  const order: Joint[] = []
  const done = new Set<string>()
  while (left.length > 0) {
    const index = left.findIndex((joint) => isFree(joint, done))
    if (index < 0) throw new Error(`${graph.id}: ${left.map(({ id }) => id).join(', ')} block each other`)
    const [next] = left.splice(index, 1) as [Joint]
    order.push(next)
    done.add(next.id)
  }
  return order
}

/** Is everything open that must be open before this joint? */
export function isFree(joint: Joint, open: ReadonlySet<string>): boolean {
  return joint.after.every((before) => (typeof before === 'string' ? open.has(before) : before.some((id) => open.has(id))))
}

function corrected(graph: ConstructionGraph, { machineCorrections = [] }: TakeDownOptions): ConstructionGraph {
  for (const { joint } of machineCorrections) if (!hasJoint(graph, joint)) throw noJoint('options.machineCorrections', joint, graph)
  const of = new Map(machineCorrections.map((correction) => [correction.joint, correction]))
  return {
    ...graph,
    joints: graph.joints.map((joint) => {
      const { count, hand, tool } = of.get(joint.id) ?? {}
      return { ...joint, ...(count === undefined ? {} : { count, countNote: 'as counted on this machine' }), ...(hand === undefined ? {} : { hand, turn: hand === 'left' ? 'clockwise' as const : 'counter-clockwise' as const }), ...(tool === undefined ? {} : { tool }) }
    }),
  }
}

const OTHER_TURN = { clockwise: 'counter-clockwise', 'counter-clockwise': 'clockwise' } as const

function shared({ part, type, count, countNote, hand, tool, gates = [], hold, twoPeople, temporary }: Joint): Omit<TakeDownStep, 'id' | 'phase' | 'text' | 'minutes' | 'times'> {
  return { part, joint: type, gates, ...defined({ count, countNote, hand, tool, hold, twoPeople, temporary }) }
}

/** A joint as the step that opens it. */
export function downStep(joint: Joint): TakeDownStep {
  const { id, down, minutes, turn, caution } = joint
  return { ...shared(joint), id: `down:${id}`, phase: 'down', text: down, minutes: minutes.down[1], times: minutes.down, ...defined({ turn, caution }) }
}

/** A joint as the step that closes it; none where nothing closes. */
export function backStep(joint: Joint): TakeDownStep | undefined {
  const { id, back, minutes, turn, orientation, tighten, lubricant } = joint
  if (back === undefined) return undefined
  return { ...shared(joint), id: `back:${id}`, phase: 'back', text: back, minutes: minutes.back[1], times: minutes.back, ...defined({ turn: turn && OTHER_TURN[turn], orientation, tighten, lubricant }) }
}

function workStep(part: Part, { id, text, tool, minutes, caution, orientation }: WorkStep): TakeDownStep {
  return { id: `work:${part}:${id}`, phase: 'work', text, part, minutes: minutes[1], times: minutes, gates: [], ...defined({ tool, caution, orientation }) }
}

/** What is tried when a joint will not open, in its own kind's way. */
function freeing(joint: Joint): TakeDownStep {
  const { text, tool, minutes, caution } = STUCK[joint.type] ?? STUCK.bolt
  return { id: `down:${joint.id}:free`, phase: 'down', text, part: joint.part, joint: joint.type, tool, minutes: minutes[1], times: minutes, gates: joint.gates ?? [], caution }
}

function workAt(construction: Assembly, part: Part): readonly WorkStep[] {
  return (PART_WORK.find((work) => work.part === part && work.in?.includes(construction)) ?? PART_WORK.find((work) => work.part === part && !work.in))?.steps ?? []
}

function consumablesOf(order: readonly Joint[], targets: readonly Part[], work: readonly WorkStep[], { found = [] }: TakeDownOptions): TakeDownPlan['consumables'] {
  const spent = new Map<Part, string>()
  for (const part of targets) spent.set(part, 'to be replaced')
  for (const joint of order) for (const part of joint.spends ?? []) if (!spent.has(part)) spent.set(part, `${PARTS[joint.part]} disturbed`)
  for (const step of work) for (const part of step.spends ?? []) if (!spent.has(part)) spent.set(part, 'comes new with it')
  for (const { part, what } of found) if (part && what === 'damaged' && !spent.has(part)) spent.set(part, 'found damaged')
  return [...spent].map(([part, because]) => ({ part, because }))
}

function besides(graph: ConstructionGraph, order: readonly Joint[], targets: readonly Part[]): TakeDownPlan['whileOpen'] {
  const open = new Set(order.map(({ id }) => id))
  const lying = new Set(order.flatMap(({ exposes = [] }) => exposes))
  for (const [part, ways] of Object.entries(graph.reach)) if (ways.some((way) => way.every((id) => open.has(id)))) lying.add(part as Part)
  return [...lying].filter((part) => !targets.includes(part)).map((part) => ({ part, minutes: workAt(graph.id, part).reduce((sum, { minutes }) => sum + minutes[1], 0) })).filter(({ minutes }) => minutes > 0)
}

/**
 * Half and nine tenths of the minutes, by seeded tries of every step's three points. Half of a step's luck is its own, half the day's: what runs late, runs late together. A wait runs by itself from the end of its step; what wants its gate, or closes what it holds, stands still for the rest of it.
 */
export function minutesOf(steps: readonly Pick<TakeDownStep, 'id' | 'times' | 'gates'>[], waits: readonly Wait[], seed: number = USUAL_SEED): TakeDownPlan['minutes'] {
  const { next } = chance(seed)
  const begun = new Map(waits.map((wait) => [wait.after, wait]))
  const totals = Array.from({ length: SAMPLES }, () => {
    let clock = 0
    const day = next()
    const until: { gate?: Gate; closes?: string; at: number }[] = []
    for (const { id, times, gates } of steps) {
      for (const { gate, closes, at } of until) if ((gate !== undefined && gates.includes(gate)) || (closes !== undefined && id === `back:${closes}`)) clock = Math.max(clock, at)
      clock += triangular(times, next() < OF_THE_DAY ? day : next())
      const wait = begun.get(id)
      if (wait) until.push({ gate: wait.gate, closes: wait.closes, at: clock + wait.minutes })
    }
    return clock
  }).sort((a, b) => a - b)
  return { p50: totals[Math.floor(SAMPLES / 2)] as number, p90: totals[Math.floor(SAMPLES * 0.9)] as number }
}

function triangular([low, likely, high]: Minutes, share: number): number {
  if (high <= low) return likely
  const turn = (likely - low) / (high - low)
  return share < turn ? low + Math.sqrt(share * (high - low) * (likely - low)) : high - Math.sqrt((1 - share) * (high - low) * (high - likely))
}

function defined<T extends object>(fields: T): Partial<T> {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as Partial<T>
}
