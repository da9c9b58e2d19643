import { describe, expect, it } from 'vitest'
import { lockedRotorRange, tableFullLoadAmps } from './motor-table'

describe('full-load amps (NEC table 430.248 and 430.250, from memory)', () => {
  it.each<[number, number, 1 | 3, number, boolean]>([
    [1, 230, 1, 8, true],
    [1, 240, 1, 8, true],
    [1, 220, 1, 8, true],
    [1, 110, 1, 16, true],
    [1, 115, 1, 16, true],
    [1, 120, 1, 16, true],
    [1, 208, 1, 8.8, true],
    [1, 200, 1, 9.2, true],
    [10, 230, 1, 50, true],
    [0.166, 230, 1, 2.2, true],
    [1.005, 230, 1, 8, true],
    [1, 230, 3, 4.2, true],
    [0.5, 230, 3, 2.2, true],
    [10, 208, 3, 30.8, true],
    // Not in the table: volts inversely, horsepower by a straight line between its rows.
    [1, 460, 1, 4, false],
    [1, 121, 1, (8 * 230) / 121, false],
    [1.25, 230, 1, 9, false],
    [0.6, 230, 1, 5.7, false],
    [0.17, 230, 1, 2.2, true],
    [0.2, 230, 1, 2.2 + (0.7 * (0.2 - 1 / 6)) / (1 / 4 - 1 / 6), false],
    [4, 115, 1, 45, false],
    [4, 230, 3, 12.4, false],
  ])('%d hp at %d V on %d phase', (horsepower, volts, phases, amps, tabulated) => {
    const found = tableFullLoadAmps(horsepower, volts, phases)
    expect(found.amps).toBeCloseTo(amps, 9)
    expect(found.tabulated).toBe(tabulated)
  })
  it('has no rows beyond its ends', () => {
    for (const horsepower of [0.16, 10.1, 0])
      expect(() => tableFullLoadAmps(horsepower, 230, 1)).toThrow(/0.17 to 10 hp/)
    expect(() => tableFullLoadAmps(0.4, 230, 3)).toThrow(/0.50 to 10 hp/)
  })
})

describe('code letters (NEC table 430.7(B), from memory)', () => {
  it('gives kVA a horsepower, and the amps that follow on one phase and on three', () => {
    expect(lockedRotorRange('K', 2, 230, 1)).toEqual({
      low: 8,
      below: 9,
      lowAmps: expect.closeTo(16_000 / 230, 9),
      highAmps: expect.closeTo(18_000 / 230, 9),
    })
    expect(lockedRotorRange(' k ', 2, 230, 3).lowAmps).toBeCloseTo(16_000 / (230 * 1.7320508), 4)
  })
  it('has no upper end at its last letter, and no letter that the table has not', () => {
    expect(lockedRotorRange('V', 1, 230, 1)).toEqual({ low: 22.4, lowAmps: expect.closeTo(97.391, 3) })
    for (const letter of ['I', '', 'KK']) expect(() => lockedRotorRange(letter, 1, 230, 1)).toThrow(/one of A, B, C/)
  })
})
