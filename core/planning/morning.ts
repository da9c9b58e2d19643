import type { PartWant } from '../fits/for-part'
import { LOAD_ENOUGH, ODD_SHELF, SHELVES } from '../knowledge/shop/shelves'
import type { Part } from '../knowledge/vocabulary'
import type { LoadItem, Preparation } from './preparation'

/** What one visit wants in the van, and what of it is in. */
export interface DayLoadOf extends Pick<Preparation, 'parts' | 'tools'> {
  loaded: readonly string[]
  /** Each repair that it may come to, with all that it takes: what the van is to hold for the visit to be finished. */
  repairs?: readonly RepairWants[]
}
/** A repair by its chance and what it takes. */
export interface RepairWants {
  probability: number
  wants: readonly PartWant[]
}

/** One thing to load for the whole day. */
export interface Loading {
  /** What it is called; two ratings of one part are two things. */
  label: string
  kind: LoadItem['kind']
  shelf: string
  /** How many: as many as are enough on nine days of ten, at least one. */
  count: number
  /** For which visits, each with how likely it is wanted there, and under which item it is ticked. */
  wanted: { visitId: string; probability: number; because: string; item: string }[]
  /** What it is replaced by, at the first of them. */
  wants: PartWant[]
  isLoaded: boolean
}

const SHELF_OF: ReadonlyMap<Part, string> = new Map(
  SHELVES.flatMap(({ id, parts }) => parts.map((part): [Part, string] => [part, id])),
)
const TOOLS_SHELF = ''

/**
 * What to load for all visits of a day: shared tools once, parts summed over the visits that may want them, along the
 * shelves.
 *
 * @param load what each visit wants, by its id; only those of this van
 */
export function morningLoad(load: Readonly<Record<string, DayLoadOf>>): Loading[] {
  const found = new Map<string, Loading>()
  for (const [visitId, { parts, tools, loaded }] of Object.entries(load))
    for (const { id, label, kind, probability, because, wants = [] } of [...parts, ...tools]) {
      // One name with other measures is another thing: the seal set of this pump and of that one.
      const key = `${kind} ${label} ${JSON.stringify(wants.map(({ spec, identity }) => [spec, identity]))}`
      const shelf = kind === 'tool' ? TOOLS_SHELF : (SHELF_OF.get(id.replace(/^part:/, '') as Part) ?? ODD_SHELF.id)
      const thing = found.get(key) ?? { label, kind, shelf, count: 0, wanted: [], wants, isLoaded: true }
      thing.wanted.push({ visitId, probability, because, item: id })
      thing.isLoaded &&= loaded.includes(id)
      found.set(key, thing)
    }
  const things = [...found.values()].map((thing) => ({
    ...thing,
    count: thing.kind === 'tool' ? 1 : enough(thing.wanted.map(({ probability }) => probability)),
  }))
  const place = ({ shelf }: Loading) => (shelf === TOOLS_SHELF ? '~' : shelf)
  return things.sort((a, b) => (place(a) < place(b) ? -1 : place(a) > place(b) ? 1 : 0) || (a.label < b.label ? -1 : 1))
}

/**
 * How many are enough: the fewest that cover what is wanted on nine days of ten, where each visit wants one by its own
 * chance.
 *
 * @returns at least 1
 */
export function enough(chances: readonly number[]): number {
  // How likely it is that none, one, two … are wanted: visit by visit.
  let likely = [1]
  for (const chance of chances)
    likely = Array.from(
      { length: likely.length + 1 },
      (_, count) => (likely[count] ?? 0) * (1 - chance) + (likely[count - 1] ?? 0) * chance,
    )
  let covered = 0
  for (const [count, share] of likely.entries()) {
    covered += share
    if (covered >= LOAD_ENOUGH - 1e-9) return Math.max(1, count)
  }
  return chances.length
}
