import { describe, expect, it } from 'vitest'
import { capacitorBand, capacitorBleed, judgeCapacitance } from './capacitor'
import { inParallel, inSeries, seriesVolts, substitutes } from './capacitor-stock'

describe('a run capacitor of 40 μF ±6 %', () => {
  const band = capacitorBand('run', 40)
  it.each([
    [1.9, 'failed', 'reads next to nothing: open'],
    [2, 'failed', '95 % under 40 μF, outside 37.6 to 42.4 μF'],
    [37, 'failed', '7.5 % under 40 μF, outside 37.6 to 42.4 μF'],
    [38.4, 'tired', 'inside 37.6 to 42.4 μF, 4 % under: near the end of its life'],
    [38.5, 'sound', 'inside 37.6 to 42.4 μF'],
    [42, 'sound', 'inside 37.6 to 42.4 μF'],
    [43, 'failed', '7.5 % over 40 μF, outside 37.6 to 42.4 μF'],
    [120, 'failed', '200 % over 40 μF, outside 37.6 to 42.4 μF'],
    [121, 'failed', 'far over its rating: shorted, or not the part on the can'],
  ])('at %d μF is %s', (value, verdict, because) => {
    const judged = judgeCapacitance('run', band, value)
    expect(judged).toMatchObject({ subject: 'run capacitor', value, unit: 'uF', verdict, because })
    expect([judged.low, judged.high]).toEqual([expect.closeTo(37.6, 9), expect.closeTo(42.4, 9)])
    expect(judged.basis.name).toContain('printed tolerance')
  })
  it('has the printed tolerance where there is one, also on a start type', () => {
    expect(capacitorBand('run', 40, 10)).toEqual({
      ratedMicrofarads: 40,
      lowMicrofarads: 36,
      highMicrofarads: expect.closeTo(44, 9),
    })
    expect(capacitorBand('start', 100, 5)).toMatchObject({ lowMicrofarads: 95, highMicrofarads: 105 })
  })
  it('of a start type reads −0/+20 % of its lower figure, or its printed range', () => {
    expect(capacitorBand('start', 161)).toEqual({
      ratedMicrofarads: 161,
      lowMicrofarads: 161,
      highMicrofarads: expect.closeTo(193.2),
    })
    expect(capacitorBand('start', [161, 193])).toEqual({
      ratedMicrofarads: 161,
      lowMicrofarads: 161,
      highMicrofarads: 193,
    })
    expect(judgeCapacitance('start', capacitorBand('start', [161, 193]), 149).verdict).toBe('failed')
  })
  it('of a start type is nowhere tired, and rests on its own rule', () => {
    const judged = judgeCapacitance('start', capacitorBand('start', [161, 193]), 161)
    expect(judged).toMatchObject({ verdict: 'sound', subject: 'start capacitor' })
    expect(judged.basis.name).toContain('start type')
  })
})

describe('bleeding a capacitor', () => {
  it('takes RC·ln(V/Vsafe), holds CV²/2 and begins with V²/R', () => {
    // 50 μF at 400 V through 20 kΩ to 5 V: one second times ln 80.
    expect(capacitorBleed(50, 400)).toEqual({
      seconds: expect.closeTo(Math.log(80), 9),
      joules: expect.closeTo(4, 9),
      peakWatts: 8,
    })
    expect(capacitorBleed(50, 5).seconds).toBe(0)
    expect(capacitorBleed(50, 400, 10_000, 40).seconds).toBeCloseTo(0.5 * Math.log(10), 9)
  })
})

describe('capacitors put together', () => {
  const can = (microfarads: number, volts: number) => ({ microfarads, volts })
  it('side by side add, and the weakest voltage holds for all', () =>
    expect(inParallel([can(10, 370), can(15, 440)])).toEqual(can(25, 370)))
  it('in a row add by their reciprocals, and the smallest bears most', () => {
    expect(inSeries([can(30, 370), can(60, 440)])).toEqual({
      microfarads: expect.closeTo(20, 9),
      volts: expect.closeTo(555, 9),
    })
    expect(inSeries([can(30, 370), can(60, 100)]).volts, 'here the larger is the weak one').toBeCloseTo(300, 9)
    expect(seriesVolts([30, 60], 90)).toEqual([expect.closeTo(60, 9), expect.closeTo(30, 9)])
  })
  it('never goes below the voltage, and no farther off than the tolerance', () => {
    const single = (stock: ReturnType<typeof can>[]) => substitutes(can(25, 370), stock).single
    expect(single([can(25, 369)])).toBeUndefined()
    expect(single([can(23.5, 370)])?.deviationPercent).toBeCloseTo(-6, 9)
    expect(single([can(23.4, 370)])).toBeUndefined()
    expect(single([can(26.5, 440)])?.deviationPercent).toBeCloseTo(6, 9)
    expect(substitutes(can(25, 370), [can(23, 370)], 8).single?.deviationPercent).toBeCloseTo(-8, 9)
  })
  it('shows the nearest first, and of equals the fewest cans', () => {
    const { parallel } = substitutes(can(30, 370), [
      can(10, 370),
      can(20, 370),
      can(11, 370),
      can(5, 370),
      can(15, 370),
    ])
    expect(parallel.map(({ of }) => of.map(({ microfarads }) => microfarads))).toEqual([
      [10, 20],
      [10, 5, 15],
      [20, 11],
      [11, 5, 15],
    ])
    expect(parallel[2]?.deviationPercent).toBeCloseTo(100 / 30, 9)
  })
  it('puts at most three together, each pair of alike cans once, and shows eight', () => {
    const alike = substitutes(can(20, 370), [can(10, 370), can(10, 370), can(10, 370)])
    expect(alike.parallel).toHaveLength(1)
    const five = substitutes(
      can(20, 370),
      [5, 5, 5, 5].map((microfarads) => can(microfarads, 370)),
    )
    expect(five.parallel, 'four would be wanted').toHaveLength(0)
    const many = substitutes(
      can(30, 370),
      Array.from({ length: 10 }, (_, index) => can(14.5 + index * 0.1, 370)),
    )
    expect(many.parallel).toHaveLength(8)
  })
  it('finds rows of cans too, nearest first', () => {
    const { series } = substitutes(can(20, 370), [can(40, 250), can(41, 250), can(60, 250), can(30, 440)])
    expect(series.map(({ of }) => of.map(({ microfarads }) => microfarads))).toEqual([
      [60, 30],
      [40, 41],
    ])
    expect(series[1]?.volts).toBeCloseTo((250 * 40) / ((40 * 41) / 81), 6)
  })
})
