import type { CourseSet, Entry } from '../visit/entry'
import type { Tried } from './skills'

/** A course as it stands: what was said of it last, by whom and when. */
export interface Course extends CourseSet {
  setBy: string
  at: number
}

/** After every day on which something is wanted. */
const NEVER = '9999'

/** Courses that are not over, the one that is wanted soonest first. */
export function coursesIn(entries: readonly Entry[]): Course[] {
  const newest = new Map<string, Course>()
  for (const entry of entries) {
    if (entry.kind !== 'course-set') continue
    const course = { ...entry.body, setBy: entry.author, at: Date.parse(entry.at) }
    const known = newest.get(course.course)
    if (!known || known.at <= course.at) newest.set(course.course, course)
  }
  return [...newest.values()]
    .filter(({ ended }) => !ended)
    .sort((a, b) => (a.by ?? NEVER).localeCompare(b.by ?? NEVER) || a.at - b.at)
}

/** Is a course for somebody of this name? */
export const isFor = ({ for: names }: CourseSet, name: string): boolean => names.length === 0 || names.includes(name)

/** How somebody stands with a case of a course: not come to yet, worked at, or found and mended. */
export type CaseStanding = 'open' | 'tried' | 'found'

export function caseStanding(code: string, tried: readonly Tried[]): CaseStanding {
  const own = tried.filter((each) => each.code === code)
  if (own.length === 0) return 'open'
  return own.some(({ found }) => found) ? 'found' : 'tried'
}
