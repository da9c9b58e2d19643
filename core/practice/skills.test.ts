import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { IDEAS, type Idea } from '../knowledge/practice/harms'
import { KINDS } from '../knowledge/vocabulary'
import type { Entry, PracticeTried } from '../visit/entry'
import { kindsFor, nextUp, standingsOf } from './next-up'
import { skillFrom, skillsOf, triedIn, type Tried } from './skills'
import { spacedIdea } from './spacing'

const DAY = 86_400_000
const START = Date.parse('2026-03-02T08:00:00.000Z')

/** A try on a day, with so much right of each idea. */
function tried(day: number, marks: Partial<Record<Idea, [number, number]>>, more: Partial<Tried> = {}): Tried {
  return {
    id: String(day).padStart(4, '0'),
    who: 'Ida',
    name: 'Ida',
    at: START + day * DAY,
    code: 'pool.one.2',
    ended: 'handed-over',
    found: true,
    minutes: 60,
    price: 20_000,
    lamp: 'off',
    harms: [],
    marks: Object.entries(marks).map(([idea, [right, of]]) => ({ idea: idea as Idea, right, of })),
    ...more,
  }
}
const share = fc.record({ right: fc.integer({ min: 0, max: 6 }), counts: fc.constantFrom(0.2, 0.6, 1) })

describe('an estimate of skill', () => {
  it('is anything at all before the first try: four of five lie between a tenth and nine', () => {
    const none = skillFrom([])
    expect(none).toMatchObject({ estimate: 0.5, tries: 0 })
    expect(none.low).toBeCloseTo(0.1, 6)
    expect(none.high).toBeCloseTo(0.9, 6)
  })
  it('is the posterior of Beta(1, 1) where a try asks one thing', () => {
    // Beta(2, 1): mean 2/3, and its quantile at p is the root of p.
    const one = skillFrom([{ right: 1, of: 1, counts: 1 }])
    expect(one.estimate).toBeCloseTo(2 / 3, 10)
    expect(one.low).toBeCloseTo(Math.sqrt(0.1), 6)
    expect(one.high).toBeCloseTo(Math.sqrt(0.9), 6)
  })
  it('narrows with tries, and lies in its span', () => {
    fc.assert(
      fc.property(fc.array(share, { minLength: 1, maxLength: 40 }), (tries) => {
        const skill = skillFrom(tries.map(({ right, counts }) => ({ right, of: 6, counts })))
        expect(skill.low).toBeLessThan(skill.estimate)
        expect(skill.high).toBeGreaterThan(skill.estimate)
        expect(skill.low).toBeGreaterThanOrEqual(0)
        expect(skill.high).toBeLessThanOrEqual(1)
      }),
    )
    const width = (tries: number) => {
      const { low, high } = skillFrom(Array.from({ length: tries }, () => ({ right: 3, of: 6, counts: 1 })))
      return high - low
    }
    expect(width(10)).toBeLessThan(width(3))
    expect(width(3)).toBeLessThan(width(1))
  })
  it('never falls where more of the last try was right', () => {
    fc.assert(
      fc.property(fc.array(share, { minLength: 1, maxLength: 10 }), (tries) => {
        const at = (right: number) =>
          skillFrom([...tries, { right, counts: 1 }].map((each) => ({ ...each, of: 6 }))).estimate
        expect(at(5)).toBeGreaterThan(at(2))
      }),
    )
  })
  it('says less of what the lamp said, and of what was long ago', () => {
    const right = { right: 4, of: 4, counts: 1 }
    expect(skillFrom([{ ...right, counts: 0.2 }]).estimate).toBeLessThan(skillFrom([right]).estimate)
    const wrong = { right: 0, of: 4, counts: 1 }
    expect(skillFrom([wrong, ...Array.from({ length: 24 }, () => right)]).estimate).toBeGreaterThan(
      skillFrom([...Array.from({ length: 24 }, () => right), wrong]).estimate,
    )
  })
  it('is kept apart by idea and by kind', () => {
    const skills = skillsOf([
      tried(1, { windings: [4, 4], order: [2, 2] }),
      tried(2, { suction: [0, 3], order: [0, 4] }, { code: 'jet.one.4' }),
    ])
    expect(skills.ideas.windings.estimate).toBeGreaterThan(0.7)
    expect(skills.ideas.suction.estimate).toBeLessThan(0.3)
    expect(skills.ideas.pressure).toMatchObject({ tries: 0, estimate: 0.5 })
    expect(skills.kinds.pool.estimate).toBeGreaterThan(0.7)
    expect(skills.kinds.jet.estimate).toBeLessThan(0.3)
    expect(skills.all.tries).toBe(2)
  })
})

describe('tries in a list of lines', () => {
  it('are of whoever wrote them, one that came twice counts once, other lines are none', () => {
    const line = (id: string, at: string, person?: string) =>
      ({
        id,
        at,
        author: 'Ida',
        kind: 'practice-tried',
        ...(person ? { by: { person, device: 'd' } } : {}),
        body: { marks: [], code: 'pool.one.2' } as unknown as PracticeTried,
      }) as unknown as Entry
    const lines = [
      line('b', '2026-03-03T08:00:00.000Z', 'p1'),
      line('a', '2026-03-02T08:00:00.000Z'),
      line('b', '2026-03-03T08:00:00.000Z', 'p1'),
      { ...line('c', '2026-03-03T08:00:00.000Z'), kind: 'note' } as unknown as Entry,
    ]
    expect(triedIn(lines).map(({ id, who }) => [id, who])).toEqual([
      ['a', 'Ida'],
      ['b', 'p1'],
    ])
  })
})

describe('an idea is due again', () => {
  const due = (...tries: Tried[]) => spacedIdea(tries, 'windings', START)?.due as number
  it('never before it was met', () => expect(spacedIdea([], 'windings', START)).toBeUndefined())
  it('sooner the worse it went, and further off each time it goes well', () => {
    const after = (right: number) => due(tried(0, { windings: [right, 4] })) - START
    expect(after(0)).toBeLessThan(after(3))
    expect(after(3)).toBeLessThan(after(4))
    const first = due(tried(0, { windings: [3, 4] }))
    const second = due(tried(0, { windings: [3, 4] }), tried((first - START) / DAY, { windings: [3, 4] }))
    expect(second - first).toBeGreaterThan(first - START)
  })
  it('with a chance of nine in ten that it is remembered', () => {
    const tries = [tried(0, { windings: [4, 4] })]
    const { due: then } = spacedIdea(tries, 'windings', START)!
    expect(spacedIdea(tries, 'windings', then)!.remembered).toBeCloseTo(0.9, 1)
    expect(spacedIdea(tries, 'windings', then + 60 * DAY)!.remembered).toBeLessThan(0.85)
  })
  it('soon where the lamp said it', () => {
    expect(due(tried(0, { windings: [4, 4] }, { lamp: 'on' }))).toBeLessThan(due(tried(0, { windings: [4, 4] })))
  })
})

describe('what comes next', () => {
  const good = Object.fromEntries(Object.keys(IDEAS).map((idea) => [idea, [5, 5]])) as Record<Idea, [number, number]>
  it('is something for whoever has tried nothing', () => {
    const next = nextUp([], START)
    expect(next).toMatchObject({ isDue: true, tries: 0, hardness: 'one' })
    expect(next.kinds.length).toBeGreaterThan(0)
    expect([...next.kinds].sort()).toEqual(kindsFor(next.idea).sort())
  })
  it('is the weakest of what is due', () => {
    const tries = [tried(0, { ...good, suction: [1, 5], capacitors: [2, 5] })]
    expect(nextUp(tries, START + 2 * DAY).idea).toBe('suction')
    // Right today, due in days: it is not asked for tonight.
    const again = [...tries, ...[1, 2, 3].map((day) => tried(day / 24, { suction: [5, 5] }))]
    expect(standingsOf(again, START + DAY / 4).find(({ idea }) => idea === 'suction')?.isDue).toBe(false)
    expect(nextUp(again, START + 2 * DAY).idea).toBe('capacitors')
  })
  it('is the weakest where nothing is due, and says when it would be', () => {
    const next = nextUp([tried(0, { ...good, splitting: [4, 5] })], START)
    expect(next).toMatchObject({ idea: 'splitting', isDue: false })
    expect(next.due).toBeGreaterThan(START)
  })
  it('is met on the kinds that were met least', () => {
    const tries = [tried(0, { pressure: [1, 4] }, { code: 'jet.one.4' })]
    const next = nextUp(tries, START + 40 * DAY)
    expect(next.kinds.at(-1)).toBe('jet')
  })
  it('is harder once an idea is known', () => {
    const tries = Array.from({ length: 12 }, (_, day) => tried(day, good))
    expect(nextUp(tries, START + 400 * DAY).hardness).not.toBe('one')
  })
  it('has a kind of pump for each idea, and each kind for some idea', () => {
    const met = new Set((Object.keys(IDEAS) as Idea[]).flatMap(kindsFor))
    expect([...met].sort()).toEqual(Object.keys(KINDS).sort())
  })
})
