import { describe, expect, it } from 'vitest'
import type { DiagnosisCase } from '../diagnosis/finding'
import { DEFAULT_RATES } from '../knowledge/rates'
import { orderDay, nextVisit, type DayVisit } from '../planning/day'
import { prepare } from '../planning/preparation'
import { optionsFor } from './options'

const humming: DiagnosisCase = { pump: { kind: 'pool', construction: 'band-clamp', ageYears: 9, nameplate: { volts: 230, motorType: 'permanent-split', horsepower: 1, runCapacitorMicrofarads: 30, runCapacitorVolts: 370 } }, complaints: ['hums-no-start'] }
const settled: DiagnosisCase = { ...humming, findings: [{ check: 'supply-voltage', value: 236 }, { check: 'shaft-turn', outcome: 'free' }, { check: 'capacitance', part: 'run-capacitor', value: 27 }] }

describe('options side by side', () => {
  const options = optionsFor(settled, DEFAULT_RATES)

  it('puts the cheap cure first and the whole pump last, with parts, minutes and price', () => {
    expect(options[0]).toMatchObject({ id: 'replace-run-capacitor', minutes: 15, parts: [{ label: 'run capacitor 30 μF, 370 V or more' }] })
    expect(options.map(({ id }) => id)).toContain('swap-motor')
    expect(options.map(({ expectedCost }) => expectedCost)).toEqual([...options.map(({ expectedCost }) => expectedCost)].sort((a, b) => a - b))
  })

  it('adds to the price what being wrong is expected to cost', () => {
    for (const { price, expectedCost, chanceRight, partsPrice, labourPrice } of options) {
      expect(partsPrice + labourPrice).toBeCloseTo(price)
      if (chanceRight < 0.999) expect(expectedCost).toBeGreaterThan(price)
    }
    const [early, late] = [optionsFor(humming, DEFAULT_RATES), options].map((list) => list.find(({ id }) => id === 'replace-run-capacitor'))
    expect((early?.expectedCost ?? 0) - (early?.price ?? 0)).toBeGreaterThan((late?.expectedCost ?? 0) - (late?.price ?? 0))
  })

  it('follows the shop’s own rates', () => {
    const dear = optionsFor(settled, { ...DEFAULT_RATES, hourly: 192 })[0]
    expect(dear?.labourPrice).toBeCloseTo((options[0]?.labourPrice ?? 0) * 2)
  })

  it('offers to send back only what is under warranty', () => {
    const worn: DiagnosisCase = { pump: { ...humming.pump, ageYears: 1 }, complaints: ['noise-grind'], findings: [{ check: 'shaft-turn', outcome: 'gritty' }] }
    const has = (input: DiagnosisCase) => optionsFor(input, DEFAULT_RATES).some(({ id }) => id === 'return-under-warranty')
    expect(has(worn)).toBe(false)
    expect(has({ ...worn, pump: { ...worn.pump, underWarranty: true } })).toBe(true)
  })

  it('is empty where causes are not ranked', () => expect(optionsFor({ pump: { kind: 'jet', nameplate: { volts: 230 } } }, DEFAULT_RATES)).toEqual([]))
})

describe('loading the van', () => {
  it('ties each part to its suspect, the capacitor by its rating', () => {
    const { parts, tools, suspects } = prepare(humming)
    expect(suspects[0]?.fault).toBe('run-capacitor-failed')
    expect(parts[0]).toMatchObject({ label: 'run capacitor 30 μF, 370 V or more', fault: 'run-capacitor-failed' })
    expect(tools.map(({ label }) => label)).toEqual(expect.arrayContaining(['meter', 'megohmmeter', 'bleed resistor 20 kΩ 5 W']))
  })

  it('brings the right seal set and both O-rings for a drip', () => {
    expect(prepare({ ...humming, complaints: ['leak-under-motor'] }).parts.map(({ id }) => id)).toEqual(expect.arrayContaining(['part:shaft-seal', 'part:housing-o-ring', 'part:diffuser-o-ring']))
  })

  it('leaves what is measured on site out of it', () => expect(prepare(settled).suspects).toEqual(prepare(humming).suspects))

  it('loads the usual tools for a kind that is not ranked', () => expect(prepare({ pump: { kind: 'jet', nameplate: { volts: 230 } } })).toMatchObject({ ranked: false, parts: [] }))
})

describe('the day', () => {
  const visit = (id: string, scheduledAt: string, done: boolean) => ({ id, scheduledAt, done }) as DayVisit
  it('goes by time, and lights the first that is not handed over', () => {
    const day = [visit('b', '2026-05-12T10:00:00Z', false), visit('a', '2026-05-12T07:30:00Z', true), visit('c', '2026-05-11T15:00:00Z', false)]
    expect(orderDay(day).map(({ id }) => id)).toEqual(['c', 'a', 'b'])
    expect(nextVisit(day)?.id).toBe('c')
    expect(nextVisit([day[1] as DayVisit])).toBeUndefined()
  })
})
