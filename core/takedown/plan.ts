import { CONSTRUCTION_GRAPHS, PART_WORK, STUCK } from '../knowledge/constructions'
import type {
  Assembly,
  ConstructionGraph,
  Joint,
  Minutes,
  SelfRunning,
  WorkStep,
} from '../knowledge/constructions/joint'
import { RINGS } from '../knowledge/constructions/part-groups'
import { wayOf, type PracticeId } from '../knowledge/shop/practices'
import { PARTS, type Gate, type Part } from '../knowledge/vocabulary'
import type { Telling } from '../quantity/sentence'
import { badField } from '../validation/input-error'
import { asHere, hasJoint, noJoint, workStepHere, type Here } from './as-here'
import { minutesOf } from './clock'
import { workHere } from './conditions'
import { closing, opening, printStep } from './step-ref'

/** What was met on the way: a joint that will not open, a part that is damaged. */
export interface TakeDownFound {
  joint?: string
  part?: Part
  what: 'stuck' | 'damaged'
}
export interface TakeDownOptions extends Here {
  /** Joints that are open already: they cost nothing more on the way down, and close on the way back. */
  opened?: readonly string[]
  /**
   * Joints that were opened already, whatever is wanted by now: they stay in the plan with both their steps, and cost
   * only their way back.
   */
  underway?: readonly string[]
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
  text: Telling
  part: Part
  joint?: Joint['type']
  count?: number
  countNote?: string
  places?: Joint['places']
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
  /** The printed estimate, against which the shop’s own times are measured. */
  estimate: number
  materials?: readonly string[]
  practices?: readonly PracticeId[]
  /** What is tried next where this does not free it. */
  orElse?: { text: string; minutes: number }[]
}
export type Wait = SelfRunning & { after: string }
/** What a take-down spends: a part, or a material such as tape or cement. */
export type Consumable = { part: Part; because: string } | { material: string; because: string }
export interface TakeDownPlan {
  construction: Assembly
  down: TakeDownStep[]
  work: TakeDownStep[]
  back: TakeDownStep[]
  tools: string[]
  consumables: Consumable[]
  /** At the machine until the water is back, waits that run alongside counted only where they hold up. */
  minutes: { p50: number; p90: number }
  /** What runs by itself after a step; what wants its gate, or the closing it holds, waits for it. */
  waits: Wait[]
  cautions: string[]
  /** Parts that lie open anyway, and the minutes it takes to do them now. */
  whileOpen: { part: Part; minutes: number }[]
  /** Practices that had a say in its steps. */
  practices: PracticeId[]
}

/** @throws InputError for a construction that is none */
export function graphOf(construction: string): ConstructionGraph {
  const found = CONSTRUCTION_GRAPHS.find(({ id }) => id === construction)
  if (!found)
    throw badField('construction', construction, `one of ${CONSTRUCTION_GRAPHS.map(({ id }) => id).join(', ')}`)
  return found
}

/** A plan without its clock: two thousand tries are for whoever reads the minutes. */
export type UntimedPlan = Omit<TakeDownPlan, 'minutes'>

/**
 * The take-down of least time that reaches all targets, its work, and the way back.
 *
 * @throws InputError for a target the construction does not reach, or that nothing reaches once alternatives are
 *   excluded
 */
export function planTakeDown(
  construction: string,
  targets: readonly Part[],
  options: TakeDownOptions = {},
): TakeDownPlan {
  const plan = untimedPlan(construction, targets, options)
  return { ...plan, minutes: minutesOf([...plan.down, ...plan.work, ...plan.back], plan.waits, options.seed) }
}

/** The same, without its minutes. */
export function untimedPlan(
  construction: string,
  targets: readonly Part[],
  options: TakeDownOptions = {},
): UntimedPlan {
  const graph = asHere(graphOf(construction), options)
  const [opened, underway] = [new Set(options.opened ?? []), options.underway ?? []]
  for (const id of [...opened, ...underway, ...(options.alternativesExcluded ?? [])])
    if (!hasJoint(graph, id)) throw noJoint('options', id, graph)
  const wanted = withDamaged(graph, targets, options)
  const order = openingOrder(
    graph,
    cheapestOpening(graph, wanted, new Set([...opened, ...underway]), new Set(options.alternativesExcluded ?? [])),
  )
  const tries = (id: string) =>
    (options.found ?? []).filter(({ what, joint }) => what === 'stuck' && joint === id).length
  const treated = wanted.filter((part) => !options.accessOnly?.includes(part))
  const treatment = treated.flatMap((part) =>
    workHere(part, graph.id, workAt(graph.id, part), options.conditions ?? {}, options.practices).map((step) => ({
      part,
      step: workStepHere(part, step, options),
    })),
  )
  const down = order
    .filter(({ id }) => !opened.has(id))
    .flatMap((joint) => [...freeing(joint, tries(joint.id)), downStep(joint)])
  const work = treatment.map(({ part, step }) => workStep(part, step))
  const back = [...order].reverse().flatMap((joint) => backStep(joint) ?? [])
  const steps = [...down, ...work, ...back]
  const spent = partsSpent(
    order,
    treated,
    treatment.map(({ step }) => step),
    options,
    givenUp(order, tries),
  )
  return {
    construction: graph.id,
    down,
    work,
    back,
    tools: [...new Set(steps.flatMap(({ tool }) => tool?.split(/,\s*/) ?? []))],
    consumables: [...spent, ...materialsSpent(steps)],
    waits: [
      ...order.flatMap(({ id, wait }) => (wait ? [{ ...wait, after: startsAt(id, wait) }] : [])),
      ...treatment.flatMap(({ part, step: { id, wait } }) => (wait ? [{ ...wait, after: `work:${part}:${id}` }] : [])),
    ],
    cautions: [...new Set(steps.flatMap(({ caution }) => caution ?? []))],
    whileOpen: besides(graph, order, [...wanted, ...spent.map(({ part }) => part)]),
    practices: [...new Set(steps.flatMap(({ practices }) => practices ?? []))],
  }
}

/**
 * What was found damaged and can be reached here is renewed with the rest, and before it: a seal goes into the new
 * plate.
 */
function withDamaged(graph: ConstructionGraph, targets: readonly Part[], { found = [] }: TakeDownOptions): Part[] {
  return [
    ...new Set([
      ...found.flatMap(({ part, what }) => (part && what === 'damaged' && graph.reach[part] ? [part] : [])),
      ...targets,
    ]),
  ]
}

/** Cement is wet from when it is put on, on the way back; a motor cools from when it is switched off. */
function startsAt(joint: string, { by }: SelfRunning): string {
  return by === 'cement' ? closing(joint) : opening(joint)
}

/**
 * The set of joints of least likely time, both ways, that reaches every target and opens nothing that is still blocked.
 * Exact: every choice between alternatives is followed, and left only when it costs more than the best so far.
 */
export function cheapestOpening(
  graph: ConstructionGraph,
  targets: readonly Part[],
  opened: ReadonlySet<string>,
  excluded: ReadonlySet<string>,
): Set<string> {
  const byId = new Map(graph.joints.map((joint) => [joint.id, joint]))
  const cost = (id: string) => costOf(byId.get(id) as Joint, opened)
  let best: { cost: number; set: Set<string> } | undefined
  const clauses: string[][][] = targets.map((part) => {
    const ways = graph.reach[part]
    if (!ways)
      throw badField(
        'targets',
        part,
        `a part that ${graph.label} gives access to: ${Object.keys(graph.reach).join(', ')}`,
      )
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
      const blocked = fresh.flatMap((id) =>
        (byId.get(id) as Joint).after.map((before) =>
          typeof before === 'string' ? [[before]] : before.map((id) => [id]),
        ),
      )
      follow(new Set([...set, ...fresh]), spent + fresh.reduce((sum, id) => sum + cost(id), 0), [...blocked, ...rest])
    }
  }
}

/** Likely minutes of a joint, both ways; an open one has only its way back. */
export function costOf(joint: Joint, opened: ReadonlySet<string>): number {
  return (opened.has(joint.id) ? 0 : joint.minutes.down[1]) + joint.minutes.back[1]
}

/**
 * Chosen joints in an order in which each is free when its turn comes: as the construction lists them, as far as that
 * goes.
 */
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
  return joint.after.every((before) =>
    typeof before === 'string' ? open.has(before) : before.some((id) => open.has(id)),
  )
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
  const { id, down, minutes, turn, caution, materials, practices, estimate } = joint
  return {
    ...shared(joint),
    id: opening(id),
    phase: 'down',
    text: down,
    minutes: minutes.down[1],
    times: minutes.down,
    estimate: estimate?.down ?? minutes.down[1],
    ...defined({ turn, caution, ...has(materials?.down, practices?.down) }),
  }
}

/** A joint as the step that closes it; none where nothing closes. */
export function backStep(joint: Joint): TakeDownStep | undefined {
  const { id, back, minutes, turn, orientation, tighten, lubricant, materials, practices, estimate } = joint
  if (back === undefined) return undefined
  return {
    ...shared(joint),
    id: closing(id),
    phase: 'back',
    text: back,
    minutes: minutes.back[1],
    times: minutes.back,
    estimate: estimate?.back ?? minutes.back[1],
    ...defined({
      turn: turn && OTHER_TURN[turn],
      orientation,
      tighten,
      lubricant,
      ...has(materials?.back, practices?.back),
    }),
  }
}

function has(
  materials: readonly string[] = [],
  practices: readonly PracticeId[] = [],
): Pick<TakeDownStep, 'materials' | 'practices'> {
  return { ...(materials.length > 0 ? { materials } : {}), ...(practices.length > 0 ? { practices } : {}) }
}

/** A step of the work at a part. */
export function workStep(
  part: Part,
  { id, text, tool, minutes, caution, orientation, estimate, materials, practices }: WorkStep,
): TakeDownStep {
  return {
    id: printStep({ phase: 'work', work: `${part}:${id}` }),
    phase: 'work',
    text,
    part,
    minutes: minutes[1],
    times: minutes,
    estimate: estimate ?? minutes[1],
    gates: [],
    ...defined({ tool, caution, orientation, ...has(materials, practices) }),
  }
}

/**
 * What is tried when a joint will not open, in its own kind's way: one step for each time it was said to hold, the next
 * alternatives with their minutes behind it.
 */
function freeing(joint: Joint, tries: number): TakeDownStep[] {
  const ways = STUCK[joint.type] ?? STUCK.bolt
  return ways
    .slice(0, tries)
    .map(({ text, tool, minutes, caution }, index): TakeDownStep => ({
      id: printStep({ phase: 'down', joint: joint.id, attempt: index + 1 }),
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

/** Parts whose joints were given up: they are bought new. */
function givenUp(order: readonly Joint[], tries: (id: string) => number): Part[] {
  return order
    .filter(({ id, type }) => (STUCK[type] ?? STUCK.bolt).slice(0, tries(id)).some(({ giveUp }) => giveUp))
    .map(({ part }) => part)
}

function workAt(construction: Assembly, part: Part): readonly WorkStep[] {
  return (
    (
      PART_WORK.find((work) => work.part === part && work.in?.includes(construction)) ??
      PART_WORK.find((work) => work.part === part && !work.in)
    )?.steps ?? []
  )
}

function partsSpent(
  order: readonly Joint[],
  targets: readonly Part[],
  work: readonly WorkStep[],
  { found = [], practices }: TakeDownOptions,
  lost: readonly Part[],
): { part: Part; because: string }[] {
  const spent = new Map<Part, string>()
  const damaged = new Set(found.flatMap(({ part, what }) => (part && what === 'damaged' ? [part] : [])))
  for (const part of targets) spent.set(part, damaged.has(part) ? 'found damaged' : 'to be replaced')
  for (const joint of order)
    for (const part of joint.spends ?? [])
      if (!spent.has(part))
        spent.set(
          part,
          `${PARTS[joint.part]} disturbed` +
            (wayOf('rings', practices) === 'reuse' && RINGS.includes(part) ? ': only if it is not new and clean' : ''),
        )
  for (const step of work)
    for (const part of step.spends ?? []) if (!spent.has(part)) spent.set(part, 'comes new with it')
  for (const part of damaged) if (!spent.has(part)) spent.set(part, 'found damaged')
  for (const part of lost) if (!spent.has(part)) spent.set(part, 'could not be freed')
  return [...spent].map(([part, because]) => ({ part, because }))
}

function materialsSpent(steps: readonly TakeDownStep[]): Consumable[] {
  const spent = new Map<string, string>()
  for (const { materials = [], text } of steps)
    for (const material of materials) if (!spent.has(material)) spent.set(material, firstWords(text))
  return [...spent].map(([material, because]) => ({ material, because }))
}

/** What a step is about: its words up to its first stop or amount. */
function firstWords(text: Telling): string {
  const words = typeof text === 'string' ? text : String(text[0])
  return words
    .replace(/[:;,.].*$/, '')
    .trim()
    .toLowerCase()
}

/** What lies open and is not renewed anyway. */
function besides(
  graph: ConstructionGraph,
  order: readonly Joint[],
  renewed: readonly Part[],
): TakeDownPlan['whileOpen'] {
  const open = new Set(order.map(({ id }) => id))
  const lying = new Set(order.flatMap(({ exposes = [] }) => exposes))
  for (const [part, ways] of Object.entries(graph.reach))
    if (ways.some((way) => way.every((id) => open.has(id)))) lying.add(part as Part)
  return [...lying]
    .filter((part) => !renewed.includes(part))
    .map((part) => ({ part, minutes: workAt(graph.id, part).reduce((sum, { minutes }) => sum + minutes[1], 0) }))
    .filter(({ minutes }) => minutes > 0)
}

function defined<T extends object>(fields: T): Partial<T> {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as Partial<T>
}
