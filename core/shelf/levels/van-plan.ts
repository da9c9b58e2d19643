import type { Article } from '../../fits/article'
import { vanOf, type ShelfPlace } from '../../fits/shelf-place'
import { FAMILIES } from '../../knowledge/fits/families'
import { ROOM, USUAL_ROOM } from '../../knowledge/shelf/keeping'
import type { RepairWants } from '../../planning/morning'
import { groupedBy } from '../../quantity/grouped'
import { whole } from '../stock'
import type { SharesOf } from './need'
import { bestVanLoads, finishing, type Loadable, type RepairNeed, type VisitNeed } from './van-load'

/** So many of an article at a place. */
export interface LyingLot {
  place: ShelfPlace
  article: string
  count: number
}
/** A visit that is planned, and what it may take. */
export interface PlannedVisit {
  visitId: string
  name: string
  /** ISO date. */
  on: string
  /** The van that goes there. */
  van: string
  repairs: readonly RepairWants[]
}
/** What a van should hold for a day, or for the week. */
export interface VanPlan {
  van: string
  visits: { visitId: string; name: string; on: string; before: number; after: number }[]
  bring: { article: string; count: number; from: ShelfPlace }[]
  /** What had better stay in the shop, where there is no room for it. */
  leave: { article: string; count: number }[]
  /** Room that it takes, and that the van has, litres. */
  room: number
  litres: number
}
/** Room that one piece of an article takes, litres. */
export function roomOf({ part, family }: Pick<Article, 'part' | 'family'>): number {
  const of = part ?? (family && FAMILIES[family].parts[0])
  return (of && ROOM[of]) ?? USUAL_ROOM
}

/** What a van should hold for the visits that it goes to, all vans together, and what that does for them. */
export function vanPlans(
  going: readonly { van: string; litres: number; visits: readonly PlannedVisit[] }[],
  { articles, lying }: { articles: readonly Article[]; lying: readonly LyingLot[] },
  levels: ReadonlyMap<string, { perYear: number; pieces: number }>,
  sharesOf: SharesOf,
): VanPlan[] {
  const there = lying.filter(({ count }) => count > 0)
  const lots = groupedBy([...there], ({ article }) => article)
  const loadable = articles.flatMap((article): Loadable[] => {
    const available = whole((lots.get(article.id) ?? []).reduce((sum, { count }) => sum + count, 0))
    const level = levels.get(article.id)
    return available <= 0
      ? []
      : [
          {
            article: article.id,
            room: roomOf(article),
            available,
            unforeseen: (level?.perYear ?? 0) / going.length / 365,
            pieces: level?.pieces ?? 1,
          },
        ]
  })
  const scenes = going.map(({ van, litres, visits }) => ({
    van,
    room: litres,
    planned: visits,
    visits: visits.map((visit) => visitNeed(visit, sharesOf)),
    here: new Map(there.filter(({ place }) => place === `van:${van}`).map(({ article, count }) => [article, count])),
  }))
  const best = bestVanLoads(scenes, loadable)
  const loads = withWhatStays(best, scenes, loadable)
  const roomOfLoad = (load: ReadonlyMap<string, number>) =>
    loadable.reduce((sum, { article, room }) => sum + room * (load.get(article) ?? 0), 0)
  const spare = spareLots(there, scenes, loads)
  return scenes.map(({ van, planned, visits, here, room: litres }, index): VanPlan => {
    const load = loads[index] as Map<string, number>
    const finished = finishing(visits)
    const [before, after] = [finished(here), finished(load)]
    return {
      van,
      visits: planned.map(({ visitId, name, on }, at) => ({
        visitId,
        name,
        on,
        before: before[at] as number,
        after: after[at] as number,
      })),
      bring: [...load].flatMap(([article, count]) =>
        takenOut(spare.get(article) ?? [], whole(count - (here.get(article) ?? 0))).map((lot) => ({ article, ...lot })),
      ),
      leave: [...here].flatMap(([article, count]) => {
        const less = whole(count - (load.get(article) ?? 0))
        return less > 0 ? [{ article, count: less }] : []
      }),
      room: roomOfLoad(load),
      litres,
    }
  })
}

/** What rides along already and is wanted in no other van stays in, as long as there is room for it. */
function withWhatStays(
  best: readonly Map<string, number>[],
  vans: readonly { here: ReadonlyMap<string, number>; room: number }[],
  articles: readonly Loadable[],
): Map<string, number>[] {
  const left = best.map(
    (load, index) =>
      (vans[index]?.room ?? 0) - articles.reduce((sum, { article, room }) => sum + room * (load.get(article) ?? 0), 0),
  )
  const loads = best.map((load) => new Map(load))
  for (const { article, room, available } of articles) {
    let free = whole(available - best.reduce((sum, load) => sum + (load.get(article) ?? 0), 0))
    vans.forEach(({ here: inside }, index) => {
      const load = loads[index] as Map<string, number>
      const extra = Math.min(free, whole((inside.get(article) ?? 0) - (load.get(article) ?? 0)))
      if (extra <= 0 || extra * room > (left[index] as number)) return
      load.set(article, whole((load.get(article) ?? 0) + extra))
      left[index] = (left[index] as number) - extra * room
      free = whole(free - extra)
    })
  }
  return loads
}

interface FreeLot {
  from: ShelfPlace
  count: number
}
/** Where each article can be taken from: the shop first, then a van that has more than it is to have. */
function spareLots(
  there: readonly LyingLot[],
  scenes: readonly { van: string; here: ReadonlyMap<string, number> }[],
  loads: readonly ReadonlyMap<string, number>[],
): Map<string, FreeLot[]> {
  const inShop = there.filter(({ place }) => vanOf(place) === undefined)
  const inVans = scenes.flatMap(({ van, here }, index) =>
    [...here].flatMap(([article, count]) => {
      const over = whole(count - (loads[index]?.get(article) ?? 0))
      return over > 0 ? [{ place: `van:${van}` as const, article, count: over }] : []
    }),
  )
  const lots = groupedBy([...inShop, ...inVans], ({ article }) => article)
  return new Map(
    [...lots].map(([article, all]) => [article, all.map(({ place, count }) => ({ from: place, count }))] as const),
  )
}
/** Takes so many out of what is free: what one van has taken the next does not find. */
function takenOut(lots: FreeLot[], wanted: number): FreeLot[] {
  let left = wanted
  return lots.flatMap((lot) => {
    const count = Math.min(left, lot.count)
    if (count <= 0) return []
    left = whole(left - count)
    lot.count = whole(lot.count - count)
    return [{ from: lot.from, count }]
  })
}

/** Repairs that are each likely by themselves add up to more than one: then they share it. */
export function weightOf(repairs: readonly Pick<RepairWants, 'probability'>[]): number {
  return Math.max(
    1,
    repairs.reduce((sum, { probability }) => sum + probability, 0),
  )
}

/** What a visit may take, by the articles that serve for it; where it may be one of several, each has its share. */
export function visitNeed(
  { visitId, repairs }: Pick<PlannedVisit, 'visitId' | 'repairs'>,
  sharesOf: SharesOf,
): VisitNeed {
  const all = weightOf(repairs)
  return {
    visitId,
    repairs: repairs.flatMap(({ probability, wants }): RepairNeed[] => {
      const serving = wants.map((want) => ({ want, shares: sharesOf(want) }))
      const ways = Math.max(1, ...serving.map(({ shares }) => shares.length))
      const isBeyond = serving.some(({ shares }) => shares.length === 0)
      return Array.from({ length: isBeyond ? 1 : ways }, (_, way) => ({
        chance: probability / all / (isBeyond ? 1 : ways),
        pieces: serving.flatMap(({ want, shares }) => {
          const article = shares[way % Math.max(1, shares.length)]?.article
          return article === undefined ? [] : [{ article, count: want.needed }]
        }),
        ...(isBeyond ? { isBeyond } : {}),
      }))
    }),
  }
}
