import { describe, expect, it } from 'vitest'
import { countWords, dueDay, groupLabel, isLeftByVisit, spanWords } from './due-words'

describe('what comes due, in words', () => {
  it('has the year where it is another', () => {
    expect(dueDay('2026-05-13', '2026-05-12')).toBe('Wed 13 May')
    expect(dueDay('2025-05-13', '2026-05-12')).toBe('13 May 2025')
  })
  it('counts what is expected, and between which counts it mostly is', () => {
    expect(countWords({ mean: 0.34 })).toBe('0.3')
    expect(countWords({ mean: 12.4 })).toBe('12')
    expect(spanWords({ mean: 12.4, low: 8, high: 17, share: 0.8 })).toBe('8–17')
    expect(spanWords({ mean: 0.1, low: 0, high: 0, share: 0.9 })).toBe('0')
  })
  it('names what fails by its part, else by the fault', () => {
    expect(groupLabel('run-capacitor')).toBe('run capacitor')
    expect(groupLabel('low-water')).not.toContain('-')
  })
  it('tells what a visit left from what the calendar brings', () => {
    expect(isLeftByVisit('second-look')).toBe(true)
    expect(isLeftByVisit('opening')).toBe(false)
  })
})
