import { describe, expect, it } from 'vitest'
import { InputError } from '../validation/input-error'
import { ENTRY_VERSION } from './entry'
import { validEntry } from './entry-rules'

const ID = '0190a8c0-0000-7000-8000-000000000001'
const TRIED = {
  code: 'jet.two.1k9f',
  ended: 'handed-over',
  found: true,
  minutes: 95.5,
  price: 41_200,
  lamp: 'off',
  harms: ['not-proved'],
  marks: [{ idea: 'order', right: 4, of: 5 }],
}
const COURSE = { course: ID, title: 'Before the season', cases: ['jet.two.1k9f', 'pool.one.2'], for: ['Ida'] }

function problem(kind: string, body: object, visitId: string | null = null): string | undefined {
  try {
    validEntry({ id: ID, v: ENTRY_VERSION, visitId, kind, at: '2026-05-12T08:00:00.000Z', author: 'Ida', body })
    return undefined
  } catch (error) {
    return error instanceof InputError ? error.problems[0]?.field : String(error)
  }
}

describe('lines of practice', () => {
  it('belong to no visit', () => {
    expect(problem('practice-tried', TRIED)).toBeUndefined()
    expect(problem('course-set', { ...COURSE, by: '2026-06-01', note: 'all of it', ended: true })).toBeUndefined()
    expect(problem('practice-tried', TRIED, ID)).toBe('visitId')
    expect(problem('course-set', COURSE, ID)).toBe('visitId')
  })
  it.each([
    ['practice-tried', { ...TRIED, code: 'boat.one.4' }, 'body.code'],
    ['practice-tried', { ...TRIED, price: -1 }, 'body.price'],
    ['practice-tried', { ...TRIED, price: 1.5 }, 'body.price'],
    ['practice-tried', { ...TRIED, minutes: Infinity }, 'body.minutes'],
    ['practice-tried', { ...TRIED, lamp: 'bright' }, 'body.lamp'],
    ['practice-tried', { ...TRIED, harms: ['tired'] }, 'body.harms'],
    ['practice-tried', { ...TRIED, marks: [{ idea: 'luck', right: 1, of: 1 }] }, 'body.marks.0.idea'],
    ['practice-tried', { ...TRIED, marks: [{ idea: 'order', right: 2, of: 1 }] }, 'body.marks.0.right'],
    ['practice-tried', { ...TRIED, marks: [...TRIED.marks, ...TRIED.marks] }, 'body.marks'],
    ['course-set', { ...COURSE, cases: [] }, 'body.cases'],
    ['course-set', { ...COURSE, cases: ['pool.one.2', 'pool.one.2'] }, 'body.cases'],
    ['course-set', { ...COURSE, cases: ['nothing'] }, 'body.cases'],
    ['course-set', { ...COURSE, title: '' }, 'body.title'],
    ['course-set', { ...COURSE, by: '31 June' }, 'body.by'],
  ])('%s %j is refused by its field', (kind, body, field) => expect(problem(kind, body)).toBe(field))
})
