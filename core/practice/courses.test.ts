import { describe, expect, it } from 'vitest'
import type { CourseSet, Entry } from '../visit/entry'
import { caseStanding, coursesIn, isFor } from './courses'
import type { Tried } from './skills'

const course = (more: Partial<CourseSet>): CourseSet => ({ course: 'a', title: 'A', cases: [], for: [], ...more })
const line = (at: string, body: CourseSet) =>
  ({ id: at, at, author: 'Ada', kind: 'course-set', body }) as unknown as Entry

describe('courses', () => {
  it('are as they were said last, those that are over left out, the soonest first', () => {
    const lines = [
      line('2026-03-03', course({ title: 'new' })),
      line('2026-03-01', course({ title: 'old' })),
      line('2026-03-01', course({ course: 'b', title: 'soon', by: '2026-04-01' })),
      line('2026-03-01', course({ course: 'c', title: 'over' })),
      line('2026-03-02', course({ course: 'c', title: 'over', ended: true })),
    ]
    expect(coursesIn(lines).map(({ title, setBy }) => [title, setBy])).toEqual([
      ['soon', 'Ada'],
      ['new', 'Ada'],
    ])
  })
  it('are for those they name, or for everybody', () => {
    expect(isFor(course({}), 'Bo')).toBe(true)
    expect(isFor(course({ for: ['Ada'] }), 'Bo')).toBe(false)
    expect(isFor(course({ for: ['Ada', 'Bo'] }), 'Bo')).toBe(true)
  })
  it('a case stands open, tried, or found once it was found in any try', () => {
    const tried = (code: string, found: boolean) => ({ code, found }) as Tried
    expect(caseStanding('pool.one.2', [])).toBe('open')
    expect(caseStanding('pool.one.2', [tried('pool.one.2', false)])).toBe('tried')
    expect(caseStanding('pool.one.2', [tried('pool.one.2', true), tried('pool.one.2', false)])).toBe('found')
    expect(caseStanding('pool.one.2', [tried('pool.one.3', true)])).toBe('open')
  })
})
