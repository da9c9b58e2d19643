import { addDays, formatISO, parseISO } from 'date-fns'
import type { Article } from '../../fits/article'
import { shelfMonthsOf } from '../../knowledge/fits/families'
import { NEED_AHEAD } from '../../knowledge/shelf/keeping'
import type { Rates } from '../../knowledge/shop/rates'
import type { SeasonDays } from '../../knowledge/shop/seasons'
import { whole } from '../stock'
import { bestLevel, chanceShort, secondTripCost, timesWithin, type LevelGrounds } from './level'
import {
  articleShares,
  needsOf,
  type RepairKind,
  type Shares,
  type SharesOf,
  type ShelfMachine,
  type UnmetNeed,
} from './need'
import { vanPlans, weightOf, type LyingLot, type PlannedVisit, type VanPlan } from './van-plan'

/** All that levels and loads hang on. */
export interface ShelfGrounds {
  /** ISO date. */
  today: string
  machines: readonly ShelfMachine[]
  days: SeasonDays
  /** By how much each group fails more often here than the tables say. */
  factors: Readonly<Record<string, number>>
  articles: readonly Article[]
  lying: readonly LyingLot[]
  /** What the owner fixed by hand, pieces. */
  fixed: Readonly<Record<string, number>>
  /** Ordered and not there yet. */
  onOrder: Readonly<Record<string, number>>
  visits: readonly PlannedVisit[]
  rates: Pick<Rates, 'trip' | 'downtime' | 'hourly'>
  /** Each with its room for parts, litres. */
  vans: readonly { id: string; litres: number }[]
  lead: { days: number; spreadDays: number }
  /** So much money may lie; as much as is worth it where nobody said. */
  most?: number
}
/** How much of an article to keep, and why. */
export interface ArticleLevel {
  article: string
  /** Times a year by rates; and as the coming season goes, with what readings foretell. */
  byRates: number
  perYear: number
  machines: number
  /** Of them, those whose own readings say that it ends soon, each by how likely. */
  foreseen: number
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
export interface ShelfPlan {
  levels: ArticleLevel[]
  unmet: UnmetNeed[]
  /** Repairs a year that want something that nothing on the list may serve for. */
  beyond: number
  secondTrip: number
  /** Repairs a year that want of a part sends home, and money that lies. */
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
  const secondTrip = secondTripCost(rates)
  const countOf = countsBy(grounds.lying)
  const levelGrounds = (article: Article): LevelGrounds => {
    const need = needs.articles.get(article.id) ?? { perYear: 0, pieces: 1 }
    const months = shelfMonthsOf(article.family)
    return {
      perYear: need.perYear,
      pieces: need.pieces,
      planned: planned.get(article.id) ?? [],
      price: article.price === undefined ? UNPRICED : article.price / 100,
      secondTrip,
      lead,
      vans: Math.max(1, vans.length),
      ...(months === undefined ? {} : { shelfMonths: months }),
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
    const need = needs.articles.get(article.id)
    const [have, coming] = [countOf(article.id), onOrder[article.id] ?? 0]
    return {
      article: article.id,
      byRates: need?.byRates ?? 0,
      perYear: own.perYear,
      machines: need?.machines ?? 0,
      foreseen: need?.foreseen ?? 0,
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
      vans.map(({ id, litres }) => ({
        van: id,
        litres,
        visits: visits.filter((visit) => visit.van === id && visit.on >= today && visit.on <= until),
      })),
      { ...grounds, articles },
      byId,
      sharesOf,
    )
  const priceOf = new Map(articles.map(({ id, price = 0 }) => [id, price / 100]))
  const isBeyond = ({ wants }: RepairKind) => wants.some((shares) => shares.length === 0)
  const sums = (count: (level: ArticleLevel) => number, short: (level: ArticleLevel) => number) => ({
    trips: secondTrips(
      needs.repairs.filter((repair) => !isBeyond(repair)),
      (article) => short(byId.get(article) as ArticleLevel),
    ),
    tied: levels.reduce((sum, level) => sum + Math.max(0, count(level)) * (priceOf.get(level.article) ?? 0), 0),
  })
  return {
    levels,
    unmet: needs.unmet,
    beyond: needs.repairs.filter(isBeyond).reduce((sum, { perYear }) => sum + perYear, 0),
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

/** Repairs a year that find something missing; articles are taken as going one without the other. */
function secondTrips(repairs: readonly RepairKind[], short: (article: string) => number): number {
  return repairs.reduce((sum, { perYear, wants }) => {
    const isThere = (shares: Shares) =>
      shares.reduce((all, { article, share }) => all + share * (1 - short(article)), 0)
    return sum + perYear * (1 - wants.reduce((all, shares) => all * isThere(shares), 1))
  }, 0)
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

/** By article the chance of each planned visit that it takes it. */
function plannedUses(visits: readonly PlannedVisit[], sharesOf: SharesOf): Map<string, number[]> {
  const uses = new Map<string, number[]>()
  for (const { repairs } of visits) {
    const own = new Map<string, number>()
    const all = weightOf(repairs)
    for (const { probability, wants } of repairs)
      for (const want of wants)
        for (const { article, share } of sharesOf(want))
          own.set(article, (own.get(article) ?? 0) + (probability / all) * share)
    for (const [article, chance] of own) uses.set(article, [...(uses.get(article) ?? []), Math.min(1, chance)])
  }
  return uses
}

function countsBy(lying: readonly LyingLot[]): (article: string) => number {
  const sums = new Map<string, number>()
  for (const { article, count } of lying) sums.set(article, whole((sums.get(article) ?? 0) + count))
  return (article) => sums.get(article) ?? 0
}
