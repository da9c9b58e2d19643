import { describe, expect, it } from 'vitest'
import { walkDay } from './order/day-order'
import { errandOf, splitDay, type DayGrounds, type DayWork } from './day-plan'
import type { DayVisit } from './day'

const MIDNIGHT = Date.parse('2026-05-12T00:00:00.000Z')
const hour = (text: string) => `2026-05-12T${text}:00.000Z`
const VANS = {
  vans: [{ id: 'a', name: 'A', people: 1 }],
  day: { start: 480, end: 1020, breakFrom: 720, breakMinutes: 30 },
}

const visit = (id: string, more: Partial<DayVisit> = {}): DayVisit => ({
  id,
  scheduledAt: hour('12:00'),
  plannedMinutes: 60,
  arranged: {},
  customer: { name: id, place: '' },
  machine: { id: `m${id}`, name: 'pump', kind: 'pool', construction: 'band-clamp' },
  complaints: [],
  callerSays: '',
  stage: 'call',
  done: false,
  lastReadings: [],
  ...more,
})
/** The shop and three places, ten minutes from each to each. */
const grounds = (more: Record<string, Partial<DayWork>> = {}): DayGrounds => {
  const all = [0, 1, 2, 3].map((a) => [0, 1, 2, 3].map((b) => (a === b ? 0 : 10)))
  const work = (place: number, own: Partial<DayWork> = {}): DayWork => ({
    minutes: { p50: 60, p90: 60 },
    urgency: { perHour: 2 },
    people: 1,
    byDaylight: false,
    place,
    ...own,
  })
  return {
    work: { one: work(1, more.one), two: work(2, more.two), three: work(3, more.three) },
    travel: { minutes: all, km: all, ways: [] },
    shop: 0,
    places: [],
  }
}

describe('a day taken apart', () => {
  it('goes by its order, what no order names after it by its hour, from the shop at the day’s beginning', () => {
    const visits = [visit('one'), visit('two', { scheduledAt: hour('09:00') }), visit('three')]
    const { plan, routes, behind } = splitDay(visits, { a: ['three'] }, VANS, grounds(), { midnight: MIDNIGHT })
    expect(routes).toEqual({ a: ['three', 'two', 'one'] })
    expect(behind).toEqual({ a: [] })
    expect(plan.vans[0]).toMatchObject({ place: 0, from: 480, home: 0 })
    expect(plan.vans[0]).not.toHaveProperty('hadBreak')
  })

  it('goes on from where somebody is, when that is likely to end; what is done stays behind', () => {
    const visits = [visit('one', { done: true }), visit('two', { stage: 'test' }), visit('three')]
    const known = grounds({
      one: { doneAt: hour('09:30'), workedAt: hour('09:30') },
      two: { startedAt: hour('09:45'), workedAt: hour('10:00'), minutes: { p50: 40, p90: 60 } },
    })
    const day = splitDay(visits, { a: ['one', 'two', 'three'] }, VANS, known, {
      midnight: MIDNIGHT,
      now: Date.parse(hour('10:10')),
    })
    expect(day.behind).toEqual({ a: ['one'] })
    expect(day.underway.a?.id).toBe('two')
    expect(day.underway.a?.endsAt).toBeGreaterThan(610 + 40)
    expect(day.routes).toEqual({ a: ['three'] })
    expect(day.plan.vans[0]).toMatchObject({ place: 2, from: day.underway.a?.endsAt })
    // The longer it takes, the later everything after it.
    const later = splitDay(visits, { a: ['one', 'two', 'three'] }, VANS, known, {
      midnight: MIDNIGHT,
      now: Date.parse(hour('10:50')),
    })
    const arrives = ({ plan, routes }: typeof day) => walkDay(plan, routes).walks.a?.stops[0]?.arrives.mean as number
    expect(arrives(later) - arrives(day)).toBeCloseTo(40, 6)
    expect(later.routes).toEqual(day.routes)
  })

  it('was begun yesterday and not touched today: nobody is there, and it goes on in its place', () => {
    const visits = [visit('one', { stage: 'repair', beganAt: '2026-05-11T09:00:00.000Z' })]
    const known = grounds({ one: { startedAt: '2026-05-11T09:00:00.000Z', workedAt: '2026-05-11T16:00:00.000Z' } })
    const now = Date.parse(hour('08:10'))
    expect(splitDay(visits, {}, VANS, known, { midnight: MIDNIGHT, now })).toMatchObject({
      routes: { a: ['one'] },
      underway: {},
    })
    // On the day on which it was begun it is behind, once it goes on on another.
    const yesterday = MIDNIGHT - 24 * 3600 * 1000
    expect(splitDay(visits, {}, VANS, known, { midnight: yesterday }).behind).toEqual({ a: ['one'] })
  })

  it('fetches parts at the shop before they are wanted, unless they lie there when the van leaves', () => {
    const wants = (partsAt: string) => [visit('one', { arranged: { partsAt } }), visit('two')]
    const late = splitDay(wants(hour('10:00')), { a: ['one', 'two'] }, VANS, grounds(), { midnight: MIDNIGHT })
    const route = late.routes.a as string[]
    expect(route.filter((id) => errandOf(id) === 'one')).toHaveLength(1)
    expect(route.findIndex((id) => errandOf(id))).toBeLessThan(route.indexOf('one'))
    const early = splitDay(wants(hour('07:00')), { a: ['one', 'two'] }, VANS, grounds(), { midnight: MIDNIGHT })
    expect(early.routes.a).toEqual(['one', 'two'])
  })

  it('knows a promise of another day as one that is far off', () => {
    const visits = [visit('one', { arranged: { until: '2026-05-14T09:00:00.000Z' } })]
    const { plan, routes } = splitDay(visits, {}, VANS, grounds(), { midnight: MIDNIGHT })
    expect(plan.stops[0]?.window?.until).toBe(2 * 1440 + 540)
    expect(walkDay(plan, routes).walks.a?.stops[0]?.late).toBeLessThan(0.001)
  })
})
