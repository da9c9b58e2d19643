import { describe, expect, it } from 'vitest'
import { CEMENT_CURE } from '../knowledge/repairs/cures'
import { METRIC_READER, render, US_READER, type Telling } from '../quantity/sentence'
import { bearingFit, cementCureMinutes, conditionText, isMeasurable } from './conditions'
import { planTakeDown } from './plan'

const metric = (told?: Telling) => render(told ?? '', METRIC_READER)

describe('what the steps hang on', () => {
  it('cement cures longer in a thicker pipe and in the cold, and the last row stands for what lies beyond', () => {
    expect(cementCureMinutes({ pipeInches: 1.25, celsius: 20 })).toBe(15)
    expect(cementCureMinutes({ pipeInches: 1.5, celsius: 20 })).toBe(30)
    expect(cementCureMinutes({ pipeInches: 1.5, celsius: 4 })).toBe(60)
    expect(cementCureMinutes({ pipeInches: 12, celsius: -40 })).toBe(480)
    for (const { minutes } of CEMENT_CURE.sizes)
      expect(minutes.map((row) => row.minutes)).toEqual(minutes.map((row) => row.minutes).sort((a, b) => a - b))
    for (const celsius of [20, 10, 0]) {
      const bySize = CEMENT_CURE.sizes.map(({ upToInches }) => cementCureMinutes({ pipeInches: upToInches, celsius }))
      expect(bySize).toEqual([...bySize].sort((a, b) => a - b))
    }
  })

  it('a cold cellar keeps the water off longer, and the wait says why', () => {
    const cut = (conditions: object) =>
      planTakeDown('sump-sealed', ['pump'], { alternativesExcluded: ['check-valve'], conditions })
    expect(metric(cut({}).waits[0]?.what)).toMatch(/1.5 in at 12 °C, taken as usual/)
    const cold = cut({ pipeInches: 2, celsius: 3 })
    expect(cold.waits).toMatchObject([{ minutes: 60 }])
    expect(metric(cold.waits[0]?.what)).toBe('the cement cures: 2 in at 3 °C')
    expect(cold.minutes.p50).toBeGreaterThan(cut({}).minutes.p50 + 10)
  })

  it('another outlet height is cut or added, with its cement and its cure', () => {
    const plan = (outletHigherMm?: number) =>
      planTakeDown('sump-sealed', ['pump'], { conditions: { outletHigherMm, celsius: 20 } })
    const told = (by: number) => plan(by).work.find(({ id }) => id === 'work:pump:outlet')?.text
    expect(metric(told(38))).toMatch(/38 mm shorter: the new outlet is higher/)
    expect(metric(told(-38))).toMatch(/38 mm longer: the new outlet is lower.*a coupling and 38 mm added/)
    expect(render(told(38.1) ?? '', US_READER)).toMatch(/check valve 1.5 in shorter: the new outlet/)
    const outlet = (by: number) => plan(by).work.find(({ id }) => id === 'work:pump:outlet')
    expect([outlet(38)?.minutes, outlet(-38)?.minutes]).toEqual([10, 14])
    const materials = (by: number) =>
      plan(by).consumables.flatMap((each) => ('material' in each ? [each.material] : []))
    expect(materials(38), 'a cut wants no new pipe').not.toContain('pipe and a coupling')
    expect(materials(38)).toContain('primer and cement')
    expect(plan(-38).consumables, 'a material says what it is for').toContainEqual({
      material: 'primer and cement',
      because: 'piece between pump and check valve',
    })
    expect(plan(38).waits).toMatchObject([{ minutes: 30, after: 'work:pump:outlet' }])
    expect(plan(-38).consumables).toContainEqual(expect.objectContaining({ material: 'pipe and a coupling' }))
    for (const same of [undefined, 0]) expect(plan(same).work.map(({ id }) => id)).not.toContain('work:pump:outlet')
    expect(plan(38).minutes.p50).toBeGreaterThan(plan().minutes.p50 + 15)
  })

  it('a loose bearing is packed within the compound’s limit, and beyond it the shaft is condemned', () => {
    expect(bearingFit({})).toBe('not-measured')
    expect(bearingFit({ bearingClearanceMm: 0.003 })).toBe('snug')
    expect(bearingFit({ bearingClearanceMm: 0.1 })).toBe('compound')
    expect(bearingFit({ bearingClearanceMm: 0.16 })).toBe('renew')
    expect(bearingFit({ bearingClearanceMm: 0.05 }, { 'loose-bearing': 'renew' })).toBe('renew')
    const bench = (bearingClearanceMm: number, way = 'compound') =>
      planTakeDown('motor-bench', ['bearings'], {
        conditions: { bearingClearanceMm },
        practices: { 'loose-bearing': way },
      })
    const packed = bench(0.08)
    expect(packed.work.map(({ id }) => id)).toEqual([
      'work:bearings:pull-drive',
      'work:bearings:pull-far',
      'work:bearings:fit-check',
      'work:bearings:dry-fit',
      'work:bearings:compound',
      'work:bearings:press-drive',
      'work:bearings:press-far',
    ])
    expect(packed.waits).toMatchObject([{ minutes: 30, after: 'work:bearings:compound', closes: 'through-bolts' }])
    expect(packed.consumables).toContainEqual(expect.objectContaining({ material: 'retaining compound' }))
    expect(bench(0.3).consumables).toContainEqual({ part: 'motor', because: 'comes new with it' })
    const stop = bench(0.3).work.find(({ id }) => id === 'work:bearings:renew-shaft')?.text
    expect(metric(stop)).toMatch(/^Stop: 0.3 mm of clearance is more than the 0.1 mm a retaining compound fills; a new/)
    expect(metric(bench(0.08, 'renew').work.find(({ id }) => id === 'work:bearings:renew-shaft')?.text)).toMatch(
      /^Stop: 0.08 mm of clearance is not packed in this shop; a new shaft or motor$/,
    )
    expect(bench(0.08, 'renew').work.map(({ id }) => id)).toContain('work:bearings:renew-shaft')
    expect(packed.practices).toContain('loose-bearing')
  })

  it('one bearing is half the pulling and pressing, and says why the other stays', () => {
    const bench = (oneBearing?: boolean) => planTakeDown('motor-bench', ['bearings'], { conditions: { oneBearing } })
    expect(bench(true).work.map(({ id }) => id)).toEqual([
      'work:bearings:pull-drive',
      'work:bearings:fit-check',
      'work:bearings:press-drive',
    ])
    expect(bench(true).work[0]?.text).toMatch(/spins silent/)
    expect(bench().work.filter(({ count }) => count === 1)).toHaveLength(4)
    expect(bench(true).minutes.p50).toBeLessThan(bench().minutes.p50)
  })

  it('knows what can have been measured', () => {
    for (const [field, value] of [
      ['pipeInches', 1.5],
      ['celsius', -30],
      ['bearingClearanceMm', 0],
      ['outletHigherMm', -2000],
    ] as const)
      expect(isMeasurable(field, value), field).toBe(true)
    for (const [field, value] of [
      ['pipeInches', 0],
      ['pipeInches', 12.1],
      ['celsius', -31],
      ['celsius', NaN],
      ['bearingClearanceMm', -0.01],
      ['outletHigherMm', 2001],
    ] as const)
      expect(isMeasurable(field, value), `${field} ${value}`).toBe(false)
  })

  it('says what was measured', () =>
    expect(conditionText({ pipeInches: 1.5, celsius: 3, outletHigherMm: -20, hot: false }, { system: 'metric' })).toBe(
      'pipe 1.5 in, 3 °C, new outlet 20 mm lower, motor cool',
    ))

  it('says it in the reader’s units, the pipe by its nominal inches', () =>
    expect(
      conditionText({ pipeInches: 1.5, celsius: 3, outletHigherMm: 38.1, bearingClearanceMm: 0.05 }, US_READER),
    ).toBe('pipe 1.5 in, 37.4 °F, bearing clearance 0.00197 in, new outlet 1.5 in higher'))

  it('says each of what was said, and only that', () => {
    const said = (measured: Parameters<typeof conditionText>[0]) => conditionText(measured, METRIC_READER)
    expect(said({})).toBe('')
    expect([said({ oneBearing: true }), said({ oneBearing: false })]).toEqual(['one bearing', 'both bearings'])
    expect([said({ hot: true }), said({ hot: false })]).toEqual(['motor hot', 'motor cool'])
    expect(said({ outletHigherMm: 0 })).toBe('new outlet 0 mm higher')
    expect(said({ bearingClearanceMm: 0.1 })).toBe('bearing clearance 0.1 mm')
  })
})
