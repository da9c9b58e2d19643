import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { formatMinutes, formatNumber, formatPercent, formatQuantity, formatSeconds } from './format'
import { readUnit } from './units'

const canonical = (value: number, spelling: string, wanted?: Parameters<typeof readUnit>[1]) => {
  const unit = readUnit(spelling, wanted)
  return unit && [unit.toCanonical(value), unit.unit]
}

describe('units as trades write them', () => {
  it.each([
    [41.2, 'uF', 41.2, 'uF'],
    [41.2, 'mfd', 41.2, 'uF'],
    [41.2, 'µF', 41.2, 'uF'],
    [41.2, 'μF', 41.2, 'uF'],
    [500, 'nF', 0.5, 'uF'],
    [238, 'V', 238, 'V'],
    [120, 'mV', 0.12, 'V'],
    [0.48, 'kV', 480, 'V'],
    [850, 'mA', 0.85, 'A'],
    [2.2, 'k', 2200, 'ohm'],
    [1.9, 'Ω', 1.9, 'ohm'],
    [20, 'M', 20, 'Mohm'],
    [0.2, 'meg', 0.2, 'Mohm'],
    [1.2, 'Gohm', 1200, 'Mohm'],
    [3, 'Mohm', 3, 'Mohm'],
  ] as const)('%s %s is %s %s', (value, spelling, expected, unit) => {
    const [got, gotUnit] = canonical(value, spelling) as [number, string]
    expect(got).toBeCloseTo(expected, 10)
    expect(gotUnit).toBe(unit)
  })

  it('brings a reading to the unit its check is kept in', () => {
    expect(canonical(200, 'k', 'Mohm')?.[0]).toBeCloseTo(0.2)
    expect(canonical(0.002, 'M', 'ohm')?.[0]).toBeCloseTo(2000)
    expect(canonical(20, 'kPa', 'psi')?.[0]).toBeCloseTo(2.9008, 3)
    expect(canonical(20, 'kPa', 'inHg')?.[0]).toBeCloseTo(5.906, 2)
    expect(canonical(1, 'bar')).toEqual([expect.closeTo(14.5038, 3), 'psi'])
    expect(canonical(3, 'mm', 'in')?.[0]).toBeCloseTo(0.11811, 5)
    expect(canonical(77, '°F')).toEqual([expect.closeTo(25, 6), 'celsius'])
    expect(canonical(10, 'L/s')?.[0]).toBeCloseTo(158.5, 1)
    expect(canonical(1, 'm3/h')?.[0]).toBeCloseTo(4.4029, 3)
  })

  it('never guesses between milliohm and megohm, and knows no unit that is not there', () => {
    expect(readUnit('mΩ')).toBeUndefined()
    expect(readUnit('furlong')).toBeUndefined()
  })
})

describe('numbers as people read them', () => {
  it('keeps three figures and no noise', () => {
    expect([41.2345, 0.0213, 236, 28.2, 1500, 0].map((value) => formatNumber(value))).toEqual([
      '41.2',
      '0.0213',
      '236',
      '28.2',
      '1500',
      '0',
    ])
    expect(formatQuantity(null, 'ohm')).toBe('open')
    expect(formatQuantity(27, 'uF')).toBe('27 μF')
  })

  it('never writes exponents and never loses more than half a percent', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-3, max: 1e6, noNaN: true }), (value) => {
        const text = formatNumber(value)
        expect(text).not.toMatch(/e/i)
        expect(Math.abs(Number(text) - value)).toBeLessThanOrEqual(value * 0.005)
      }),
    )
  })

  it('keeps the ends of a probability honest', () => {
    expect([0, 0.004, 0.62, 0.995, 1].map(formatPercent)).toEqual(
      ['0', 'under 1', '62', 'over 99', '100'].map((text) => `${text}\u00a0%`),
    )
  })

  it('writes waits as a person would', () => {
    expect([3.2, 60, 130].map(formatSeconds)).toEqual(['4 s', '1 min', '2 min 10 s'])
    expect([0, 45, 95].map(formatMinutes)).toEqual(['0:00', '0:45', '1:35'])
  })
})
