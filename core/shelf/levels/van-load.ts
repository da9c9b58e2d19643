/** A repair that a visit may come to, and the pieces that it takes. */
export interface RepairNeed {
  chance: number
  pieces: readonly { article: string; count: number }[]
  /** A part of it is nothing that the shop keeps. */
  isBeyond?: boolean
}
/** A visit of a van's day, in its order. */
export interface VisitNeed {
  visitId: string
  /** They add up to 1 at most; what is missing is finished with nothing. */
  repairs: readonly RepairNeed[]
}
/** An article that could ride along. */
export interface Loadable {
  article: string
  /** Litres that one piece takes. */
  room: number
  /** In all places together. */
  available: number
  /** Uses a day that nobody foresees, and pieces of each. */
  unforeseen: number
  pieces: number
}
export type Load = ReadonlyMap<string, number>

/**
 * The chance that each visit is finished with what is in the van: every repair that it may come to, where all of its
 * pieces are still there when its turn comes. Articles are taken as going one without the other.
 *
 * @returns chances in the order of the visits, for any load: what the visits before take does not hang on it
 */
export function finishing(visits: readonly VisitNeed[]): (load: Load) => number[] {
  /** By article: how likely at most 0, 1, 2 … pieces went before. */
  const gone = new Map<string, number[]>()
  const scenes = visits.map(({ repairs }) => {
    const before = new Map([...gone].map(([article, chances]) => [article, summed(chances)]))
    for (const [article, chances] of takenBy(repairs)) gone.set(article, together(gone.get(article) ?? [1], chances))
    const nothing = Math.max(0, 1 - repairs.reduce((sum, { chance }) => sum + chance, 0))
    return { before, nothing, repairs: repairs.filter(({ isBeyond }) => !isBeyond) }
  })
  return (load) =>
    scenes.map(({ before, nothing, repairs }) => {
      let finished = nothing
      for (const { chance, pieces } of repairs) {
        let isLeft = chance
        for (const { article, count } of pieces) {
          const spare = Math.floor((load.get(article) ?? 0) - count)
          const chances = before.get(article)
          isLeft *= spare < 0 ? 0 : (chances?.[Math.min(spare, chances.length - 1)] ?? 1)
        }
        finished += isLeft
      }
      return finished
    })
}
const summed = (chances: readonly number[]) => {
  let sum = 0
  return chances.map((chance) => (sum += chance))
}

/** Of each article the chances of how many pieces a visit takes. */
function takenBy(repairs: readonly RepairNeed[]): Map<string, number[]> {
  const taken = new Map<string, number[]>()
  for (const { chance, pieces } of repairs)
    for (const { article, count } of pieces) {
      const chances = taken.get(article) ?? [1]
      const most = Math.ceil(count)
      const next = Array.from({ length: Math.max(chances.length, most + 1) }, (_, at) => chances[at] ?? 0)
      next[0] = (next[0] as number) - chance
      next[most] = (next[most] as number) + chance
      taken.set(article, next)
    }
  return taken
}
function together(one: readonly number[], other: readonly number[]): number[] {
  const all = Array.from({ length: one.length + other.length - 1 }, () => 0)
  one.forEach((a, i) => {
    other.forEach((b, j) => {
      all[i + j] = (all[i + j] as number) + a * b
    })
  })
  return all
}

const total = (chances: readonly number[]) => chances.reduce((sum, chance) => sum + chance, 0)

/** What a load is worth: visits that it finishes, and what comes unforeseen in a day. */
export function worthOf(finished: (load: Load) => number[], articles: readonly Loadable[], load: Load): number {
  const besides = articles.reduce((sum, { article, unforeseen, pieces }) => {
    return sum + servedOf(unforeseen, Math.floor((load.get(article) ?? 0) / pieces))
  }, 0)
  return total(finished(load)) + besides
}

/** How many of a day's uses so many serve, where they come one by one without being foreseen: a Poisson count. */
function servedOf(perDay: number, uses: number): number {
  let [chance, more, served] = [Math.exp(-perDay), 1 - Math.exp(-perDay), 0]
  for (let count = 1; count <= uses && more > 0; count++) {
    served += more
    chance *= perDay / count
    more -= chance
  }
  return served
}

/** A van of the day: where it goes, and what is in it already. */
export interface LoadedVan {
  visits: readonly VisitNeed[]
  here?: Load
  /** Room for parts, litres. */
  room: number
}

/**
 * What should ride in vans of limited room, all of them together: step by step what is worth most for the room it
 * takes, a repair's pieces together, for half of what a repair takes finishes nothing. No piece rides twice; where it
 * makes no difference it stays where it is.
 *
 * @param articles how many there are of each in all places together
 * @returns a load for each van
 */
export function bestVanLoads(vans: readonly LoadedVan[], articles: readonly Loadable[]): Map<string, number>[] {
  const scenes = vans.map(({ visits, here = new Map<string, number>(), room }) => ({
    visits,
    here,
    room,
    finished: finishing(visits),
  }))
  const worth = (loads: readonly Load[]) =>
    scenes.reduce((sum, { finished }, index) => sum + worthOf(finished, articles, loads[index] as Load), 0)
  const byRoom = filled(scenes, articles, (gain, takes) => gain / Math.max(takes, LEAST_ROOM))
  // Where there is room for all of it the order makes no difference.
  if (!byRoom.isFull) return byRoom.loads
  const byWorth = filled(scenes, articles, (gain) => gain)
  return worth(byRoom.loads) >= worth(byWorth.loads) ? byRoom.loads : byWorth.loads
}

/** What would serve once in three hundred years is worth no room. */
const WORTH_ROOM = 1e-5
/** Where room costs nothing it is still taken from something, litres. */
const LEAST_ROOM = 0.05
/** What is in a van already is not carried about for nothing. */
const STAYS = 1e-7

interface Scene extends Required<LoadedVan> {
  finished: (load: Load) => number[]
}
/** Pieces that may ride together in a van, with what they add as long as nothing of theirs changes. */
interface Bundle {
  van: number
  pieces: readonly { article: string; count: number }[]
  /** A planned visit may take some of it: what it is worth hangs on what else is in. */
  isPlanned: boolean
  adds?: { more: Map<string, number>; takes: number; gain: number } | null
}

function filled(
  scenes: readonly Scene[],
  articles: readonly Loadable[],
  scoreOf: (gain: number, takes: number) => number,
): { loads: Map<string, number>[]; isFull: boolean } {
  const byId = new Map(articles.map((each) => [each.article, each]))
  const bundles = scenes.flatMap(({ visits }, van) => bundlesOf(visits, articles, van))
  const loads = scenes.map(() => new Map<string, number>())
  const left = scenes.map(({ room }) => room)
  const unloaded = new Map(articles.map(({ article, available }) => [article, available]))
  let isFull = false
  for (;;) {
    let best: { bundle: Bundle; score: number } | undefined
    const planned = new Map<number, number>()
    for (const bundle of bundles) {
      const { van } = bundle
      const [scene, load] = [scenes[van] as Scene, loads[van] as Map<string, number>]
      if (bundle.adds === undefined) {
        const before = planned.get(van) ?? total(scene.finished(load))
        planned.set(van, before)
        bundle.adds = addsOf(bundle, scene, load, byId, unloaded, before)
      }
      const { adds } = bundle
      if (!adds || adds.gain < WORTH_ROOM) continue
      if (adds.takes > (left[van] as number) + 1e-9) {
        isFull = true
        continue
      }
      const score = scoreOf(adds.gain, adds.takes)
      if (!best || score > best.score) best = { bundle, score }
    }
    if (!best?.bundle.adds) return { loads, isFull }
    const { van, isPlanned } = best.bundle
    const { more, takes } = best.bundle.adds
    const load = loads[van] as Map<string, number>
    for (const [id, count] of more) {
      load.set(id, (load.get(id) ?? 0) + count)
      unloaded.set(id, (unloaded.get(id) ?? 0) - count)
    }
    left[van] = (left[van] as number) - takes
    for (const bundle of bundles)
      if (
        (isPlanned && bundle.isPlanned && bundle.van === van) ||
        bundle.pieces.some(({ article }) => more.has(article))
      )
        delete bundle.adds
  }
}

/** Each repair's pieces together, and each article by itself. */
function bundlesOf(visits: readonly VisitNeed[], articles: readonly Loadable[], van: number): Bundle[] {
  const ofRepairs = visits.flatMap(({ repairs }) =>
    repairs.filter(({ isBeyond }) => !isBeyond).map(({ pieces }) => pieces),
  )
  const planned = new Set(ofRepairs.flatMap((pieces) => pieces.map(({ article }) => article)))
  const all = [...ofRepairs, ...articles.map(({ article, pieces }) => [{ article, count: pieces }])]
  const distinct = new Map(all.filter((pieces) => pieces.length > 0).map((pieces) => [JSON.stringify(pieces), pieces]))
  return [...distinct.values()].map((pieces) => ({
    van,
    pieces,
    isPlanned: pieces.some(({ article }) => planned.has(article)),
  }))
}

/** What a bundle adds to a load, and the room that this takes; null where the shop has not so many left. */
function addsOf(
  { pieces, isPlanned }: Bundle,
  { finished, here }: Scene,
  load: Load,
  byId: ReadonlyMap<string, Loadable>,
  unloaded: Load,
  planned: number,
): NonNullable<Bundle['adds']> | null {
  const more = missingOf(pieces, load, unloaded)
  if (!more) return null
  let [takes, gain] = [0, 0]
  for (const [id, count] of more) {
    const { room, unforeseen, pieces: each } = byId.get(id) as Loadable
    const before = load.get(id) ?? 0
    takes += count * room
    gain += servedOf(unforeseen, Math.floor((before + count) / each)) - servedOf(unforeseen, Math.floor(before / each))
    gain += STAYS * Math.max(0, Math.min(count, (here.get(id) ?? 0) - before))
  }
  if (isPlanned) {
    const tried = new Map(load)
    for (const [id, count] of more) tried.set(id, (tried.get(id) ?? 0) + count)
    gain += total(finished(tried)) - planned
  }
  return { more, takes, gain }
}

/**
 * What has to be added for a bundle: what is missing of it, or one more of all where nothing is.
 *
 * @returns undefined where the shop has not so many left
 */
function missingOf(
  pieces: readonly { article: string; count: number }[],
  load: Load,
  unloaded: Load,
): Map<string, number> | undefined {
  const missing = pieces.filter(({ article, count }) => (load.get(article) ?? 0) < count)
  const more = new Map<string, number>()
  for (const { article, count } of missing.length > 0 ? missing : pieces) {
    const add = missing.length > 0 ? count - (load.get(article) ?? 0) : count
    if (add > (unloaded.get(article) ?? 0)) return undefined
    more.set(article, add)
  }
  return more
}
