import type { ConstructionGraph, Joint } from '../knowledge/constructions/joint'
import type { Part } from '../knowledge/vocabulary'
import { badField } from '../validation/input-error'

type Graph = Pick<ConstructionGraph, 'id' | 'label' | 'joints' | 'reach'>

/**
 * The set of joints of least likely time, both ways, that reaches every target and opens nothing that is still blocked.
 * Exact: every choice between alternatives is followed, and left only when it costs more than the best so far.
 *
 * @param through joints that are opened whatever is wanted
 * @throws InputError for a target the graph does not reach, or that nothing reaches once alternatives are excluded
 */
export function cheapestOpening(
  graph: Graph,
  targets: readonly Part[],
  opened: ReadonlySet<string>,
  excluded: ReadonlySet<string>,
  through: readonly string[] = [],
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
  follow(new Set(), 0, [...[...opened, ...through].map((id) => [[id]]), ...clauses])
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
export function openingOrder(graph: Graph, chosen: ReadonlySet<string>): Joint[] {
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
