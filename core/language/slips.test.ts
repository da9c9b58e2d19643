import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { lexicon } from './lexicon'
import { deletionIndex, meantWord, nearWords, slipsBetween } from './slips'

const INDEX = deletionIndex(['impeller', 'bearing', 'shaft', 'gritty', 'clogged', 'closed', 'seal', 'worn'])

describe('a slip of the finger', () => {
  it.each([
    ['shfat', 'shaft'],
    ['impellor', 'impeller'],
    ['bering', 'bearing'],
    ['impeler', 'impeller'],
    ['cloged', 'clogged'],
    ['grity', 'gritty'],
  ])('%s was meant for %s', (typed, meant) => expect(meantWord(typed, INDEX)).toBe(meant))

  it('is not mended where two words are as near, where the word is short, or where the first letter is another', () => {
    expect(meantWord('cloed', deletionIndex(['cloned', 'closed']))).toBeUndefined()
    expect(meantWord('sel', INDEX)).toBeUndefined()
    expect(meantWord('horn', INDEX)).toBeUndefined()
  })

  it('counts letters lost, added, changed and swapped as one each', () => {
    expect(slipsBetween('shaft', 'shfat')).toBe(1)
    expect(slipsBetween('shaft', 'shft')).toBe(1)
    expect(slipsBetween('shaft', 'shaaft')).toBe(1)
    expect(slipsBetween('shaft', 'sheft')).toBe(1)
    expect(slipsBetween('', 'abc')).toBe(3)
  })

  it('is measured the same both ways, and never more than by losing one word and typing the other', () => {
    const word = fc.stringMatching(/^[a-e]{0,7}$/)
    fc.assert(
      fc.property(word, word, (a, b) => {
        expect(slipsBetween(a, b)).toBe(slipsBetween(b, a))
        expect(slipsBetween(a, b)).toBeLessThanOrEqual(Math.max(a.length, b.length))
        expect(slipsBetween(a, a)).toBe(0)
      }),
    )
  })

  it('finds by the index what trying every word finds', () => {
    const words = [...lexicon().slips.words].slice(0, 300)
    const index = deletionIndex(words)
    fc.assert(
      fc.property(fc.constantFrom(...words), fc.nat(), fc.constantFrom(...'aeiorst'), (word, at, letter) => {
        const place = 1 + (at % Math.max(1, word.length - 1))
        const typed = word.slice(0, place) + letter + word.slice(place + 1)
        const allowed = (length: number) => (length >= 8 ? 2 : length >= 4 ? 1 : 0)
        const all = words
          .filter((each) => each[0] === typed[0])
          .map((each) => ({ each, slips: slipsBetween(typed, each) }))
          .filter(({ each, slips }) => slips <= Math.min(allowed(typed.length), allowed(each.length)))
        const least = Math.min(...all.map(({ slips }) => slips))
        const nearest = all.filter(({ slips }) => slips === least).map(({ each }) => each)
        expect(nearWords(typed, index).sort()).toEqual(nearest.sort())
      }),
      { numRuns: 300 },
    )
  })
})
