import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { DayVisit } from './day'
import { splitDay, workTogether, type DayWork } from './day-plan'
import { apartFrom, asStops, inJourneyOrder, journeyAround, machinesOf, nextIn, openIn, visitsOf } from './stops'

const visit = (id: string, more: Partial<DayVisit> = {}): DayVisit => ({
  id,
  scheduledAt: '2026-05-12T12:00:00.000Z',
  plannedMinutes: 60,
  arranged: {},
  customer: { name: 'Orchard House', place: 'Upper Orchard 4' },
  machine: { id: `m-${id}`, name: `pump ${id}`, kind: 'pool', construction: 'band-clamp' },
  complaints: [],
  callerSays: '',
  stage: 'call',
  done: false,
  lastReadings: [],
  ...more,
})

describe('visits of one journey', () => {
  it('are one stop under the first of them, whatever their order in the list', () => {
    const [stop, other, ...more] = asStops([
      visit('c', { together: 'a' }),
      visit('x'),
      visit('b', { together: 'a', plannedMinutes: 30 }),
      visit('a'),
    ])
    expect(more).toEqual([])
    expect([stop?.id, other?.id]).toEqual(['a', 'x'])
    expect(visitsOf(stop as DayVisit).map(({ id }) => id)).toEqual(['a', 'b', 'c'])
    expect(stop?.plannedMinutes).toBe(150)
    expect(machinesOf(stop as DayVisit)).toBe('pump a, pump b, pump c')
    expect(visitsOf(other as DayVisit)).toEqual([other])
  })
  it('stand under the first that is there where the journey’s own first stands in another list', () =>
    expect(asStops([visit('c', { together: 'a' }), visit('b', { together: 'a' })]).map(({ id }) => id)).toEqual(['b']))
  it('are done when the last is, and go on at the first that is not', () => {
    const one = asStops([visit('a', { done: true, stage: 'hand-over' }), visit('b', { together: 'a', stage: 'test' })])
    expect(one[0]).toMatchObject({ done: false, stage: 'test' })
    expect(openIn(one[0] as DayVisit)).toEqual(['b'])
    expect(nextIn(one[0] as DayVisit).id).toBe('b')
    expect(asStops([visit('a', { done: true }), visit('b', { done: true, together: 'a' })])[0]?.done).toBe(true)
  })
  it('keep every promise: from the last hour, until the first, when all parts are there', () => {
    const hour = (at: string) => `2026-05-12T${at}:00.000Z`
    const [stop] = asStops([
      visit('a', { arranged: { from: hour('08:00'), until: hour('15:00'), partsAt: hour('09:00') } }),
      visit('b', { together: 'a', arranged: { from: hour('09:30'), until: hour('14:00'), people: 2, minutes: 40 } }),
    ])
    expect(stop?.arranged).toEqual({ from: hour('09:30'), until: hour('14:00'), partsAt: hour('09:00'), people: 2 })
  })
  it('lose none and double none', () =>
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.record({ id: fc.integer({ min: 1, max: 40 }), with: fc.integer({ min: 1, max: 6 }) }), {
          selector: ({ id }) => id,
        }),
        (all) => {
          const visits = all.map(({ id, with: first }) =>
            visit(`${id}`, id === first ? {} : id % 2 === 0 ? { together: `${first}` } : {}),
          )
          const stops = asStops(visits)
          expect(
            stops
              .flatMap(visitsOf)
              .map(({ id }) => id)
              .toSorted(),
          ).toEqual(visits.map(({ id }) => id).toSorted())
        },
      ),
    ))
  it('are found around any of them; one that was called off is of none', () => {
    const [a, b, c, x] = [visit('a'), visit('b', { together: 'a' }), visit('c', { together: 'a' }), visit('x')]
    for (const own of [a, b, c]) expect(journeyAround(own, [a, b, c, x]).map(({ id }) => id)).toEqual(['a', 'b', 'c'])
    const off = { id: 'b', together: 'a', cancelled: 'sold' }
    expect(journeyAround(a, [a, off, c]).map(({ id }) => id)).toEqual(['a', 'c'])
    expect(journeyAround(off, [a, off, c]).map(({ id }) => id)).toEqual(['b'])
    // The first was called off: the next bears the journey.
    expect(journeyAround({ id: 'c', together: 'a' }, [off, { id: 'd', together: 'a' }]).map(({ id }) => id)).toEqual([
      'c',
      'd',
    ])
  })
  it('let one go, and stay together without it', () => {
    expect(apartFrom(['a', 'b', 'c'], 'b')).toEqual([{ visit: 'b' }])
    expect(apartFrom(['a', 'b', 'c'], 'a')).toEqual([{ visit: 'b' }, { visit: 'c', with: 'b' }])
    expect(apartFrom(['a'], 'a')).toEqual([])
    const after = [{ id: 'a' }, { id: 'b' }, { id: 'c', together: 'b' }]
    expect(journeyAround(after[1]!, after).map(({ id }) => id)).toEqual(['b', 'c'])
    expect(inJourneyOrder(after).map(({ id }) => id)).toEqual(['a', 'b', 'c'])
  })
})

describe('the work of one stop', () => {
  const work = (p50: number, more: Partial<DayWork> = {}): DayWork => ({
    minutes: { p50, p90: Math.round(p50 * 1.4) },
    urgency: { perHour: 0 },
    people: 1,
    byDaylight: false,
    place: 1,
    ...more,
  })
  it('takes as long as all of it, and spreads less than its parts side by side', () => {
    const { minutes } = workTogether([work(60), work(40)])
    expect(minutes.p50).toBeGreaterThanOrEqual(100)
    expect(minutes.p50).toBeLessThanOrEqual(108)
    expect(minutes.p90 - minutes.p50).toBeLessThan(40)
    expect(workTogether([work(60)])).toEqual(work(60))
  })
  it('is as urgent as its most urgent, wants as many people as most, and is done when all is', () => {
    const urgent = { perHour: 9, words: 'no water' }
    const early = { startedAt: '2026-05-12T08:00:00Z', workedAt: '2026-05-12T09:00:00Z' }
    const done = { ...early, doneAt: '2026-05-12T09:00:00Z' }
    const late = { startedAt: '2026-05-12T09:00:00Z', workedAt: '2026-05-12T09:40:00Z' }
    const both = workTogether([work(60, done), work(20, { ...late, urgency: urgent, people: 2, byDaylight: true })])
    expect(both).toMatchObject({
      urgency: urgent,
      people: 2,
      byDaylight: true,
      startedAt: early.startedAt,
      workedAt: late.workedAt,
    })
    expect(both.doneAt).toBeUndefined()
    expect(workTogether([work(1, done), work(1, { ...late, doneAt: late.workedAt })]).doneAt).toBe(late.workedAt)
  })
  it('is driven to once', () => {
    const [stop] = asStops([visit('a'), visit('b', { together: 'a' })])
    const travel = {
      minutes: [
        [0, 10],
        [10, 0],
      ],
      km: [
        [0, 5],
        [5, 0],
      ],
      ways: [],
    }
    const { plan } = splitDay(
      [stop as DayVisit],
      {},
      {},
      { work: { a: workTogether([work(60), work(40)]) }, travel: travel as never, shop: 0, places: [] },
      { midnight: Date.parse('2026-05-12T00:00:00.000Z') },
    )
    expect(plan.stops.map(({ id }) => id)).toEqual(['a'])
  })
})
