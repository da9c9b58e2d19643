import { addDays, formatISO, parseISO } from 'date-fns'
import type { Article } from '../../fits/article'
import type { PartWant } from '../../fits/for-part'
import type { ShelfPlace } from '../../fits/shelf-place'
import { FAMILIES } from '../../knowledge/fits/families'
import { KEEPING, NEED_AHEAD, ROOM, USUAL_ROOM, VAN_ROOM } from '../../knowledge/shelf/keeping'
import type { Rates } from '../../knowledge/shop/rates'
import type { SeasonDays } from '../../knowledge/shop/seasons'
import type { RepairWants } from '../../planning/morning'
import { groupedBy } from '../../quantity/grouped'
import { whole } from '../stock'
import { bestLevel, chanceShort, timesWithin, type LevelGrounds } from './level'
import { articleShares, needsOf, type ShelfMachine, type UnmetNeed } from './need'
import { bestVanLoads, finishing, type Loadable, type RepairNeed, type VisitNeed } from './van-load'

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
/** All that levels and loads hang on. */
export interface ShelfGrounds {
  /** ISO date. */
  today: string
  machines: readonly ShelfMachine[]
  days: SeasonDays
  /** By how much each group fails more often here than the tables say. */
  factors: Readonly<Record<string, number>>
  articles: readonly Article[]
  lying: readonly { place: ShelfPlace; article: string; count: number }[]
  /** What the owner fixed by hand, pieces. */
  fixed: Readonly<Record<string, number>>
  /** Ordered and not there yet. */
  onOrder: Readonly<Record<string, number>>
  visits: readonly PlannedVisit[]
  rates: Pick<Rates, 'trip' | 'downtime' | 'hourly'>
  vans: readonly string[]
  lead: { days: number; spreadDays: number }
  /** So much money may lie; as much as is worth it where nobody said. */
  most?: number
}
/** How much of an article to keep, and why. */
export interface ArticleLevel {
  article: string
  perYear: number
  machines: number
  /** Uses that planned visits are likely to make within a delivery's time. */
  planned: number
  pieces: number
  /** By the program. */
  level: number
  perVan: number
  fixed?: number
  have: number
  onOrder: number
  /** Missing to the level that counts. */
  order: number
  /** How likely a use finds nothing, with what is there and at the level that counts. */
  shortNow: number
  shortAt: number
  /** A year of keeping one use's pieces; absent where it has no price. */
  keeping?: number
}
/** What a van should hold for a day, or for the week. */
export interface VanPlan {
  van: string
  visits: { visitId: string; name: string; on: string; before: number; after: number }[]
  bring: { article: string; count: number; from: ShelfPlace }[]
  /** What had better stay in the shop, where there is no room for it. */
  leave: { article: string; count: number }[]
  /** Litres. */
  room: number
}
export interface ShelfPlan {
  levels: ArticleLevel[]
  unmet: UnmetNeed[]
  /** Times a year that a visit wants something that nothing on the list may serve for. */
  beyond: number
  secondTrip: number
  /** Second trips a year for want of a part, and money that lies. */
  now: { trips: number; tied: number }
  at: { trips: number; tied: number }
  /** How many times dearer keeping counts so that no more lies than may. */
  times: number
  today: VanPlan[]
  week: VanPlan[]
  /** What is agreed with a customer and lies nowhere: its visits wait for it. */
  waiting: { article: string; count: number; visits: string[] }[]
}

/** Where nobody knows the price: what a small part costs, so that it is not kept as if it cost nothing. */
const UNPRICED = 20

/** How much to keep of what, what goes into which van, and what that does for the visits that are planned. */
export function shelfPlan(grounds: ShelfGrounds): ShelfPlan {
  const { today, machines, days, factors, fixed, onOrder, visits, rates, vans, lead } = grounds
  // What was kept from a machine is not bought again.
  const articles = grounds.articles.filter(({ gone, condition = 'new' }) => !gone && condition === 'new')
  const from = Date.parse(today)
  const stretch = { from, to: addDays(from, NEED_AHEAD.rateDays).getTime() }
  const needs = needsOf(machines, articles, stretch, days, (group) => factors[group] ?? 1)
  const sharesOf = articleShares(articles)
  const soon = dayAfter(today, Math.ceil(lead.days) + 1)
  const planned = plannedUses(
    visits.filter(({ on }) => on <= soon),
    sharesOf,
  )
  const secondTrip = rates.trip + rates.downtime + (KEEPING.againMinutes / 60) * rates.hourly
  const countOf = countsBy(grounds.lying)
  const levelGrounds = (article: Article): LevelGrounds => {
    const need = needs.articles.get(article.id) ?? { perYear: 0, pieces: 1 }
    return {
      perYear: need.perYear,
      pieces: need.pieces,
      planned: planned.get(article.id) ?? [],
      price: article.price === undefined ? UNPRICED : article.price / 100,
      secondTrip,
      lead,
      vans: Math.max(1, vans.length),
      ...shelfMonthsOf(article),
    }
  }
  const asked = articles.map((article) => ({ article, grounds: levelGrounds(article) }))
  const levelAt = (keepingTimes: number) =>
    asked.map(({ article, grounds: own }) => fixed[article.id] ?? bestLevel({ ...own, keepingTimes }).level)
  const times =
    grounds.most === undefined
      ? 1
      : timesWithin(grounds.most, (tried) =>
          // What lies beyond its level lies all the same.
          levelAt(tried).reduce((sum, level, index) => {
            const { id = '', price = 0 } = articles[index] ?? {}
            return sum + Math.max(level, countOf(id)) * (price / 100)
          }, 0),
        )
  const levels = asked.map(({ article, grounds: own }): ArticleLevel => {
    const best = bestLevel({ ...own, keepingTimes: times })
    const counts = fixed[article.id] ?? best.level
    const [have, coming] = [countOf(article.id), onOrder[article.id] ?? 0]
    return {
      article: article.id,
      perYear: own.perYear,
      machines: needs.articles.get(article.id)?.machines ?? 0,
      planned: own.planned.reduce((sum, chance) => sum + chance, 0),
      pieces: own.pieces,
      level: best.level,
      perVan: best.perVan,
      ...(fixed[article.id] === undefined ? {} : { fixed: fixed[article.id] as number }),
      have,
      onOrder: coming,
      order: Math.max(0, whole(counts - Math.max(0, have) - coming)),
      shortNow: chanceShort(own, have),
      shortAt: chanceShort(own, counts),
      ...(article.price === undefined ? {} : { keeping: best.keeping / times }),
    }
  })
  const byId = new Map(levels.map((level) => [level.article, level]))
  const loads = (until: string) =>
    vanPlans(
      vans.map((van) => ({
        van,
        visits: visits.filter((visit) => visit.van === van && visit.on >= today && visit.on <= until),
      })),
      { ...grounds, articles },
      byId,
      sharesOf,
    )
  const priceOf = new Map(articles.map(({ id, price = 0 }) => [id, price / 100]))
  const sums = (count: (level: ArticleLevel) => number, short: (level: ArticleLevel) => number) => ({
    trips: levels.reduce((sum, level) => sum + level.perYear * short(level), 0),
    tied: levels.reduce((sum, level) => sum + Math.max(0, count(level)) * (priceOf.get(level.article) ?? 0), 0),
  })
  return {
    levels,
    unmet: needs.unmet,
    beyond: needs.unmet.reduce((sum, { perYear }) => sum + perYear, 0),
    secondTrip,
    times,
    now: sums(
      ({ have }) => have,
      ({ shortNow }) => shortNow,
    ),
    at: sums(
      ({ level, fixed: hand }) => hand ?? level,
      ({ shortAt }) => shortAt,
    ),
    today: loads(today),
    week: loads(dayAfter(today, NEED_AHEAD.plannedDays - 1)),
    waiting: waitingFor(visits, sharesOf, countOf),
  }
}

/** Parts of agreed jobs that are more than what lies there, each with the visits that wait for it. */
function waitingFor(
  visits: readonly PlannedVisit[],
  sharesOf: SharesOf,
  countOf: (article: string) => number,
): ShelfPlan['waiting'] {
  const wanted = new Map<string, { count: number; visits: string[] }>()
  for (const { visitId, repairs } of visits)
    for (const { probability, wants } of repairs)
      for (const want of probability === 1 ? wants : []) {
        const [only, ...others] = sharesOf(want)
        if (!only || others.length > 0) continue
        const before = wanted.get(only.article) ?? { count: 0, visits: [] }
        wanted.set(only.article, {
          count: before.count + want.needed,
          visits: [...new Set([...before.visits, visitId])],
        })
      }
  return [...wanted].flatMap(([article, { count, visits: of }]) => {
    const missing = whole(count - Math.max(0, countOf(article)))
    return missing > 0 ? [{ article, count: missing, visits: of }] : []
  })
}

function dayAfter(day: string, days: number): string {
  return formatISO(addDays(parseISO(day), days), { representation: 'date' })
}

function shelfMonthsOf({ family }: Article): { shelfMonths?: number } {
  const of = family && FAMILIES[family]
  return of && 'shelfMonths' in of ? { shelfMonths: of.shelfMonths } : {}
}

/** Room that one piece of an article takes, litres. */
export function roomOf({ part, family }: Pick<Article, 'part' | 'family'>): number {
  const of = part ?? (family && FAMILIES[family].parts[0])
  return (of && ROOM[of]) ?? USUAL_ROOM
}

type SharesOf = (want: PartWant) => readonly { article: string; share: number }[]

/** By article the chance of each planned visit that it takes it. */
function plannedUses(visits: readonly PlannedVisit[], sharesOf: SharesOf): Map<string, number[]> {
  const uses = new Map<string, number[]>()
  for (const { repairs } of visits) {
    const own = new Map<string, number>()
    const all = Math.max(
      1,
      repairs.reduce((sum, { probability }) => sum + probability, 0),
    )
    for (const { probability, wants } of repairs)
      for (const want of wants)
        for (const { article, share } of sharesOf(want))
          own.set(article, (own.get(article) ?? 0) + (probability / all) * share)
    for (const [article, chance] of own) uses.set(article, [...(uses.get(article) ?? []), Math.min(1, chance)])
  }
  return uses
}

function countsBy(lying: ShelfGrounds['lying']): (article: string) => number {
  const sums = new Map<string, number>()
  for (const { article, count } of lying) sums.set(article, whole((sums.get(article) ?? 0) + count))
  return (article) => sums.get(article) ?? 0
}

function vanPlans(
  going: readonly { van: string; visits: readonly PlannedVisit[] }[],
  { articles, lying }: Pick<ShelfGrounds, 'articles' | 'lying'>,
  levels: ReadonlyMap<string, ArticleLevel>,
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
  const scenes = going.map(({ van, visits }) => ({
    van,
    planned: visits,
    visits: visits.map((visit) => visitNeed(visit, sharesOf)),
    here: new Map(there.filter(({ place }) => place === `van:${van}`).map(({ article, count }) => [article, count])),
  }))
  const best = bestVanLoads(scenes, loadable, VAN_ROOM.litres)
  const loads = withWhatStays(
    best,
    scenes.map(({ here }) => here),
    loadable,
  )
  const roomOfLoad = (load: ReadonlyMap<string, number>) =>
    loadable.reduce((sum, { article, room }) => sum + room * (load.get(article) ?? 0), 0)
  const spare = spareLots(there, scenes, loads)
  return scenes.map(({ van, planned, visits, here }, index): VanPlan => {
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
    }
  })
}

/** What rides along already and is wanted in no other van stays in, as long as there is room for it. */
function withWhatStays(
  best: readonly Map<string, number>[],
  here: readonly ReadonlyMap<string, number>[],
  articles: readonly Loadable[],
): Map<string, number>[] {
  const left = best.map(
    (load) => VAN_ROOM.litres - articles.reduce((sum, { article, room }) => sum + room * (load.get(article) ?? 0), 0),
  )
  const loads = best.map((load) => new Map(load))
  for (const { article, room, available } of articles) {
    let free = whole(available - best.reduce((sum, load) => sum + (load.get(article) ?? 0), 0))
    here.forEach((inside, index) => {
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
  there: ShelfGrounds['lying'],
  scenes: readonly { van: string; here: ReadonlyMap<string, number> }[],
  loads: readonly ReadonlyMap<string, number>[],
): Map<string, FreeLot[]> {
  const inShop = there.filter(({ place }) => !place.startsWith('van:'))
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

/** What a visit may take, by the articles that serve for it; where it may be one of several, each has its share. */
export function visitNeed(
  { visitId, repairs }: Pick<PlannedVisit, 'visitId' | 'repairs'>,
  sharesOf: SharesOf,
): VisitNeed {
  const all = Math.max(
    1,
    repairs.reduce((sum, { probability }) => sum + probability, 0),
  )
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
