import { PART_WORK, STUCK } from '../knowledge/constructions'
import type { Assembly, FinishStep, Joint, Minutes, SelfRunning, WorkStep } from '../knowledge/constructions/joint'
import type { OrderTag } from '../knowledge/constructions/order-rules'
import { RINGS_FITTED } from '../knowledge/constructions/part-groups'
import type { PracticeId } from '../knowledge/shop/practices'
import type { Gate, MotorType, Part, Standing } from '../knowledge/vocabulary'
import type { Telling } from '../quantity/sentence'
import { asHere, hasJoint, noJoint, workStepHere, type Here } from './as-here'
import { cheapestOpening, openingOrder } from './cheapest-opening'
import { minutesOf } from './clock'
import { waitHere, workHere } from './conditions'
import { assemblyGraph, existsHere, homeOfWay, type MachineGraph, type Where } from './machine-graph'
import { inOrder, type Placed } from './order'
import { reasonsOf, type PlannedJoint, type PlannedWork } from './reasons'
import { materialsSpent, partsSpent } from './spent'
import { closing, opening, parseJoint } from './step-ref'
import { actStep, backStep, downStep, finishStep, freeing, stuckKind, workStep } from './steps'

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
  /** What sits in the machine’s motor: no switch where there is none. */
  motorType?: MotorType
  /** On the bench, no step of the site. */
  standing?: Standing
  /** Gates shut in Safe: carried in, and never asked again. */
  gatesHeld?: readonly string[]
  seed?: number
}

export type StepPhase = 'down' | 'work' | 'back' | 'commission'
export interface TakeDownStep {
  id: string
  phase: StepPhase
  text: Telling
  part: Part
  assembly?: Assembly
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
  /** Pressing, pulling and curing are work for the bench. */
  bench?: true
  /** The printed estimate, against which the shop’s own times are measured. */
  estimate: number
  materials?: readonly string[]
  practices?: readonly PracticeId[]
  /** What it does that the order of other steps hangs on. */
  tags?: readonly OrderTag[]
  /** What it asks: it closes with one of these answers. */
  asks?: WorkStep['asks']
  /** The figure that decides: it does not close without it. */
  decides?: WorkStep['decides']
  /** The part whose identity is read off here. */
  identifies?: WorkStep['identifies']
  /** The check whose reading it is. */
  reads?: WorkStep['reads']
  /** What is tried next where this does not free it. */
  orElse?: { text: string; minutes: number }[]
}
export type Wait = SelfRunning & { after: string }
/** What a take-down spends: a part, or a material such as tape or cement. */
export type Consumable = { part: Part; because: string } | { material: string; because: string }
export interface TakeDownPlan {
  construction: Assembly
  /** Every step in its true order: down, work, back and what needs power, as their reasons have it. */
  steps: TakeDownStep[]
  down: TakeDownStep[]
  work: TakeDownStep[]
  back: TakeDownStep[]
  /** What is done once the power is on. */
  commission: TakeDownStep[]
  tools: string[]
  consumables: Consumable[]
  /** At the machine until the water is back, waits that run alongside counted only where they hold up. */
  minutes: { p50: number; p90: number }
  /** For each step of the work, the joints that must lie open for it. */
  behind: Readonly<Record<string, readonly string[]>>
  /** What runs by itself after a step; what wants its gate, or the closing it holds, waits for it. */
  waits: Wait[]
  cautions: string[]
  /** Parts that lie open anyway, and the minutes it takes to do them now. */
  whileOpen: { part: Part; minutes: number }[]
  /** Practices that had a say in its steps. */
  practices: PracticeId[]
}

/** A plan without its clock: two thousand tries are for whoever reads the minutes. */
export type UntimedPlan = Omit<TakeDownPlan, 'minutes'>

/** A job's own step, beside the work at its parts: done where these lie open, or behind these joints. */
export interface OwnWork {
  part: Part
  step: WorkStep
  targets: readonly Part[]
  through: readonly string[]
  /** It comes after the others’ own work: the pump leaves with it. */
  last?: boolean
}
/** What of the targets is only reached, and what a job does of its own. */
export interface Wanted {
  accessOnly?: readonly Part[]
  /** Targets that are worked on and stay: cleaned, set, looked at. */
  kept?: readonly Part[]
  own?: readonly OwnWork[]
  /** Nothing is put together again. */
  endsOpen?: boolean
}

/**
 * The take-down of least time that reaches all targets in one assembly, its work, and the way back.
 *
 * @throws InputError for a target the construction does not reach, or that nothing reaches once alternatives are
 *   excluded
 */
export function planTakeDown(
  construction: string,
  targets: readonly Part[],
  options: TakeDownOptions = {},
): TakeDownPlan {
  return timed(untimedPlan(assemblyGraph(construction, options), targets, options), options.seed)
}

/** A plan with its minutes. */
export function timed(plan: UntimedPlan, seed?: number): TakeDownPlan {
  return { ...plan, minutes: minutesOf(plan.steps, plan.waits, seed) }
}

/**
 * The plan over a machine’s graph, without its minutes.
 *
 * @param wanted targets at which nothing is done, and works beside those of the targets
 */
export function untimedPlan(
  machine: MachineGraph,
  targets: readonly Part[],
  options: TakeDownOptions & Where = {},
  { accessOnly = [], kept = [], own = [], endsOpen = false }: Wanted = {},
): UntimedPlan {
  const graph = asHere(machine, options)
  const held = heldOpen(graph, options.gatesHeld ?? [])
  const [opened, underway] = [new Set([...(options.opened ?? []), ...held]), options.underway ?? []]
  for (const id of [...opened, ...underway, ...(options.alternativesExcluded ?? [])])
    if (!hasJoint(graph, id)) throw noJoint('options', id, graph)
  const treated = withBrought(
    graph,
    withDamaged(graph, targets, options).filter((part) => !accessOnly.includes(part)),
  )
  const wanted = [...new Set([...treated, ...accessOnly])]
  const chosen = cheapestOpening(
    graph,
    wanted,
    new Set([...opened, ...underway]),
    new Set(options.alternativesExcluded ?? []),
    own.flatMap(({ through }) => through),
  )
  const order = openingOrder(graph, chosen)
  const tries = (id: string) =>
    (options.found ?? []).filter(({ what, joint }) => what === 'stuck' && joint === id).length
  const joints = order.map((joint, index) => plannedJoint(joint, index, opened.has(joint.id), tries(joint.id)))
  const rings = order
    .flatMap(({ id, spends = [] }) => spends.map((part) => ({ part, joint: id })))
    .filter(({ part }) => RINGS_FITTED.includes(part) && !wanted.includes(part))
  const works = [
    ...treated.flatMap((part, index) =>
      worksAt(graph, part, chosen, options, { rank: index }).filter(
        ({ spec: { unless } }) => unless === undefined || !treated.includes(unless),
      ),
    ),
    ...rings.flatMap(({ part, joint }, index) =>
      worksAt(graph, part, chosen, options, { ring: joint, rank: wanted.length + index }),
    ),
    ...own.map(({ part, step, targets: at, through }, index): PlannedWork => ({
      part,
      assembly: graph.id,
      spec: step,
      step: workStep(part, workStepHere(part, step, options)),
      way: reachedBy(graph, [...through, ...at.flatMap((target) => wayOfPart(graph, target, chosen))], chosen),
      rank: wanted.length + rings.length + index,
    })),
  ]
  const finish = graph.finish
    .filter(({ when }) => when.some((id) => chosen.has(id)))
    .map((spec) => ({ spec, step: finishStep(spec, options) }))
  const waits = [
    ...joints.flatMap(({ joint, waits: started }) =>
      started.map((wait) => ({ ...wait, after: startsAt(joint.id, wait) })),
    ),
    ...works.flatMap(({ spec, step }) => {
      const wait = waitHere(spec.wait, options.conditions ?? {})
      return wait ? [{ ...wait, after: step.id }] : []
    }),
  ].map((wait) => ({ ...wait, ...(wait.closes ? { closes: heldBy(graph, wait.closes) } : {}) }))
  const placed = placedOf(joints, works, finish).filter(
    ({ step: { phase } }) => !endsOpen || phase === 'down' || phase === 'work',
  )
  const steps = inOrder(placed, reasonsOf(graph, joints, works, finish), waits)
  const spent = partsSpent(
    order,
    treated.filter((part) => !kept.includes(part)),
    works.map(({ spec }) => spec),
    options,
    joints.flatMap(({ joint, freed }) => (freed.some(({ giveUp }) => giveUp) ? [joint.part] : [])),
  )
  const of = (phase: StepPhase) => steps.filter((step) => step.phase === phase)
  return {
    construction: graph.id,
    steps,
    down: of('down'),
    work: of('work'),
    back: of('back'),
    commission: of('commission'),
    tools: [...new Set(steps.flatMap(({ tool }) => tool?.split(/,\s*/) ?? []))],
    consumables: [...spent, ...materialsSpent(steps)],
    behind: behindOf(works, steps),
    waits,
    cautions: [...new Set(steps.flatMap(({ caution }) => caution ?? []))],
    whileOpen: besides(graph, order, [...wanted, ...spent.map(({ part }) => part)]),
    practices: [...new Set(steps.flatMap(({ practices }) => practices ?? []))],
  }
}

/** For each step of the work, the joints of its way that are still open when its turn comes. */
function behindOf(works: readonly PlannedWork[], steps: readonly TakeDownStep[]): UntimedPlan['behind'] {
  const at = new Map(steps.map(({ id }, index) => [id, index]))
  return Object.fromEntries(
    works
      .filter(({ spec }) => !spec.early)
      .map(({ step, way }) => [
        step.id,
        [...way].filter((joint) => (at.get(closing(joint)) ?? Infinity) > (at.get(step.id) as number)),
      ]),
  )
}

/** Joints that Safe has opened: all the gates that they shut are held. */
function heldOpen(graph: MachineGraph, gates: readonly string[]): string[] {
  return graph.joints
    .filter(({ shuts = [] }) => shuts.length > 0 && shuts.every((gate) => gates.includes(gate)))
    .map(({ id }) => id)
}

/** A wait holds a joint of its own assembly, or of the machine. */
function heldBy(graph: MachineGraph, joint: string): string {
  return graph.homes.has(joint)
    ? joint
    : ([...graph.homes.keys()].find((id) => parseJoint(id).joint === joint) ?? joint)
}

/**
 * What was found damaged and can be reached here is renewed with the rest, and before it: a seal goes into the new
 * plate.
 */
function withDamaged(graph: MachineGraph, targets: readonly Part[], { found = [] }: TakeDownOptions): Part[] {
  return [
    ...new Set([
      ...found.flatMap(({ part, what }) => (part && what === 'damaged' && graph.reach[part] ? [part] : [])),
      ...targets,
    ]),
  ]
}

/** With the parts that are done with them: disturbed is new. */
function withBrought(graph: MachineGraph, targets: readonly Part[]): Part[] {
  const all = new Set(targets)
  for (const part of all)
    for (const brought of workRow(graph, part)?.brings ?? []) if (graph.reach[brought]) all.add(brought)
  return [...all]
}

function workRow(graph: MachineGraph, part: Part) {
  const assembly = homeOfWay(graph, graph.reach[part]?.[0] ?? [])
  return (
    PART_WORK.find((work) => work.part === part && work.in?.includes(assembly)) ??
    PART_WORK.find((work) => work.part === part && !work.in)
  )
}

/** Cement is wet from when it is put on, on the way back; a motor cools from when it is switched off. */
function startsAt(joint: string, { by }: SelfRunning): string {
  return by === 'cement' ? closing(joint) : opening(joint)
}

function plannedJoint(joint: Joint, index: number, open: boolean, tries: number): PlannedJoint {
  const freed = STUCK[stuckKind(joint)].slice(0, tries)
  const remake = freed.find(({ remake: made }) => made)?.remake
  const acts = { down: joint.acts?.down ?? [], back: [...(remake?.acts ?? []), ...(joint.acts?.back ?? [])] }
  const closes = backStep(joint, remake?.materials)
  return {
    joint,
    index,
    freed,
    down: open
      ? []
      : [...acts.down.map((act) => actStep(joint, 'down', act)), ...freeing(joint, tries), downStep(joint)],
    back: closes ? [...acts.back.map((act) => actStep(joint, 'back', act)), closes] : [],
    waits: [joint.wait, remake?.wait].filter((wait) => wait !== undefined),
  }
}

function worksAt(
  graph: MachineGraph,
  part: Part,
  chosen: ReadonlySet<string>,
  options: TakeDownOptions & Where,
  { rank, ring }: { rank: number; ring?: string },
): PlannedWork[] {
  const way = wayOfPart(graph, part, chosen)
  const assembly = homeOfWay(graph, way)
  const reached = reachedBy(graph, way, chosen)
  const prefix = way.at(-1)?.includes('.') ? `${assembly}.` : ''
  return workHere(part, assembly, workRow(graph, part)?.steps ?? [], options.conditions ?? {}, options.practices)
    .filter((step) => existsHere(step, options))
    .map((step): PlannedWork => {
      const spec = { ...step, mounted: step.mounted?.map((id) => (graph.homes.has(id) ? id : `${prefix}${id}`)) }
      const written = workStep(part, workStepHere(part, step, options))
      return {
        part,
        assembly,
        spec,
        step: { ...written, assembly, ...(ring ? { phase: 'back' as const } : {}) },
        way: reached,
        rank,
        ...(ring ? { ring } : {}),
      }
    })
}

/** The way by which a part is reached in a plan: the one whose joints are all opened in it. */
function wayOfPart(graph: MachineGraph, part: Part, chosen: ReadonlySet<string>): readonly string[] {
  const ways = graph.reach[part] ?? []
  return ways.find((each) => each.every((id) => chosen.has(id))) ?? ways[0] ?? []
}

/** These joints and all that is opened before them. */
function reachedBy(graph: MachineGraph, way: readonly string[], chosen: ReadonlySet<string>): Set<string> {
  const byId = new Map(graph.joints.map((joint) => [joint.id, joint]))
  const reached = new Set(way.filter((id) => byId.has(id)))
  for (const id of reached)
    for (const before of (byId.get(id) as Joint).after.flat()) if (chosen.has(before)) reached.add(before)
  return reached
}

const SOON: ReadonlySet<OrderTag> = new Set<OrderTag>(['turns-by-hand', 'reads-insulation', 'cleans-place'])

/** Where each step stands when its reasons leave it free. */
function placedOf(
  joints: readonly PlannedJoint[],
  works: readonly PlannedWork[],
  finish: readonly { spec: FinishStep; step: TakeDownStep }[],
): Placed[] {
  const PHASE = { down: 0, work: 10_000, back: 20_000, commission: 30_000 }
  const last = joints.length
  const backRank = new Map(joints.map(({ joint, index }) => [joint.id, last - index]))
  return [
    ...joints.flatMap(({ index, down, back, joint }) => [
      ...down.map((step, act) => ({ step, rank: PHASE.down + index + act / 100 })),
      ...back.map((step, act) => ({
        step,
        rank: (joint.commissions ? PHASE.commission + 500 : PHASE.back) + (last - index) + act / 100,
      })),
    ]),
    ...works.map(({ step, spec, rank, ring }, index) => ({
      step,
      rank: spec.early
        ? -1000 + index
        : ring
          ? PHASE.back + (backRank.get(ring) as number) - 0.5
          : PHASE[step.phase] + rank + index / 100,
    })),
    // Turning by hand and reading come as soon as they may, priming and its stream as late.
    ...finish.map(({ step, spec }, index) => ({
      step,
      rank: PHASE[spec.phase] + (spec.tags?.some((tag) => SOON.has(tag)) ? -1 : 900) + index / 100,
    })),
  ]
}

/** What lies open and is not renewed anyway. */
function besides(graph: MachineGraph, order: readonly Joint[], renewed: readonly Part[]): TakeDownPlan['whileOpen'] {
  const open = new Set(order.map(({ id }) => id))
  const lying = new Set(order.flatMap(({ exposes = [] }) => exposes))
  for (const [part, ways] of Object.entries(graph.reach))
    if (ways.some((way) => way.every((id) => open.has(id)))) lying.add(part as Part)
  return [...lying]
    .filter((part) => !renewed.includes(part))
    .map((part) => ({
      part,
      minutes: (workRow(graph, part)?.steps ?? []).reduce((sum, { minutes }) => sum + minutes[1], 0),
    }))
    .filter(({ minutes }) => minutes > 0)
}
