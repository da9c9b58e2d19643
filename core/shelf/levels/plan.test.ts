import { describe, expect, it } from 'vitest'
import type { Article } from '../../fits/article'
import type { PartWant } from '../../fits/for-part'
import { NEED_AHEAD } from '../../knowledge/shelf/keeping'
import type { Part } from '../../knowledge/vocabulary'
import { USUAL_SEASONS } from '../../planning/season'
import { needsOf } from './need'
import { poolPump } from './pool-pump.fixture'
import { shelfPlan, type ShelfGrounds } from './plan'
import type { PlannedVisit } from './van-plan'

const can = (id: string, microfarads: number, price = 1200): Article => ({
  id,
  name: id,
  part: 'run-capacitor',
  family: 'run-capacitor',
  spec: { microfarads, volts: 440 },
  price,
  pricedOn: '2026-05-01',
})
const want = (microfarads: number): PartWant => ({
  part: 'run-capacitor',
  kind: 'pool',
  use: 'run-capacitor',
  family: 'run-capacitor',
  spec: { microfarads, volts: 370 },
  needed: 1,
})
const visit = (
  name: string,
  probability: number,
  microfarads: number,
  more: Partial<PlannedVisit> = {},
): PlannedVisit => ({
  visitId: name,
  name,
  on: '2026-05-12',
  van: 'van-1',
  repairs: [{ probability, wants: [want(microfarads)] }],
  ...more,
})
const FROM = Date.parse('2026-05-12')
const machine = (id: string, microfarads: number) => poolPump(id, microfarads, FROM, { years: 9 })
const GROUNDS: ShelfGrounds = {
  today: '2026-05-12',
  machines: [...Array.from({ length: 40 }, (_, index) => machine(`m${index}`, 30)), machine('rare', 20)],
  days: USUAL_SEASONS,
  factors: {},
  articles: [can('thirty', 30), can('twenty', 20), can('odd', 75)],
  lying: [
    { place: 'bay:a', article: 'thirty', count: 3 },
    { place: 'van:van-2', article: 'twenty', count: 1 },
  ],
  fixed: {},
  onOrder: {},
  visits: [visit('lido', 0.8, 30), visit('weir', 0.5, 20)],
  rates: { trip: 65, downtime: 60, hourly: 96 },
  vans: [
    { id: 'van-1', litres: 160 },
    { id: 'van-2', litres: 160 },
  ],
  lead: { days: 4, spreadDays: 2 },
}
const of = (plan: ReturnType<typeof shelfPlan>, article: string) => plan.levels.find((each) => each.article === article)

describe('the plan of the shelf', () => {
  it('a repair that finds several things missing is one second trip', () => {
    const ring = (part: Part): Article => ({ id: part, name: part, part, spec: {} })
    const articles = [...GROUNDS.articles, ring('shaft-seal'), ring('housing-o-ring'), ring('diffuser-o-ring')]
    const stretch = { from: FROM, to: FROM + NEED_AHEAD.rateDays * 86_400_000 }
    const { repairs } = needsOf(GROUNDS.machines, articles, stretch, GROUNDS.days)
    expect(repairs.some(({ wants }) => wants.filter((shares) => shares.length > 0).length > 2)).toBe(true)
    const all = repairs.reduce((sum, { perYear }) => sum + perYear, 0)
    const plan = shelfPlan({ ...GROUNDS, articles, lying: [] })
    expect(plan.now.trips + plan.beyond).toBeCloseTo(all, 6)
  })

  it('keeps what the machines take, and nothing that nothing takes', () => {
    const plan = shelfPlan(GROUNDS)
    expect(of(plan, 'odd')).toMatchObject({ level: 0, order: 0, machines: 0 })
    expect(of(plan, 'thirty')?.machines).toBe(40)
    expect(of(plan, 'thirty')?.level).toBeGreaterThanOrEqual(2)
    expect(plan.secondTrip).toBe(65 + 60 + 48)
    expect(plan.unmet.length).toBeGreaterThan(0)
    expect(plan.at.trips).toBeLessThanOrEqual(plan.now.trips)
  })

  it('what is there, ordered or fixed by hand counts', () => {
    const level = of(shelfPlan(GROUNDS), 'thirty')?.level ?? 0
    const short = shelfPlan({ ...GROUNDS, fixed: { thirty: level + 9 }, onOrder: { thirty: 4 } })
    expect(of(short, 'thirty')).toMatchObject({ level, fixed: level + 9, have: 3, onOrder: 4, order: level + 9 - 7 })
    expect(of(shelfPlan({ ...GROUNDS, fixed: { thirty: 0 } }), 'thirty')).toMatchObject({ order: 0, shortAt: 1 })
  })

  it('loads a van from the shop for the visits it goes to, and says what that does', () => {
    const [first, second] = shelfPlan(GROUNDS).today
    expect(first?.bring).toContainEqual({ article: 'thirty', count: expect.any(Number), from: 'bay:a' })
    expect(first?.visits.map(({ visitId, before, after }) => [visitId, before, after])).toEqual([
      ['lido', expect.closeTo(0.2, 9), 1],
      ['weir', 0.5, 1],
    ])
    // What rides in the other van and is wanted there by nobody is handed over.
    expect(first?.bring).toContainEqual({ article: 'twenty', count: 1, from: 'van:van-2' })
    expect(second?.leave).toEqual([{ article: 'twenty', count: 1 }])
    expect(second?.visits).toEqual([])
    const later = shelfPlan({ ...GROUNDS, visits: [visit('late', 0.8, 30, { on: '2026-05-15' })] })
    expect(later.today[0]?.visits).toEqual([])
    expect(later.week[0]?.visits.map(({ visitId }) => visitId)).toEqual(['late'])
  })

  it('a call that waits counts for what is ordered, and rides nowhere', () => {
    const waits = { ...GROUNDS, machines: [], visits: [visit('waits', 1, 75, { van: '' })] }
    expect(of(shelfPlan(waits), 'odd')).toMatchObject({ planned: 1, order: 1 })
    expect(shelfPlan(waits).waiting).toEqual([{ article: 'odd', count: 1, visits: ['waits'] }])
    expect(shelfPlan(waits).today.flatMap(({ visits }) => visits)).toEqual([])
  })

  it('no more money lies than may', () => {
    const dear = { ...GROUNDS, articles: [can('thirty', 30, 9000), can('twenty', 20, 9000)] }
    const [free, held] = [shelfPlan(dear), shelfPlan({ ...dear, most: 100 })]
    expect(free.times).toBe(1)
    expect(free.at.tied).toBeGreaterThan(100)
    expect(held.at.tied).toBeLessThanOrEqual(100)
    expect(held.at.trips).toBeGreaterThan(free.at.trips)
    expect(of(held, 'thirty')?.keeping).toBeCloseTo(of(free, 'thirty')?.keeping ?? 0, 6)
  })
})
