import { describe, expect, it } from 'vitest'
import { SHELVES } from '../knowledge/shop/shelves'
import { PARTS } from '../knowledge/vocabulary'
import { enough, morningLoad, type DayLoadOf } from './morning'

const part = (id: string, probability: number, label = id): DayLoadOf['parts'][number] => ({
  id: `part:${id}`,
  label,
  kind: 'part',
  fault: '',
  because: 'why',
  probability,
})
const meter: DayLoadOf['tools'][number] = {
  id: 'tool:meter',
  label: 'meter',
  kind: 'tool',
  fault: '',
  because: 'every visit',
  probability: 1,
}
const of = (parts: DayLoadOf['parts'], loaded: string[] = []): DayLoadOf => ({ parts, tools: [meter], loaded })

describe('what is loaded for a day', () => {
  it('is shared and summed: a tool once, of a part as many as are enough on nine days of ten', () => {
    const things = morningLoad({
      a: of([part('shaft-seal', 0.5), part('impeller', 1)]),
      b: of([part('shaft-seal', 0.5)]),
      c: of([part('shaft-seal', 0.5)]),
    })
    expect(things.map(({ label, count, shelf }) => [label, count, shelf])).toEqual([
      ['shaft-seal', 3, 'B'],
      ['impeller', 1, 'G'],
      ['meter', 1, ''],
    ])
    expect(things[0]?.wanted.map(({ visitId }) => visitId)).toEqual(['a', 'b', 'c'])
  })

  it('keeps two ratings of one part apart, and is in the van once it is in for every visit', () => {
    const things = morningLoad({
      a: of([part('run-capacitor', 1, 'run capacitor 30 µF')], ['part:run-capacitor', 'tool:meter']),
      b: of([part('run-capacitor', 1, 'run capacitor 45 µF')]),
    })
    expect(things.map(({ label, isLoaded }) => [label, isLoaded])).toEqual([
      ['run capacitor 30 µF', true],
      ['run capacitor 45 µF', false],
      ['meter', false],
    ])
  })

  it('reckons with each visit’s own chance', () => {
    // Two of ten per cent: none 0.81, at most one 0.99. Three halves: at most two 0.875, three 1.
    expect(enough([0.1, 0.1])).toBe(1)
    expect(enough([0.5, 0.5, 0.5])).toBe(3)
    expect(enough([1, 1, 0.05])).toBe(2)
    expect(enough([0.01])).toBe(1)
  })

  it('has each part on one shelf', () => {
    const shelved = SHELVES.flatMap(({ parts }) => parts)
    expect(new Set(shelved).size).toBe(shelved.length)
    for (const id of shelved) expect(PARTS).toHaveProperty(id)
  })
})
