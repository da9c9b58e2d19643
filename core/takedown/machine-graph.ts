import { CONSTRUCTION_GRAPHS } from '../knowledge/constructions'
import type { Assembly, ConstructionGraph, FinishStep, Joint, Only } from '../knowledge/constructions/joint'
import { IN_THE_MOTOR, IN_THE_PUMP, PART_OF_KIND, PART_OF_MOTOR } from '../knowledge/constructions/part-groups'
import {
  usualStanding,
  WELLS,
  type Construction,
  type Kind,
  type MotorType,
  type Part,
  type Standing,
} from '../knowledge/vocabulary'
import { motorHas } from '../diagnosis/model'
import { badField } from '../validation/input-error'
import { parseJoint, printJoint } from './step-ref'

/** What decides which joints, parts and works exist: the kind, its motor, and where it stands. */
export interface Where {
  kind?: Kind
  motorType?: MotorType
  standing?: Standing
}

/** A machine as one graph: its place, its installation, the unit, the motor and its inside, as far as they are here. */
export interface MachineGraph extends ConstructionGraph {
  /** The assembly that a joint belongs to, by the joint's id in this graph. */
  homes: ReadonlyMap<string, Assembly>
  standing: Standing
  finish: readonly HomedFinish[]
}
export type HomedFinish = FinishStep & { home: Assembly }

/** @throws InputError for a construction that is none */
export function graphOf(construction: string): ConstructionGraph {
  const found = CONSTRUCTION_GRAPHS.find(({ id }) => id === construction)
  if (!found)
    throw badField('construction', construction, `one of ${CONSTRUCTION_GRAPHS.map(({ id }) => id).join(', ')}`)
  return found
}

/** One assembly by itself, as it is on such a machine. */
export function assemblyGraph(construction: string, where: Where = {}): MachineGraph {
  return asItIs([{ graph: graphOf(construction) }], where)
}

/** A whole machine: every assembly that belongs to it, the inner ones entered by the joints that lead to them. */
export function machineGraph(construction: Construction, where: Where & { kind: Kind }): MachineGraph {
  return asItIs(layersOf(construction, where.kind), where)
}

const INSIDE: ReadonlySet<Part> = new Set([...IN_THE_MOTOR, ...IN_THE_PUMP])

interface Layer {
  graph: ConstructionGraph
  /** An inner assembly's joints carry its name; it is entered by these of the outer ones. */
  entered?: readonly string[]
}

function layersOf(construction: Construction, kind: Kind): Layer[] {
  const unit = graphOf(construction)
  if (WELLS.includes(kind)) {
    const installation = graphOf('well-installation')
    return [
      { graph: installation },
      { graph: graphOf('pressure-tee') },
      { graph: unit, entered: installation.reach.pump?.[0] ?? [] },
    ]
  }
  const inside = unit.reach.bearings?.[0]
  return [
    { graph: unit },
    ...(kind === 'jet' ? [{ graph: graphOf('pressure-tee') }] : []),
    // A motor that is opened where it hangs has its inside in its own construction.
    ...(construction !== 'motor-bench' && construction !== 'vertical-shimmed' && inside
      ? [{ graph: graphOf('motor-bench'), entered: inside }]
      : []),
  ]
}

/** Covers and bleeds that a motor has once, whichever of its assemblies names them. */
const ONE_OF_A_MOTOR: ReadonlySet<string> = new Set(['rear-cover', 'discharge', 'capacitor-leads', 'drive-wait'])

function asItIs(layers: readonly Layer[], asSaid: Where): MachineGraph {
  const first = layers[0] as Layer
  const where = { ...asSaid, standing: asSaid.standing ?? usualStanding(first.graph.id) }
  const joints: Joint[] = []
  const homes = new Map<string, Assembly>()
  const reaches: Map<Part, string[][]>[] = []
  const finish: HomedFinish[] = []
  // Gone because of where it stands: done already. Gone because such a machine has none: nothing to wait for, either.
  const atPlace = new Set<string>()
  for (const { graph, entered } of layers) {
    const own = new Set(graph.joints.map(({ id }) => id))
    const name = (id: string): string =>
      entered === undefined || (ONE_OF_A_MOTOR.has(id) && homes.has(id))
        ? id
        : own.has(id)
          ? printJoint({ assembly: graph.id, joint: id })
          : id
    const named = (step: string): string =>
      step.replace(/^(down|back):([a-z0-9-]+)/, (_, phase, id) => `${phase}:${name(id as string)}`)
    for (const joint of graph.joints) {
      const id = name(joint.id)
      if (homes.has(id)) continue
      if (joint.site && where.standing !== 'installed') {
        atPlace.add(id)
        continue
      }
      if (!exists(joint.only, where)) continue
      homes.set(id, graph.id)
      joints.push({
        ...joint,
        id,
        after: [
          ...(entered ?? []),
          ...joint.after.map((each) => (typeof each === 'string' ? name(each) : each.map(name))),
        ],
        ...(joint.loose ? { loose: joint.loose.map(name) } : {}),
        ...(joint.closesAfter ? { closesAfter: joint.closesAfter.map(named) } : {}),
        ...(joint.wait?.closes ? { wait: { ...joint.wait, closes: name(joint.wait.closes) } } : {}),
      })
    }
    reaches.push(
      new Map(
        Object.entries(graph.reach).map(([part, ways]) => [part as Part, ways.map((way) => way.map(name))] as const),
      ),
    )
    finish.push(
      ...(graph.finish ?? [])
        .filter(({ only }) => exists(only, where))
        .map((step) => ({
          ...step,
          home: graph.id,
          when: step.when.map(name),
          ...(step.after ? { after: step.after.map(named) } : {}),
          ...(step.before ? { before: step.before.map(named) } : {}),
        })),
    )
  }
  const known = (id: string) => homes.has(id)
  return {
    id: first.graph.id,
    label: first.graph.label,
    basis: first.graph.basis,
    homes,
    standing: where.standing,
    finish: onceEach(finish)
      .map((step) => ({ ...step, when: step.when.filter(known) }))
      .filter(({ when }) => when.length > 0),
    joints: joints.map((joint) => ({
      ...joint,
      after: joint.after.flatMap((each): (string | readonly string[])[] => {
        if (typeof each === 'string') return known(each) ? [each] : []
        if (each.some((id) => atPlace.has(id))) return []
        const left = each.filter(known)
        return left.length > 0 ? [left] : []
      }),
    })),
    reach: reachHere(reaches, known, where),
  }
}

/** What two assemblies both ask for is done once. */
function onceEach(finish: readonly HomedFinish[]): HomedFinish[] {
  const once = new Map<string, HomedFinish>()
  for (const step of finish) {
    const key = `${step.part}:${step.id}`
    const known = once.get(key)
    once.set(key, known ? { ...known, when: [...known.when, ...step.when] } : step)
  }
  return [...once.values()]
}

/** Inside the pump or the motor an inner assembly has the say, else the outermost that reaches the part. */
function reachHere(
  reaches: readonly ReadonlyMap<Part, string[][]>[],
  known: (id: string) => boolean,
  where: Where,
): ConstructionGraph['reach'] {
  const parts = new Set(reaches.flatMap((reach) => [...reach.keys()]))
  return Object.fromEntries(
    [...parts].flatMap((part) => {
      if (!partExists(part, where)) return []
      const ways = reaches
        .map((reach) => (reach.get(part) ?? []).map((way) => way.filter(known)).filter((way) => way.length > 0))
        .filter((left) => left.length > 0)
      const chosen = INSIDE.has(part) ? ways.at(-1) : ways[0]
      return chosen ? [[part, chosen]] : []
    }),
  )
}

function exists(only: Only | undefined, { kind, motorType, standing }: Where): boolean {
  if (!only) return true
  if (only.kinds && kind !== undefined && !only.kinds.includes(kind)) return false
  if (only.standing && !only.standing.includes(standing ?? 'installed')) return false
  return only.motor === undefined || motorType === undefined || motorHas(motorType, only.motor)
}

/** Does such a work or step exist on this machine? */
export function existsHere(step: { only?: Only }, where: Where): boolean {
  return exists(step.only, where)
}

function partExists(part: Part, { kind, motorType }: Where): boolean {
  const [trait, kinds] = [PART_OF_MOTOR[part], PART_OF_KIND[part]]
  if (trait && motorType !== undefined && !motorHas(motorType, trait)) return false
  return !kinds || kind === undefined || kinds.includes(kind)
}

/** The assembly in which a part is reached: that of the last joint on its way. */
export function homeOfWay(graph: MachineGraph, way: readonly string[]): Assembly {
  return graph.homes.get(way.at(-1) as string) ?? graph.id
}

/** A joint by its address, or by its plain name where only one assembly has it. */
export function addressIn(graph: MachineGraph, joint: string): string | undefined {
  if (graph.homes.has(joint)) return joint
  const { assembly, joint: plain } = parseJoint(joint)
  // One of a motor's own, named with its assembly: it is the machine's.
  if (assembly !== undefined && graph.homes.has(plain) && ONE_OF_A_MOTOR.has(plain)) return plain
  const found = [...graph.homes.keys()].filter((id) => parseJoint(id).joint === joint)
  return found.length === 1 ? found[0] : undefined
}
