import { describe, expect, it } from 'vitest'
import { checkInfo } from '../../knowledge/checks/checks'
import { FORESEEN } from '../../knowledge/shelf/keeping'
import { foreseenWithin, type ForeseenEnd } from './foreseen'

const day = (iso: string) => Date.parse(iso)
const SEASON = { from: day('2026-05-01'), to: day('2026-07-30') }
const chance = (end: Omit<ForeseenEnd, 'check' | 'part'>) =>
  foreseenWithin([{ check: 'capacitance', part: 'run-capacitor', ...end }], SEASON).get('run-capacitor') ?? 0

describe('how likely a part is wanted by what its machine’s readings say', () => {
  it('is even where the line meets its limit at the end of the season', () => {
    expect(chance({ on: '2026-07-30', earliest: '2026-06-01', latest: '2026-10-01' })).toBeCloseTo(0.5, 6)
  })

  it('follows the band: its edges hold nine of ten to one side (80 % lie within)', () => {
    expect(chance({ on: '2026-06-15', earliest: '2026-05-20', latest: '2026-07-30' })).toBeCloseTo(0.9, 3)
    expect(chance({ on: '2026-12-01', earliest: '2026-07-30', latest: '2027-09-01' })).toBeCloseTo(0.1, 3)
  })

  it('without a band half the time until then is the spread; what should be there by now is nearly sure', () => {
    // Ninety days on, forty-five days’ spread: one standard deviation before the season’s end is 84 %.
    expect(chance({ on: '2026-06-30' })).toBeCloseTo(0.841, 3)
    expect(chance({ on: '2026-04-01' })).toBe(1)
    expect(chance({ on: '2028-05-01' })).toBeLessThan(0.05)
  })

  it('what stands past its limit is wanted as likely as not; of two lines of one part the nearer counts', () => {
    expect(chance({})).toBe(0.5)
    const worn = { check: 'impeller-gap', part: 'impeller' as const }
    const both = foreseenWithin([worn, { ...worn, on: '2026-05-02', latest: '2026-05-09' }], SEASON)
    expect(both.get('impeller')).toBeGreaterThan(0.99)
    expect(foreseenWithin([{ check: 'capacitance', on: '2026-05-02' }], SEASON).size).toBe(0)
  })

  it('what is set, filled or falls around a part wants no new one', () => {
    const around = ['tank-precharge', 'static-water-level', 'cut-in', 'supply-voltage', 'winding-resistance']
    expect(
      foreseenWithin(
        around.map((check) => ({ check, part: 'pump' as const })),
        SEASON,
      ).size,
    ).toBe(0)
    for (const check of [...FORESEEN.checks, ...around]) expect(checkInfo(check), check).toBeDefined()
  })
})
