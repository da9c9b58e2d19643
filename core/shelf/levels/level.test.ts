import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { KEEPING, LEAD, RATE_SPREAD } from '../../knowledge/shelf/keeping'
import { chanceOfMore, spreadOfProduct, usesChances } from './demand'
import { bestLevel, chanceShort, timesWithin, type LevelGrounds } from './level'

const SEAL: LevelGrounds = {
  perYear: 6,
  planned: [],
  pieces: 1,
  price: 15,
  secondTrip: 170,
  lead: { days: 4, spreadDays: 2 },
  vans: 1,
}

describe('what is asked for while a delivery is under way', () => {
  it('has the mean and the spread that it was made of', () => {
    const chances = usesChances({ mean: 2, spread: 0.5, planned: [0.25, 0.5] })
    const moment = (power: number) => chances.reduce((sum, chance, count) => sum + chance * count ** power, 0)
    expect(chances.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 7)
    expect(moment(1)).toBeCloseTo(2.75, 6)
    // Of a gamma-Poisson the variance is m + (m s)²; of each planned one p (1 - p).
    expect(moment(2) - moment(1) ** 2).toBeCloseTo(2 + 1 + 0.1875 + 0.25, 5)
  })

  it('is the Poisson law where the rate is known, nothing where nothing comes', () => {
    expect(usesChances({ mean: 1.5, spread: 0, planned: [] })[2]).toBeCloseTo((Math.exp(-1.5) * 1.5 ** 2) / 2, 12)
    expect(usesChances({ mean: 0, spread: 1, planned: [] })).toEqual([1])
    expect(chanceOfMore([0.5, 0.5], 1)).toBe(0)
    expect(spreadOfProduct(0.3, 0)).toBeCloseTo(0.3, 12)
  })
})

describe('how much to keep', () => {
  it('nothing costs less than the level: tried one by one', () => {
    const costOf = (grounds: LevelGrounds, uses: number) => {
      const days = grounds.lead.days + LEAD.reviewDays
      const chances = usesChances({
        mean: (grounds.perYear * days) / 365,
        spread: spreadOfProduct(RATE_SPREAD, grounds.lead.spreadDays / days),
        planned: grounds.planned,
      })
      const keeping = (bestLevel(grounds).keeping * days) / 365
      return chances.reduce(
        (sum, chance, count) =>
          sum + chance * (Math.max(0, count - uses) * grounds.secondTrip + Math.max(0, uses - count) * keeping),
        0,
      )
    }
    fc.assert(
      fc.property(
        fc.record({
          perYear: fc.double({ min: 0.01, max: 80, noNaN: true }),
          planned: fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 4 }),
          price: fc.double({ min: 0.5, max: 800, noNaN: true }),
          secondTrip: fc.double({ min: 40, max: 400, noNaN: true }),
          days: fc.integer({ min: 1, max: 30 }),
        }),
        ({ days, ...drawn }) => {
          const grounds = { ...SEAL, ...drawn, lead: { days, spreadDays: days / 2 } }
          const { level, perVan } = bestLevel(grounds)
          const least = Array.from({ length: KEEPING.mostUses + 1 }, (_, uses) => costOf(grounds, uses))
          // Where the van wants more than the shop by itself, the van decides.
          if (level > perVan) expect(costOf(grounds, level)).toBeLessThanOrEqual(Math.min(...least) + 1e-6)
        },
      ),
      { numRuns: 300 },
    )
  })

  it('grows with the need, the price of a second trip and the time of a delivery, and falls with its price', () => {
    const level = (change: Partial<LevelGrounds>) => bestLevel({ ...SEAL, ...change }).level
    expect(level({ perYear: 60 })).toBeGreaterThan(level({}))
    expect(level({ lead: { days: 40, spreadDays: 20 } })).toBeGreaterThan(level({}))
    expect(level({ secondTrip: 800 })).toBeGreaterThanOrEqual(level({}))
    expect(level({ price: 900, perYear: 0.3 })).toBe(0)
    expect(level({ perYear: 0.3 })).toBe(1)
    expect(level({ perYear: 0.001 })).toBe(0)
  })

  it('a planned visit that likely takes it wants it there, and a pair is kept as a pair, in each van', () => {
    expect(bestLevel({ ...SEAL, perYear: 0, planned: [0.6] }).level).toBe(1)
    expect(bestLevel({ ...SEAL, perYear: 0, planned: [0.001], price: 300 }).level).toBe(0)
    expect(bestLevel({ ...SEAL, pieces: 2, vans: 3 })).toMatchObject({ perVan: 2, level: 6 })
  })

  it('what may not lie long is kept the less', () => {
    const rare = { ...SEAL, perYear: 0.12, price: 40 }
    expect(bestLevel(rare).level).toBe(1)
    expect(bestLevel({ ...rare, shelfMonths: 12 }).level).toBe(0)
  })

  it('whoever comes finds nothing where nothing lies, and the seldomer the more there is', () => {
    expect(chanceShort(SEAL, 0)).toBe(1)
    expect(chanceShort(SEAL, 1)).toBeLessThan(0.2)
    expect(chanceShort(SEAL, 2)).toBeLessThan(chanceShort(SEAL, 1))
    expect(chanceShort({ ...SEAL, pieces: 2 }, 1)).toBe(1)
  })

  it('where no more money may lie, what saves least for its money is left out', () => {
    const all = [
      { ...SEAL, price: 15 },
      { ...SEAL, price: 400, perYear: 3 },
      { ...SEAL, price: 60, perYear: 2 },
    ]
    const levels = (times: number) => all.map((grounds) => bestLevel({ ...grounds, keepingTimes: times }).level)
    const tied = (times: number) =>
      levels(times).reduce((sum, level, index) => sum + level * (all[index]?.price ?? 0), 0)
    expect(timesWithin(1e6, tied)).toBe(1)
    const times = timesWithin(200, tied)
    expect(tied(times)).toBeLessThanOrEqual(200)
    expect(levels(times)[0]).toBeGreaterThan(0)
    expect(levels(times)[1]).toBe(0)
    expect(levels(1)[1]).toBeGreaterThan(0)
  })
})
