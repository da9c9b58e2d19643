import { randomGamma } from 'd3-random'
import type { Article } from '#core/fits/article'
import { LEAD, NEED_AHEAD, VAN_ROOM } from '#core/knowledge/shelf/keeping'
import { DEFAULT_RATES } from '#core/knowledge/shop/rates'
import { groupFactor, shopFactor, type Seen } from '#core/planning/futures'
import { USUAL_SEASONS } from '#core/planning/season'
import type { Chance } from '#core/quantity/random'
import { bestLevel, secondTripCost, timesWithin } from '#core/shelf/levels/level'
import { articleShares, needsOf } from '#core/shelf/levels/need'
import { roomOf, visitNeed, type PlannedVisit } from '#core/shelf/levels/van-plan'
import { bestVanLoads, type Loadable } from '#core/shelf/levels/van-load'
import type { MadeUpShop } from './made-up-shop'

/** What a policy sees when it decides. */
export interface Scene {
  day: number
  /** In the shop, and in each van, by article. */
  bay: Map<string, number>
  vans: Map<string, Map<string, number>>
  /** How often each was used since the first day. */
  used: ReadonlyMap<string, number>
  seen: ReadonlyMap<string, Seen>
  visits: readonly PlannedVisit[]
}
/** How somebody keeps a shop. */
export interface Policy {
  name: string
  /** Pieces wanted of an article, and from which on it is ordered; what is there and ordered together. */
  wanted: (article: string, scene: Scene) => { upTo: number; from: number }
  /** Fills the vans in the morning. */
  load: (scene: Scene) => void
  /** Once a month. */
  think?: (scene: Scene) => void
}

const SECOND_TRIP = secondTripCost(DEFAULT_RATES)

/** Nothing lies anywhere: every part is ordered when it is wanted. */
export const nothing = (): Policy => ({ name: 'nothing', wanted: () => ({ upTo: 0, from: -1 }), load: () => undefined })

/** The dozen that is used most in the trade, two of each in every van and two in the shop. */
export function fixedDozen({ vans }: MadeUpShop, dozen: readonly string[]): Policy {
  const kept = new Set(dozen)
  const each = 2
  return {
    name: 'fixed dozen',
    wanted: (article) =>
      kept.has(article)
        ? { upTo: each * (vans.length + 1), from: each * (vans.length + 1) - 1 }
        : { upTo: 0, from: -1 },
    load: (scene) => topUp(scene, (article) => (kept.has(article) ? each : 0)),
  }
}

/** What was used once is kept from then on: ordered at one to three, one in every van; what is dear is not kept. */
export function minMax({ vans, articles }: MadeUpShop, dozen: readonly string[]): Policy {
  const DEAR = 15_000
  const cheap = new Set(articles.filter(({ price = 0 }) => price < DEAR).map(({ id }) => id))
  const begun = new Set(dozen)
  const isKept = (article: string, { used }: Scene) => cheap.has(article) && (begun.has(article) || used.has(article))
  return {
    name: 'min and max by habit',
    wanted: (article, scene) =>
      isKept(article, scene) ? { upTo: 2 + vans.length, from: vans.length } : { upTo: 0, from: -1 },
    load: (scene) => topUp(scene, (article) => (isKept(article, scene) ? 1 : 0)),
  }
}

function topUp({ bay, vans }: Scene, each: (article: string) => number): void {
  for (const van of vans.values())
    for (const [article, count] of bay) {
      const add = Math.min(count, Math.max(0, each(article) - (van.get(article) ?? 0)))
      if (add === 0) continue
      bay.set(article, (bay.get(article) ?? 0) - add)
      van.set(article, (van.get(article) ?? 0) + add)
    }
}

/**
 * By need: levels from the machines, the vans filled for what is planned.
 *
 * @param most so much money may lie
 */
export function byNeed(shop: MadeUpShop, start: number, most = Number.POSITIVE_INFINITY): Policy {
  const sharesOf = articleShares(shop.articles)
  const byId = new Map(shop.articles.map((article): [string, Article] => [article.id, article]))
  let levels = new Map<string, { level: number; perYear: number; pieces: number }>()
  return {
    name: Number.isFinite(most) ? 'by need, habit’s money' : 'by need',
    think: ({ day, seen, bay, vans }) => {
      const from = start + day * 86_400_000
      const factor = shopFactor([...seen.values()])
      const needs = needsOf(
        shop.machines,
        shop.articles,
        { from, to: from + NEED_AHEAD.rateDays * 86_400_000 },
        USUAL_SEASONS,
        (group) => groupFactor(seen.get(group) ?? { failed: 0, expected: 0 }, factor),
      )
      const lying = (id: string) => [...vans.values()].reduce((sum, van) => sum + (van.get(id) ?? 0), bay.get(id) ?? 0)
      const priceOf = (id: string) => (byId.get(id)?.price ?? 0) / 100
      const levelsAt = (keepingTimes: number) =>
        [...needs.articles].map(([id, { perYear, pieces }]) => {
          const grounds = { perYear, pieces, planned: [], price: priceOf(id), secondTrip: SECOND_TRIP, lead: LEAD }
          return { id, perYear, pieces, level: bestLevel({ ...grounds, vans: shop.vans.length, keepingTimes }).level }
        })
      const times = timesWithin(most, (tried) =>
        // What lies beyond its level lies all the same.
        levelsAt(tried).reduce((sum, { id, level }) => sum + Math.max(level, lying(id)) * priceOf(id), 0),
      )
      levels = new Map(levelsAt(times).map((each) => [each.id, each]))
    },
    wanted: (article) => {
      const level = levels.get(article)?.level ?? 0
      return { upTo: level, from: level - 1 }
    },
    load: ({ bay, vans, visits }) => {
      // In the morning all vans stand in the yard.
      const pool = new Map(bay)
      for (const van of vans.values()) for (const [id, count] of van) pool.set(id, (pool.get(id) ?? 0) + count)
      const loadable = [...pool].flatMap(([article, available]): Loadable[] => {
        const level = levels.get(article)
        return available > 0
          ? [
              {
                article,
                available,
                room: roomOf(byId.get(article) ?? {}),
                unforeseen: (level?.perYear ?? 0) / vans.size / 365,
                pieces: level?.pieces ?? 1,
              },
            ]
          : []
      })
      const scenes = [...vans].map(([name, here]) => ({
        here,
        room: VAN_ROOM.litres,
        visits: visits.filter((visit) => visit.van === name).map((visit) => visitNeed(visit, sharesOf)),
      }))
      const loads = bestVanLoads(scenes, loadable)
      for (const [index, van] of [...vans.values()].entries()) {
        van.clear()
        for (const [id, count] of loads[index] ?? []) {
          van.set(id, count)
          pool.set(id, (pool.get(id) ?? 0) - count)
        }
      }
      bay.clear()
      for (const [id, count] of pool) if (count > 0) bay.set(id, count)
    },
  }
}

/** Days that a delivery takes. */
export function leadDays(random: Chance): number {
  const { days, spreadDays } = LEAD
  const shape = (days / spreadDays) ** 2
  return Math.max(1, Math.round(randomGamma.source(random.next)(shape, days / shape)()))
}
