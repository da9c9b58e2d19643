import { describe, expect, it } from 'vitest'
import type { Article } from '#core/fits/article'
import type { Lying, VanLoad } from '#core/shelf/lying'
import { loadWords } from './shelf-words'

const lying = (name: string): Lying => ({
  article: { id: name, name, spec: {} } as Article,
  verdict: 'fits',
  needs: [],
  places: [],
})
const LOAD: VanLoad = { inVan: 0, here: [], bring: [], elsewhere: [], missing: 0 }
const NAMES: Readonly<Record<string, string>> = { 'bay:a': 'bay A', 'van:two': 'the small van' }
const words = (load: Partial<VanLoad>) => loadWords({ ...LOAD, ...load }, (place) => NAMES[place] ?? place)

describe('what is said of a thing to be loaded', () => {
  it('is what is in the van, and what comes from where', () => {
    expect(words({ inVan: 2 })).toBe('2 in the van')
    expect(words({ inVan: 1, bring: [{ lying: lying('6203 2RS'), from: 'bay:a', count: 1 }] })).toBe(
      '1 in the van, 1 from bay A: 6203 2RS',
    )
  })

  it('is what is short, and who else has it; never another van’s while there is enough', () => {
    const elsewhere = [{ lying: lying('6203 2RS'), place: 'van:two' as const, count: 4 }]
    expect(words({ elsewhere, missing: 2 })).toBe('4 in the small van, 2 short')
    expect(words({ inVan: 2, elsewhere })).toBe('2 in the van')
    expect(words({ missing: 2 })).toBe('none on the shelves')
  })
})
