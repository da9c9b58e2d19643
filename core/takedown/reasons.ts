import type { Assembly, FinishStep, Joint, SelfRunning, WorkStep } from '../knowledge/constructions/joint'
import { ORDER_RULES, type OrderTag } from '../knowledge/constructions/order-rules'
import type { Freeing } from '../knowledge/constructions/stuck'
import type { Part } from '../knowledge/vocabulary'
import type { HomedFinish, MachineGraph } from './machine-graph'
import type { Reason } from './order'
import type { TakeDownStep } from './plan'

/** A joint that is opened in a plan: its steps down and back in their order, the deed itself last. */
export interface PlannedJoint {
  joint: Joint
  index: number
  down: TakeDownStep[]
  back: TakeDownStep[]
  freed: readonly Freeing[]
  waits: SelfRunning[]
}
/** A step of the work in a plan, and the joints that lie open for it. */
export interface PlannedWork {
  part: Part
  assembly: Assembly
  spec: WorkStep
  step: TakeDownStep
  way: ReadonlySet<string>
  rank: number
  /** It renews the ring that this joint spends. */
  ring?: string
}
export interface PlannedFinish {
  spec: FinishStep & Partial<Pick<HomedFinish, 'home'>>
  step: TakeDownStep
}

/**
 * Everything that puts one step of a plan before another: what must be open first, what shuts what in, what holds
 * across all constructions, and what the joints and works say of themselves.
 */
export function reasonsOf(
  graph: MachineGraph,
  joints: readonly PlannedJoint[],
  works: readonly PlannedWork[],
  finish: readonly PlannedFinish[],
): Reason[] {
  const reasons: Reason[] = []
  const add = (first: string | undefined, then: string | undefined, because: string) => {
    if (first !== undefined && then !== undefined && first !== then) reasons.push({ first, then, because })
  }
  const chain = (steps: readonly TakeDownStep[], because: string) => {
    for (const [index, step] of steps.entries()) add(steps[index - 1]?.id, step.id, because)
  }
  const planned = new Map(joints.map((each) => [each.joint.id, each]))
  const dependents = dependentsOf(joints)
  const opens = (id: string) => planned.get(id)?.down.at(-1)?.id
  const closes = (id: string) => planned.get(id)?.back.at(-1)?.id
  const firstBack = (id: string) => planned.get(id)?.back[0]?.id

  for (const { joint, down, back } of joints) {
    chain(down, 'one act after the other')
    chain(back, 'one act after the other')
    add(down.at(-1)?.id, back[0]?.id, 'what comes back was off')
    for (const before of joint.after.flat())
      if (planned.has(before)) for (const step of down) add(opens(before), step.id, 'open before it')
    for (const before of blockersWithWay(joint, planned))
      if (!joint.loose?.includes(before)) add(closes(joint.id), firstBack(before), 'it shuts this in')
    for (const named of joint.closesAfter ?? []) add(named, firstBack(joint.id), 'said by its construction')
  }
  gateReasons(joints, works, dependents, add)
  workReasons(works, { opens, closes, firstBack, dependents, add, planned })
  for (const { spec, step } of finish) {
    for (const named of spec.after ?? []) add(named, step.id, 'said by its construction')
    for (const named of spec.before ?? []) add(step.id, named, 'said by its construction')
    for (const id of spec.when) if (spec.phase === 'back') add(opens(id), step.id, 'it lies open')
  }
  ruleReasons(graph, joints, works, finish, add)
  return reasons
}

type Add = (first: string | undefined, then: string | undefined, because: string) => void

/** What must be open before it and has a way back; through a gate without one to what lies behind it. */
function blockersWithWay(joint: Joint, planned: ReadonlyMap<string, PlannedJoint>): Set<string> {
  const found = new Set<string>()
  const seen = new Set<string>()
  const look = (ids: readonly string[]) => {
    for (const id of ids) {
      const blocker = planned.get(id)
      if (!blocker || seen.has(id)) continue
      seen.add(id)
      if (blocker.back.length > 0) found.add(id)
      else look(blocker.joint.after.flat())
    }
  }
  look(joint.after.flat())
  return found
}

/** For each joint, all that can only be opened after it. */
function dependentsOf(joints: readonly PlannedJoint[]): ReadonlyMap<string, ReadonlySet<string>> {
  const found = new Map(joints.map(({ joint }) => [joint.id, new Set<string>()]))
  // The joints stand in an order in which each comes after what it needs.
  for (const { joint } of [...joints].reverse())
    for (const before of joint.after.flat()) {
      const set = found.get(before)
      if (!set) continue
      set.add(joint.id)
      for (const further of found.get(joint.id) ?? []) set.add(further)
    }
  return found
}

function gateReasons(
  joints: readonly PlannedJoint[],
  works: readonly PlannedWork[],
  dependents: ReadonlyMap<string, ReadonlySet<string>>,
  add: Add,
): void {
  for (const { joint, down } of joints)
    for (const gate of joint.shuts ?? []) {
      const shut = down.at(-1)?.id
      for (const other of joints)
        // What is opened to get at the gate cannot wait for it.
        if (other.joint.id !== joint.id && !dependents.get(other.joint.id)?.has(joint.id))
          for (const step of other.down) if (step.gates.includes(gate)) add(shut, step.id, `${gate} first`)
      for (const { step } of works) if (step.gates.includes(gate)) add(shut, step.id, `${gate} first`)
    }
}

interface Ways {
  opens: (id: string) => string | undefined
  closes: (id: string) => string | undefined
  firstBack: (id: string) => string | undefined
  dependents: ReadonlyMap<string, ReadonlySet<string>>
  planned: ReadonlyMap<string, PlannedJoint>
  add: Add
}

function workReasons(works: readonly PlannedWork[], ways: Ways): void {
  const { opens, closes, firstBack, dependents, planned, add } = ways
  const firstDown = [...planned.values()].flatMap(({ down }) => down.map(({ id }) => id))
  for (const { spec, step, way, ring } of works) {
    if (spec.early) {
      for (const id of firstDown) add(step.id, id, 'known before anything is open')
      for (const other of works) if (!other.spec.early) add(step.id, other.step.id, 'known before anything is open')
      continue
    }
    for (const named of spec.after ?? []) add(named, step.id, 'said by its work')
    for (const named of spec.before ?? []) add(step.id, named, 'said by its work')
    const mounted = new Set(spec.mounted ?? [])
    for (const id of mounted) add(closes(id), step.id, 'it is done on what this carries')
    for (const id of way) {
      add(opens(id), step.id, 'it lies open')
      if (spec.phase === 'commission' || mounted.has(id)) continue
      // What can only be opened after its carrier is closed before it.
      if ([...mounted].some((carrier) => dependents.get(carrier)?.has(id))) continue
      // A mark that meets again when its bell is on shuts nothing in.
      if (mounted.size > 0 && planned.get(id)?.joint.closesAfter) continue
      add(step.id, firstBack(id), 'it is shut in')
    }
    if (ring) add(step.id, firstBack(ring), 'the ring first')
  }
  // One act after the other at a part, as its work lists them.
  for (const [index, { part, spec, step, ring }] of works.entries()) {
    const next = works.slice(index + 1).find((other) => other.part === part && other.ring === ring && !other.spec.early)
    if (!spec.early && next) add(step.id, next.step.id, 'in this order')
  }
}

function ruleReasons(
  graph: MachineGraph,
  joints: readonly PlannedJoint[],
  works: readonly PlannedWork[],
  finish: readonly PlannedFinish[],
  add: Add,
): void {
  const tagged: { step: TakeDownStep; home?: Assembly }[] = [
    ...joints.flatMap(({ joint, down, back }) =>
      [...down, ...back].map((step) => ({ step, home: graph.homes.get(joint.id) })),
    ),
    ...works.map(({ step, assembly }) => ({ step, home: assembly })),
    ...finish.map(({ spec, step }) => ({ step, home: spec.home })),
  ]
  const does = (tag: OrderTag) => tagged.filter(({ step }) => step.tags?.includes(tag))
  for (const { first, then, because, within } of ORDER_RULES) {
    const later = does(then)
    if (later.length === 0) continue
    for (const one of does(first))
      for (const other of later) if (!within || one.home === other.home) add(one.step.id, other.step.id, because)
  }
  // Everything is in its place before the power, and what needs power comes after it.
  const powers = does('powers').map(({ step }) => step.id)
  for (const { step } of tagged) {
    if (powers.includes(step.id)) continue
    if (step.phase === 'commission') for (const id of powers) add(id, step.id, 'it needs the power')
    else for (const id of powers) add(step.id, id, 'everything is closed before the power')
  }
  if (powers.length === 0)
    for (const { step } of tagged)
      if (step.phase === 'commission')
        for (const { step: other } of tagged)
          if (other.phase !== 'commission') add(other.id, step.id, 'it needs the power')
}
