import { describe, expect, it } from 'vitest'
import { DUE_DAYS, pumpQuery } from './pump-query'

describe('a search as it is typed', () => {
  it.each([
    ['weir', ['weir'], {}],
    ['weir tired', ['weir'], { verdict: 'tired' }],
    ['due pool', ['pool'], { dueWithin: DUE_DAYS }],
    ['over 8 years', [], { overYears: 8 }],
    ['Not checked sump', ['sump'], { verdict: 'none' }],
    ['retired weir', ['weir'], { retired: true }],
    ['"failed" seal', ['failed', 'seal'], {}],
    ['residue', ['residue'], {}],
    ['0.2 meg', ['0.2', 'meg'], {}],
    ['', [], {}],
  ])('%s', (text, words, filter) => expect(pumpQuery(text)).toEqual({ words, filter }))
})
