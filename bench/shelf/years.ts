import { randomPoisson } from 'd3-random'
import { prepare, repairFor } from '#core/planning/preparation'
import { reasonOn } from '#core/diagnosis/reasoning'
import { wantsOf } from '#core/fits/for-part'
import { KIND_KNOWLEDGE } from '#core/knowledge/faults/kinds'
import { complaintsOf } from '#core/knowledge/faults/fault-complaints'
import type { Fault, Part } from '#core/knowledge/vocabulary'
import { expectedByFault, exposed, groupOf } from '#core/planning/exposure'
import type { Seen } from '#core/planning/futures'
import type { RepairWants } from '#core/planning/morning'
import { USUAL_SEASONS } from '#core/planning/season'
import { chance, type Chance } from '#core/quantity/random'
import type { ShelfMachine } from '#core/shelf/levels/need'
import type { PlannedVisit } from '#core/shelf/levels/van-plan'
import { makesUsed, type MadeUpShop } from './made-up-shop'
import { leadDays, type Policy, type Scene } from './policies'

export interface YearsRow {
  policy: string
  visits: number
  secondTrips: number
  /** Of the mean day, in the shop's currency. */
  tied: number
}
interface Call {
  machine: ShelfMachine
  fault: Fault
  complaint: string
}

const DAY = 86_400_000
const MONTH_DAYS = 30

/** Every call of the years to come: the same for every policy. */
export function callsOf(shop: MadeUpShop, start: number, years: number, seed: number): Map<number, Call[]> {
  const random = chance(seed)
  const calls = new Map<number, Call[]>()
  for (let day = 0; day < years * 365; day += MONTH_DAYS)
    for (const machine of shop.machines) {
      const stretch = { from: start + day * DAY, to: start + (day + MONTH_DAYS) * DAY }
      for (const { row, count } of expectedByFault(exposed(machine), stretch, USUAL_SEASONS)) {
        const mean = count * (shop.factors.get(groupOf(row)) ?? 1)
        for (let times = randomPoisson.source(random.next)(mean)(); times > 0; times--) {
          const on = day + Math.floor(random.next() * MONTH_DAYS)
          calls.set(on, [
            ...(calls.get(on) ?? []),
            { machine, fault: row.fault as Fault, complaint: said(machine, row.fault as Fault, random) },
          ])
        }
      }
    }
  return calls
}

function said({ pump }: ShelfMachine, fault: Fault, random: Chance): string {
  const told = Object.entries(complaintsOf(pump.kind, fault))
  return told[random.weighted(told.map(([, weight]) => weight))]?.[0] ?? 'dead'
}

/** What is suspected of a kind of machine on one complaint. */
const suspected = new Map<string, { probability: number; parts: readonly Part[] }[]>()
function suspectsOf({ pump }: ShelfMachine, complaint: string): { probability: number; parts: readonly Part[] }[] {
  const key = `${pump.kind} ${complaint}`
  const known = suspected.get(key) ?? prepare(reasonOn({ pump, complaints: [complaint] as never })).repairs
  suspected.set(key, known)
  return known
}

function plannedVisit({ machine, complaint }: Call, van: string, on: string, index: number): PlannedVisit {
  const repairs = suspectsOf(machine, complaint).map(({ probability, parts }): RepairWants => ({
    probability,
    wants: parts.flatMap((part) => wantsOf(machine.known, part)),
  }))
  return { visitId: `${on} ${index}`, name: machine.id, on, van, repairs }
}

/** Pieces that the repair of what is really wrong takes, by article. */
function taken({ inIt }: MadeUpShop, { machine, fault }: Call): Map<string, number> {
  const actions = KIND_KNOWLEDGE[machine.pump.kind].actions.filter(({ onlyUnderWarranty }) => !onlyUnderWarranty)
  const pieces = new Map<string, number>()
  for (const part of repairFor(actions, fault)?.parts ?? []) {
    const article = inIt.get(machine.id)?.[part]
    if (article) pieces.set(article, makesUsed(part))
  }
  return pieces
}

/** Lets a shop be kept in one way through the years. */
export function years(
  shop: MadeUpShop,
  policy: Policy,
  calls: ReadonlyMap<number, readonly Call[]>,
  { start, length, seed }: { start: number; length: number; seed: number },
): YearsRow {
  const random = chance(seed)
  const used = new Map<string, number>()
  const seen = new Map<string, Seen>()
  const scene: Scene = {
    day: 0,
    bay: new Map(),
    vans: new Map(shop.vans.map((van) => [van, new Map()])),
    used,
    seen,
    visits: [],
  }
  const coming: { on: number; article: string; count: number }[] = []
  const priceOf = new Map(shop.articles.map(({ id, price = 0 }) => [id, price / 100]))
  let [visits, secondTrips, tied] = [0, 0, 0]
  const count = (article: string) =>
    [...scene.vans.values()].reduce((sum, van) => sum + (van.get(article) ?? 0), scene.bay.get(article) ?? 0)
  const onOrder = (article: string) =>
    coming.reduce((sum, each) => sum + (each.article === article ? each.count : 0), 0)
  function order(article: string): void {
    const { upTo, from } = policy.wanted(article, scene)
    const has = count(article) + onOrder(article)
    if (has <= from && upTo > has) coming.push({ on: scene.day + leadDays(random), article, count: upTo - has })
  }
  for (let day = 0; day < length * 365; day++) {
    scene.day = day
    for (const arrived of coming.filter(({ on }) => on <= day))
      scene.bay.set(arrived.article, (scene.bay.get(arrived.article) ?? 0) + arrived.count)
    coming.splice(0, coming.length, ...coming.filter(({ on }) => on > day))
    if (day % MONTH_DAYS === 0) {
      look(shop, scene, start)
      policy.think?.(scene)
      for (const { id } of shop.articles) order(id)
    }
    const today = calls.get(day) ?? []
    scene.visits = today.map((call, index) =>
      plannedVisit(call, shop.vans[index % shop.vans.length] as string, `day ${day}`, index),
    )
    if (today.length > 0) policy.load(scene)
    for (const [index, call] of today.entries()) {
      visits++
      const van = scene.vans.get(shop.vans[index % shop.vans.length] as string) as Map<string, number>
      const pieces = taken(shop, call)
      const isThere = [...pieces].every(([article, wanted]) => (van.get(article) ?? 0) >= wanted)
      if (!isThere) secondTrips++
      for (const [article, wanted] of pieces) {
        // What is missing is fetched from the shop or bought for this machine, and put in on the second trip.
        takeOut(article, wanted, [van, scene.bay])
        used.set(article, (used.get(article) ?? 0) + wanted)
        order(article)
      }
      const group = groupOfFault(call)
      const before = seen.get(group) ?? { failed: 0, expected: 0 }
      seen.set(group, { ...before, failed: before.failed + 1 })
    }
    tied += shop.articles.reduce((sum, { id }) => sum + count(id) * (priceOf.get(id) ?? 0), 0)
  }
  return { policy: policy.name, visits, secondTrips, tied: tied / (length * 365) }
}

function takeOut(article: string, wanted: number, places: readonly Map<string, number>[]): void {
  let left = wanted
  for (const place of places) {
    const part = Math.min(left, place.get(article) ?? 0)
    if (part > 0) place.set(article, (place.get(article) ?? 0) - part)
    left -= part
  }
}

function groupOfFault({ machine: { pump }, fault }: Call): string {
  const row = KIND_KNOWLEDGE[pump.kind].faults.find((each) => each.fault === fault)
  return row ? groupOf(row) : fault
}

/** What the tables led to expect of the month that is over. */
function look({ machines }: MadeUpShop, { day, seen }: Scene, start: number): void {
  if (day === 0) return
  const stretch = { from: start + (day - MONTH_DAYS) * DAY, to: start + day * DAY }
  for (const machine of machines)
    for (const { row, count } of expectedByFault(exposed(machine), stretch, USUAL_SEASONS)) {
      const before = seen.get(groupOf(row)) ?? { failed: 0, expected: 0 }
      ;(seen as Map<string, Seen>).set(groupOf(row), { ...before, expected: before.expected + count })
    }
}

/** The dozen that the trade as a whole uses most. */
export function usualDozen(shop: MadeUpShop, start: number): string[] {
  const counts = new Map<string, number>()
  for (const machine of shop.machines)
    for (const { row, count } of expectedByFault(
      exposed(machine),
      { from: start, to: start + 365 * DAY },
      USUAL_SEASONS,
    ))
      for (const [article] of taken(shop, { machine, fault: row.fault as Fault, complaint: '' }))
        counts.set(article, (counts.get(article) ?? 0) + count)
  const dear = new Set(shop.articles.filter(({ price = 0 }) => price >= 15_000).map(({ id }) => id))
  return [...counts]
    .filter(([article]) => !dear.has(article))
    .sort((a, b) => b[1] - a[1])
    .slice(0, 12)
    .map(([article]) => article)
}
