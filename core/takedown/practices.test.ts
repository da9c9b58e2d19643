import { describe, expect, it } from 'vitest'
import { PARTS, type Part } from '../knowledge/vocabulary'
import { CONSTRUCTION_GRAPHS } from '../knowledge/constructions'
import { PRACTICE_WORDS, PRACTICES, wayOf, wayText, type PracticeId } from '../knowledge/shop/practices'
import { planTakeDown } from './plan'

const all = Object.keys(PRACTICES) as PracticeId[]

describe('the practices of the trade', () => {
  it('the first way is the default, and a way that is none is not followed', () => {
    expect(wayOf('threads')).toBe('tape')
    expect(wayOf('threads', { threads: 'compound' })).toBe('compound')
    expect(wayOf('threads', { threads: 'prayer' })).toBe('tape')
    expect(wayText('halves', { halves: 'one' })).toMatch(/spare/)
  })

  it('every mark has words for each way of its practice', () => {
    for (const [mark, { practice, ways }] of Object.entries(PRACTICE_WORDS))
      expect(Object.keys(ways), mark).toEqual(Object.keys(PRACTICES[practice].ways))
  })

  it('no mark is left in any step of any plan, whichever way the shop goes', () => {
    for (const last of [false, true]) {
      const practices = Object.fromEntries(
        all.map((id) => [id, Object.keys(PRACTICES[id].ways).at(last ? -1 : 0) as string]),
      )
      for (const graph of CONSTRUCTION_GRAPHS)
        for (const part of Object.keys(graph.reach) as Part[]) {
          for (const { text } of planTakeDown(graph.id, [part], { practices }).steps)
            expect(text, `${graph.id} ${part}`).not.toMatch(/[{}]/)
        }
    }
  })

  it('a shop’s ways change the steps, what is spent, and the minutes, and are named', () => {
    const plan = (practices?: Record<string, string>) =>
      planTakeDown('pressure-tee', ['pressure-switch'], { practices })
    expect(plan().back.find(({ id }) => id === 'back:nipple')?.text).toMatch(/PTFE tape clockwise/)
    expect(plan({ threads: 'compound' }).back.find(({ id }) => id === 'back:nipple')?.text).toMatch(/thread compound/)
    expect(plan().consumables).toContainEqual(expect.objectContaining({ material: 'PTFE tape' }))
    expect(plan({ threads: 'compound' }).consumables).toContainEqual(
      expect.objectContaining({ material: 'thread compound' }),
    )
    expect(plan({ threads: 'both' }).minutes.p50).toBeGreaterThan(plan().minutes.p50)
    expect(plan().practices).toEqual(['isolation', 'threads'])
    const splice = (way: string) => planTakeDown('well-installation', ['splice'], { practices: { splices: way } })
    expect(splice('solder').minutes.p50).toBeGreaterThan(splice('crimp').minutes.p50 + 3)
    expect(
      planTakeDown('vertical-shimmed', ['motor'], { practices: { shims: 'gap' } }).back.find(
        ({ id }) => id === 'back:shims',
      )?.text,
    ).toMatch(/gap measured/)
  })

  it('a ring is reused only where the shop does, and never without a look', () => {
    const plan = planTakeDown('band-clamp', ['impeller'], { practices: { rings: 'reuse' } })
    expect(plan.back.find(({ id }) => id === 'work:housing-o-ring:groove')?.text).toMatch(
      /new if it is not new and clean/,
    )
    expect(plan.consumables).toContainEqual({
      part: 'housing-o-ring',
      because: `${PARTS['housing-o-ring']} disturbed: only if it is not new and clean`,
    })
  })

  it('a short across a capacitor is named and not offered', () => {
    expect(Object.keys(PRACTICES.discharge.ways)).toEqual(['resistor'])
    expect(PRACTICES.discharge.note).toMatch(/burst the can/)
  })
})
