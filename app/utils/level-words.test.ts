import { describe, expect, it } from 'vitest'
import type { ArticleLevel } from '#core/shelf/levels/plan'
import { rateWords, whyLevel } from './level-words'

const about = (amount: number) => `${amount.toFixed(0)} crowns`
const money = (amount: number) => `${amount.toFixed(2)} crowns`
const LEVEL: ArticleLevel = {
  article: 'a',
  byRates: 3.04,
  perYear: 3.04,
  machines: 41,
  foreseen: 0,
  planned: 0,
  pieces: 1,
  level: 2,
  perVan: 1,
  have: 1,
  onOrder: 0,
  order: 1,
  shortNow: 0.1,
  shortAt: 0.01,
  keeping: 3.1,
}

describe('why so much is kept', () => {
  it('is said in a line: how often, on what, and both prices', () => {
    expect(whyLevel(LEVEL, { secondTrip: 173 }, money, about)).toBe(
      '3 a year on 41 machines; keeping one costs 3.10 crowns a year, a second trip 173 crowns',
    )
    expect(whyLevel({ ...LEVEL, planned: 0.64, fixed: 5, pieces: 2 }, { secondTrip: 173 }, money, about)).toBe(
      '3 a year on 41 machines, 0.64 likely in what is planned; keeping 2 costs 3.10 crowns a year, ' +
        'a second trip 173 crowns; by need it would be 2',
    )
    expect(whyLevel({ ...LEVEL, perYear: 7.8, foreseen: 1.2 }, { secondTrip: 173 }, money, about)).toMatch(
      /^3 a year on 41 machines, 1\.2 soon by their own readings; keeping one/,
    )
    expect(whyLevel({ ...LEVEL, machines: 0, byRates: 0 }, { secondTrip: 173 }, money, about)).toBe(
      'no machine that the shop knows takes it',
    )
  })
  it('rates are said as they are thought of', () => {
    expect([40.4, 3.04, 0.5, 0.04, 0.001].map(rateWords)).toEqual([
      '40 a year',
      '3 a year',
      'one in 2 years',
      'one in 25 years',
      'hardly ever',
    ])
  })
})
