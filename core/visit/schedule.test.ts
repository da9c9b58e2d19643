import { describe, expect, it } from 'vitest'
import { InputError } from '../validation/input-error'
import type { Entry, EntryBodies } from './entry'
import { validEntry } from './entry-rules'
import { foldVisit } from './fold'
import { listingOf } from './listing'
import { ordersOf } from './schedule'
import { entry as write, opened as openVisit } from './test-journal'

const MONDAY = '2026-05-18T12:00:00.000Z'
const TUESDAY = '2026-05-19T12:00:00.000Z'

describe('when a visit is to be done', () => {
  const opened = openVisit()
  const scheduled = (opened.body as EntryBodies['visit-opened']).scheduledAt
  const schedule = (...lines: Entry[]) => {
    const listed = listingOf([opened, ...lines])?.schedule
    expect(foldVisit([opened, ...lines])?.schedule).toEqual(listed)
    return listed
  }

  it('is as it was opened, until another word on it', () => {
    expect(schedule()).toEqual({ scheduledAt: scheduled, waits: false, arranged: {} })
    expect(schedule(write('planned', {}))).toMatchObject({ waits: true, scheduledAt: scheduled })
    expect(schedule(write('planned', {}), write('planned', { at: MONDAY }))).toMatchObject({
      waits: false,
      scheduledAt: MONDAY,
    })
  })

  it('keeps the day on which it was begun, however often it goes on', () => {
    const lines = [write('planned', { at: MONDAY, goesOn: true }), write('planned', { at: TUESDAY, goesOn: true })]
    expect(schedule(...lines)).toMatchObject({ scheduledAt: TUESDAY, beganAt: scheduled })
    expect(schedule(write('planned', { at: MONDAY }))).not.toHaveProperty('beganAt')
  })

  it('says what was promised last, and why it was called off', () => {
    const lines = [
      write('arranged', { until: MONDAY, people: 2 }),
      write('arranged', { minutes: 20 }),
      write('cancelled', { why: 'moved away' }),
    ]
    expect(schedule(...lines)).toMatchObject({ arranged: { minutes: 20 }, cancelled: 'moved away' })
  })

  it('starts when somebody is there, not when it is planned or loaded', () => {
    const before = [
      write('planned', { at: MONDAY }),
      write('arranged', { minutes: 20 }),
      write('loaded', { item: 'tool:meter', loaded: true }),
      write('joint-done', { joint: 'call' }),
      write('joint-done', { joint: 'prepare' }),
    ]
    expect(foldVisit([opened, ...before])?.startedAt).toBeUndefined()
    const there = write('gate', { gate: 'power-off', shut: true })
    expect(foldVisit([opened, ...before, there])).toMatchObject({ startedAt: there.at, workedAt: there.at })
  })

  it('takes the newest order of a van for the day that is asked', () => {
    const order = (on: string, van: string, visits: string[]) =>
      ({ ...write('planned', {}), visitId: null, kind: 'day-order', body: { on, van, visits } }) as unknown as Entry
    const lines = [
      order('2026-05-11', 'a', ['1', '2']),
      order('2026-05-11', 'a', ['2', '1']),
      order('2026-05-12', 'a', []),
    ]
    expect(ordersOf(lines, '2026-05-11')).toEqual({ a: ['2', '1'] })
  })
})

describe('the rules of planning', () => {
  const problem = (kind: string, body: object, visitId: string | null = write('planned', {}).visitId) => {
    try {
      validEntry({ ...write('planned', {}), visitId, kind, body })
      return undefined
    } catch (error) {
      return error instanceof InputError ? error.problems[0]?.field : String(error)
    }
  }
  it.each([
    ['arranged', { from: TUESDAY, until: MONDAY }, 'body.until'],
    ['arranged', { people: 0 }, 'body.people'],
    ['planned', { goesOn: true }, 'body.at'],
    ['planned', { at: 'tomorrow' }, 'body.at'],
    ['cancelled', { why: '' }, 'body.why'],
    ['day-order', { on: '2026-05-12', van: 'van-1', visits: [] }, 'visitId'],
  ])('%s %j is refused by its field', (kind, body, field) => expect(problem(kind, body)).toBe(field))

  it('take an order into the shop’s own journal, and no visit twice', () => {
    const [id] = [write('planned', {}).visitId as string]
    expect(problem('day-order', { on: '2026-05-12', van: 'van-1', visits: [id] }, null)).toBeUndefined()
    expect(problem('day-order', { on: '2026-05-12', van: 'van-1', visits: [id, id] }, null)).toBe('body.visits')
    expect(problem('day-order', { on: '2026-05-12', van: 'Van 1', visits: [] }, null)).toBe('body.van')
  })
})
