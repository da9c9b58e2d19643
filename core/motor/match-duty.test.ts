import { describe, expect, it } from 'vitest'
import { render, METRIC_READER, US_READER } from '../quantity/sentence'
import { matchDuty, neededHead } from './match-duty'

/** Common practice: a pump is chosen by duty, not by horsepower. */
describe('a pump against its duty', () => {
  it('the place asks for its lift, and for the pressure where a house hangs on it', () => {
    expect(neededHead('sump', { liftMetres: 2.4 })).toBe(2.4)
    // 50 psi stand for 35.2 m of water.
    expect(neededHead('well-two-wire', { liftMetres: 30, cutOutPsi: 50 })).toBeCloseTo(65.15, 1)
    expect(neededHead('well-two-wire', { liftMetres: 30 })).toBeUndefined()
    expect(neededHead('sump', {})).toBeUndefined()
    expect(neededHead('pool', { liftMetres: 2 })).toBeUndefined()
  })

  it('reaches, just reaches, does not reach; what was not read is said', () => {
    const at = (headMetres: number, needed: number | undefined = 10) =>
      matchDuty({ flowLitresPerSecond: 0.63, headMetres }, needed).verdict
    expect([at(12), at(10.5), at(9.9)]).toEqual(['fits', 'fits-with', 'does-not'])
    expect(matchDuty({ flowLitresPerSecond: 0.63, headMetres: 12 }, undefined).verdict).toBe('not-read')
    expect(matchDuty(undefined, 10).verdict).toBe('not-read')
  })

  it('is said in the reader’s units', () => {
    const { old, new: fresh } = matchDuty({ flowLitresPerSecond: 0.6309, headMetres: 12 }, 10)
    expect(render(fresh ?? '', US_READER)).toBe('10 gpm at 39.4 ft')
    expect(render(old ?? '', METRIC_READER)).toBe('asked 10 m')
  })
})
