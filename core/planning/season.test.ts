import { describe, expect, it } from 'vitest'
import { comingSeason, runningYears, seasonDues, USUAL_SEASONS } from './season'

const SOUTH = { opening: '10-15', closing: '04-01', thaw: '09-01' }
const at = (day: string) => Date.parse(day)
const iso = ({ from, to }: { from: number; to: number }) =>
  [from, to].map((each) => new Date(each).toISOString().slice(0, 10))

describe('the coming season', () => {
  it('is the one that is under way, else the next', () => {
    expect(iso(comingSeason(USUAL_SEASONS, '2026-02-10'))).toEqual(['2026-04-15', '2026-10-01'])
    expect(iso(comingSeason(USUAL_SEASONS, '2026-07-10'))).toEqual(['2026-07-10', '2026-10-01'])
    expect(iso(comingSeason(USUAL_SEASONS, '2026-11-28'))).toEqual(['2027-04-15', '2027-10-01'])
  })
  it('closes in the next year south of the line', () => {
    expect(iso(comingSeason(SOUTH, '2026-01-10'))).toEqual(['2026-01-10', '2026-04-01'])
    expect(iso(comingSeason(SOUTH, '2026-06-10'))).toEqual(['2026-10-15', '2027-04-01'])
  })
})

describe('what a machine runs of its year', () => {
  it('is all of it in a season where it stands outdoors, and none of it in winter', () => {
    const season = { from: at('2026-04-15'), to: at('2026-10-01') }
    expect(runningYears('pool', season, USUAL_SEASONS)).toBeCloseTo(1, 6)
    expect(runningYears('pool', { from: at('2025-11-01'), to: at('2026-03-01') }, USUAL_SEASONS)).toBe(0)
    expect(runningYears('pool', { from: at('2023-01-01'), to: at('2026-01-01') }, USUAL_SEASONS)).toBeCloseTo(3, 6)
    expect(runningYears('pool', { from: at('2025-10-15'), to: at('2026-04-01') }, SOUTH)).toBeCloseTo(1, 6)
  })
  it('is the year’s own share for what runs all year', () => {
    expect(runningYears('sump', { from: at('2026-01-01'), to: at('2026-07-02') }, USUAL_SEASONS)).toBeCloseTo(0.498, 3)
    expect(runningYears('jet', { from: 5, to: 5 }, USUAL_SEASONS)).toBe(0)
  })
})

describe('the year’s round', () => {
  it('comes due by the kind, on the shop’s own day', () => {
    const asked = { today: '2026-03-20', until: '2026-05-01' }
    expect(seasonDues('pool', asked, USUAL_SEASONS)).toEqual([{ job: 'opening', on: '2026-04-15' }])
    expect(seasonDues('pool', asked, { ...USUAL_SEASONS, opening: '05-10' })).toEqual([])
    expect(seasonDues('sump', asked, USUAL_SEASONS)).toEqual([{ job: 'thaw', on: '2026-03-01' }])
    expect(seasonDues('well-two-wire', asked, USUAL_SEASONS)).toEqual([])
  })
  it('is served by a visit in the weeks about its day, and by none before them', () => {
    const asked = { today: '2026-05-12', until: '2026-06-12' }
    expect(seasonDues('pool', { ...asked, visited: '2026-03-20' }, USUAL_SEASONS)).toEqual([])
    expect(seasonDues('pool', { ...asked, visited: '2025-09-28' }, USUAL_SEASONS)).toHaveLength(1)
  })
  it('is not asked for any more once its time is over', () => {
    expect(seasonDues('pool', { today: '2026-06-20', until: '2026-07-20' }, USUAL_SEASONS)).toEqual([])
  })
})
