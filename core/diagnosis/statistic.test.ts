import { describe, expect, it } from 'vitest'
import type { Statistic } from '../knowledge/faults/model-types'
import { completePlate, type Pump } from '../motor/nameplate'
import { batteryCells, plainBand, shutoffPsi } from './expected-reading'
import { statisticScale } from './statistic'

const pool: Pump = {
  kind: 'pool',
  nameplate: {
    volts: 230,
    motorType: 'capacitor-start-run',
    fullLoadAmps: 9,
    serviceFactorAmps: 12,
    runCapacitorMicrofarads: 40,
    startCapacitorMicrofarads: [100, 120],
    runWindingOhms: [2, 4],
  },
}
const well: Pump = {
  kind: 'well-three-wire',
  nameplate: { volts: 230 },
  installation: {
    wellDepthMetres: 61,
    liftMetres: 10,
    pumpCurve: [
      { flowLitresPerSecond: 0, headMetres: 60 },
      { flowLitresPerSecond: 1, headMetres: 40 },
    ],
  },
}
const of = (statistic: Statistic, pump: Pump, more: object = {}) =>
  statisticScale({ check: 'supply-voltage', statistic, ...more }, completePlate(pump), pump)

describe('the number that a reading is judged by', () => {
  it.each<[Statistic, Pump, number, number, number, number]>([
    ['supply-ratio', pool, 207, 0.9, 0.9, 1.1],
    ['load-ratio', pool, 4.5, 0.5, 2 / 3, 12 / 9],
    ['run-capacitor-ratio', pool, 30, 0.75, 0.94, 1.06],
    ['start-capacitor-ratio', pool, 50, 0.5, 1, 1.2],
    ['run-winding-ratio', pool, 6, 2, 2 / 3, 4 / 3],
    ['log-megohms', pool, 1000, 3, Math.log10(5), Math.log10(20)],
    ['cut-in-gap', well, 33, 3, -3, 3],
    ['cut-out-gap', well, 45, -5, -3, 3],
    ['precharge-gap', well, 28, 0, -3, 3],
    ['log-seconds', well, 100, 2, 1.2, 3],
    ['shutoff-ratio', well, 50 * 1.4223, 1, 0.85, 1.1],
    ['water-over-intake', well, 100, (61 - 30.48) / 61, 0.08, 1],
    ['battery-cell', pool, 12.6, 2.1, 1.95, 2.05],
  ])('%s', (statistic, pump, value, expected, low, high) => {
    const scale = of(statistic, pump)!
    expect(scale.from(value)).toBeCloseTo(expected, 6)
    expect(scale.back(scale.from(value))).toBeCloseTo(value, 6)
    expect([scale.low, scale.high]).toEqual([expect.closeTo(low, 6), expect.closeTo(high, 6)])
  })
  it('is none where the machine has nothing to compare with', () => {
    for (const statistic of [
      'cut-in-gap',
      'cut-out-gap',
      'precharge-gap',
      'shutoff-ratio',
      'water-over-intake',
    ] as const)
      expect(of(statistic, pool), statistic).toBeUndefined()
    const split: Pump = { ...pool, nameplate: { volts: 230, motorType: 'split-phase' } }
    expect(of('run-capacitor-ratio', split)).toBeUndefined()
  })
  it('of insulation is brought to 40 °C on a surface motor alone, and is never less than a kilohm', () => {
    const surface = of('log-megohms', pool)!
    expect(surface.from(400, { check: 'insulation-resistance', celsius: 20 })).toBeCloseTo(2, 9)
    expect(surface.from(0)).toBeCloseTo(-3, 9)
    const below = of('log-megohms', well, { setup: 'motor-and-cable' })!
    expect(below.from(100, { check: 'insulation-resistance', celsius: 20 })).toBeCloseTo(2, 9)
    expect(below.low).toBeCloseTo(Math.log10(0.5), 9)
  })
  it('of a winding has the copper at 20 °C', () => {
    const scale = of('run-winding-ratio', pool)!
    expect(scale.from(3 * (1 + 0.00393 * 40), { check: 'winding-resistance', celsius: 60 })).toBeCloseTo(1, 9)
    expect(scale.bandSd).toBeCloseTo(1 / 3 / 1.8, 9)
    const narrow = of('run-winding-ratio', { ...pool, nameplate: { ...pool.nameplate, runWindingOhms: [3, 3] } })!
    expect(narrow.bandSd, 'never sharper than the meter').toBe(0.04)
  })
  it('of a short cycle is never less than half a second', () =>
    expect(of('log-seconds', well)!.from(0)).toBeCloseTo(Math.log10(0.5), 9))
  it('is the reading itself against a plain band', () => {
    const scale = statisticScale({ check: 'suction-vacuum', statistic: 'plain' }, completePlate(pool), pool)!
    expect([scale.from(5), scale.back(5), scale.low, scale.high]).toEqual([5, 5, 1, 12])
  })
})

describe('what a reading should be', () => {
  it('with the outlet shut: the highest head less the lift', () => {
    expect(shutoffPsi(well)).toBeCloseTo(50 * 1.4223, 9)
    expect(shutoffPsi({ installation: { ...well.installation, liftMetres: 60 } })).toBeUndefined()
    expect(shutoffPsi({ installation: { pumpCurve: [] } })).toBeUndefined()
    expect(shutoffPsi({})).toBeUndefined()
  })
  it('of a battery: six cells up to 18 V', () =>
    expect([0, 12.6, 18, 18.1, 25].map(batteryCells)).toEqual([6, 6, 6, 12, 12]))
  it('by the table where it asks nothing of the machine but its kind', () => {
    // 5 ft of lift reads about 6 inHg, a two-pipe jet near nothing; with no lift known, the usual one.
    const jet = (liftMetres?: number) => plainBand('suction-vacuum', { kind: 'jet', installation: { liftMetres } })
    const middle = (lift?: number) => ((jet(lift)?.low ?? 0) + (jet(lift)?.high ?? 0)) / 2
    expect(middle(1.524)).toBeCloseTo(6, 0)
    expect(jet(15)).toMatchObject({ low: 0, high: 6 })
    expect((jet()?.high ?? 0) - (jet()?.low ?? 0)).toBeGreaterThan((jet(4)?.high ?? 0) - (jet(4)?.low ?? 0))
    expect(plainBand('suction-vacuum', pool)).toMatchObject({ low: 1, high: 12 })
    expect(plainBand('filter-pressure', pool)).toMatchObject({ high: 25 })
    expect(plainBand('supply-voltage', pool)).toBeUndefined()
    for (const check of ['shaft-height', 'end-play', 'shaft-runout'])
      expect(plainBand(check, pool)?.high).toBeGreaterThan(0)
  })
})
