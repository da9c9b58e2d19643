import { formatReading, readingUnit, shownReading } from './reading'
import { q, r, render, say } from './sentence'
import { UNIT_LABELS, type Unit } from './units'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { formatMinutes, formatNumber, formatPercent, formatQuantity, formatSeconds, formatShare } from './format'
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
    expect([0, 0.004, 0.25, 1, 1.5, 3.286].map(formatShare)).toEqual([
      '0\u00a0%',
      '0\u00a0%',
      '25\u00a0%',
      '100\u00a0%',
      '150\u00a0%',
      '329\u00a0%',
    ])
    expect([0, 0.004, 0.62, 0.995, 1].map(formatPercent)).toEqual(
      ['0', 'under 1', '62', 'over 99', '100'].map((text) => `${text}\u00a0%`),
    )
  })

  it('writes waits as a person would', () => {
    expect([3.2, 60, 130].map(formatSeconds)).toEqual(['4 s', '1 min', '2 min 10 s'])
    expect([0, 45, 95, undefined].map(formatMinutes)).toEqual(['0:00', '0:45', '1:35', '–:––'])
  })
})

describe('a reading as its reader sees it', () => {
  // NIST SP 811, appendix B: factors of conversion.
  it.each<[number, Unit, string]>([
    [40, 'psi', '275.8 kPa'],
    [20, 'inHg', '67.73 kPa'],
    [100, 'ft', '30.48 m'],
    [1.5, 'in', '38.1 mm'],
    [10, 'gpm', '0.6309 L/s'],
    [236, 'V', '236 V'],
    [0.2, 'Mohm', '0.2 MΩ'],
  ])('%s %s in a metric shop is %s', (value, unit, shown) =>
    expect(formatReading(value, unit, 'metric', 4)).toBe(shown),
  )
  it('in a US shop is as it is kept, and an open reading is open to everybody', () => {
    for (const unit of Object.keys(UNIT_LABELS) as Unit[]) {
      expect(formatReading(12, unit, 'us')).toBe(`12 ${UNIT_LABELS[unit]}`)
      expect(formatReading(null, unit, 'metric')).toBe('open')
      expect(shownReading(12, unit, 'metric').label).toBe(readingUnit(unit, 'metric'))
    }
    expect(formatReading(12, '%', 'metric')).toBe('12 %')
    expect(formatReading(12, undefined, 'us')).toBe('12')
  })
  it('stands in a sentence beside words and amounts', () => {
    const told = say`above the cut-in of ${r(40, 'psi')}, at ${q(10, 'head')}`
    expect(render(told, { system: 'us' })).toBe('above the cut-in of 40 psi, at 32.8 ft')
    expect(render(told, { system: 'metric' })).toBe('above the cut-in of 276 kPa, at 10 m')
    expect(render('words alone', { system: 'metric' })).toBe('words alone')
  })
})
