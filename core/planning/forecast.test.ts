import { describe, expect, it } from 'vitest'
import { FAULT_RATES } from '../knowledge/faults/fault-rates'
import { ageFactor } from '../diagnosis/model'
import { FAULT_TRAITS } from '../knowledge/faults/fault-traits'
import { MILLISECONDS_PER_YEAR } from '../quantity/conversions'
import { expectedFailures, exposed, type FleetMachine } from './exposure'
import { forecastOf } from './forecast'
import { futures, groupFactor, shopFactor } from './futures'
import { USUAL_SEASONS } from './season'

const NOW = Date.parse('2026-03-01')
const YEAR = MILLISECONDS_PER_YEAR
const SEASON = { from: NOW, to: NOW + YEAR }
const machine = (id: string, ageYears: number, own: Partial<FleetMachine> = {}): FleetMachine => ({
  id,
  pump: { kind: 'sump', construction: 'sump-sealed', nameplate: { volts: 115, motorType: 'permanent-split' } },
  installedAt: NOW - ageYears * YEAR,
  fitted: [],
  knownSince: NOW,
  ...own,
})
const expectedOf = (of: FleetMachine, stretch = SEASON) => expectedFailures(exposed(of), stretch, USUAL_SEASONS)

describe('failures that a machine leads to expect', () => {
  it('are its kind’s rates at the age that its part has in the middle of each step', () => {
    const { atYears, per1000 } = FAULT_RATES.sump
    const ofFloat = (['float-switch-failed', 'float-stuck'] as const).reduce((sum, fault) => {
      const row = { shape: FAULT_TRAITS[fault].shape, atYears }
      return sum + (((per1000[fault] as number) / 1000) * (ageFactor(row, 8.25) + ageFactor(row, 8.75))) / 2
    }, 0)
    // At the duty that the rates are for.
    const old = machine('a', 8, { pump: { ...machine('a', 8).pump, installation: { dutyHoursPerDay: 8 } } })
    expect(expectedOf(old).get('float-switch')).toBeCloseTo(ofFloat, 6)
  })
  it('begin anew with a part that was put in, and with what it brings inside', () => {
    const old = expectedOf(machine('a', 12))
    const renewed = expectedOf(machine('a', 12, { fitted: [{ part: 'motor', at: NOW - 0.1 * YEAR }] }))
    expect(renewed.get('bearings') as number).toBeLessThan((old.get('bearings') as number) / 2)
    expect(renewed.get('float-switch')).toBe(old.get('float-switch'))
  })
  it('know nothing of a part before it was put in', () => {
    const before = { from: NOW - 3 * YEAR, to: NOW - 2 * YEAR }
    expect(expectedOf(machine('a', 12, { fitted: [{ part: 'motor', at: NOW - YEAR }] }), before)).toEqual(
      expectedOf(machine('a', 12), before),
    )
  })
})

describe('a shop’s own factor', () => {
  it('stays at the tables without failures to learn from, and goes where many lie', () => {
    expect(shopFactor([]).mean).toBeCloseTo(1, 2)
    const groups = (times: number) => Array.from({ length: 12 }, () => ({ failed: 10 * times, expected: 10 }))
    expect(shopFactor(groups(1)).mean).toBeCloseTo(1, 1)
    expect(shopFactor(groups(2)).mean).toBeGreaterThan(1.7)
    expect(shopFactor(groups(0.5)).mean).toBeLessThan(0.65)
  })
  it('leaves a group what its own failures say, whatever another does', () => {
    const usual = { failed: 30, expected: 30 }
    const odd = { failed: 300, expected: 30 }
    const shop = shopFactor([odd, ...Array.from({ length: 11 }, () => usual)])
    expect(groupFactor(usual, shop)).toBeCloseTo(1, 1)
    expect(groupFactor(odd, shop)).toBeGreaterThan(9)
    expect(groupFactor({ failed: 0, expected: 0 }, shop)).toBeCloseTo(shop.mean, 6)
  })
  it('lies farther apart where groups do', () => {
    const shape = ({ cells }: ReturnType<typeof shopFactor>) =>
      cells.reduce((sum, cell) => sum + cell.shape * cell.weight, 0)
    const alike = Array.from({ length: 12 }, () => ({ failed: 30, expected: 30 }))
    const apart = alike.map(({ expected }, index) => ({ failed: index % 2 ? 90 : 5, expected }))
    expect(shape(shopFactor(apart))).toBeLessThan(shape(shopFactor(alike)) / 2)
  })
  it('leaves a span that narrows with what is known', () => {
    const width = (years: number) => {
      const seen = { failed: 20 * years, expected: 20 * years }
      const span = futures([{ group: 'g', under: ['g'], expected: 20 }], shopFactor([seen]), () => seen).get('g')
      return (span?.high as number) - (span?.low as number)
    }
    expect(width(10)).toBeLessThan(width(0) * 0.6)
  })
})

describe('the forecast', () => {
  const fleet = {
    machines: [machine('old', 14), machine('new', 0.5), machine('gone', 14, { goneAt: NOW - YEAR })],
    failures: [],
  }
  it('counts the machines that are there, and names the likeliest first', () => {
    const { machines, kinds, total, groups, atRisk } = forecastOf(fleet, SEASON, USUAL_SEASONS, NOW)
    expect(machines).toBe(2)
    expect(kinds.map(({ kind, machines: of }) => [kind, of])).toEqual([['sump', 2]])
    expect(groups.reduce((sum, { count }) => sum + count.mean, 0)).toBeCloseTo(total.mean, 9)
    expect(atRisk[0]?.machineId).toBe('old')
    expect(atRisk[0]?.probability).toBeGreaterThan((atRisk[1]?.probability ?? 0) * 1.2)
  })
  it('learns from what failed after the shop came to know a machine, and not from the call that made it known', () => {
    const known = { ...machine('old', 9), knownSince: NOW - 4 * YEAR }
    const failure = (years: number) => ({ machineId: 'old', fault: 'float-switch-failed', at: NOW - years * YEAR })
    const learnedOf = (...failures: ReturnType<typeof failure>[]) =>
      forecastOf({ machines: [known], failures }, SEASON, USUAL_SEASONS, NOW).learned
    expect(learnedOf(failure(4)).failed).toBe(0)
    expect(learnedOf(failure(4), failure(3), failure(2)).failed).toBe(2)
    expect(learnedOf(failure(3), failure(2)).factor).toBeGreaterThan(learnedOf().factor)
    expect(learnedOf().expected).toBeGreaterThan(0.5)
  })
  it('says the same at every look', () => {
    expect(forecastOf(fleet, SEASON, USUAL_SEASONS, NOW)).toEqual(forecastOf(fleet, SEASON, USUAL_SEASONS, NOW))
  })
  it('expects nothing where there are no machines', () => {
    const none = forecastOf({ machines: [], failures: [] }, SEASON, USUAL_SEASONS, NOW)
    expect(none.total).toEqual({ mean: 0, low: 0, high: 0, share: 1 })
    expect(none.atRisk).toEqual([])
  })
})
