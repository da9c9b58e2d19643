import { describe, expect, it } from 'vitest'
import { fitCooling, stallHeating, windingTemperature } from './winding-heat'

describe('a winding as its own thermometer (IEC 60034-1)', () => {
  it('a quarter more ohms is 64 K more, from 20 °C', () => {
    expect(windingTemperature(4, 20, 5)).toBeCloseTo(83.75, 9)
    expect(windingTemperature(4, 20, 5, 225)).toBeCloseTo(81.25, 9)
  })
})

describe('cooling after a stop', () => {
  const cooling = (tau: number, ambient: number, start: number) =>
    [0, 30, 90, 200].map((seconds) => ({ seconds, celsius: ambient + (start - ambient) * Math.exp(-seconds / tau) }))
  it('finds the time constant and the heat at the stop, to the letter', () => {
    const found = fitCooling(22, cooling(400, 22, 130))
    expect(found.timeConstantSeconds).toBeCloseTo(400, 6)
    expect(found.celsiusAtStop).toBeCloseTo(130, 6)
  })
  it('lies by least squares between readings that disagree', () => {
    // ln 100, ln 10, ln 10 at 0, 1, 2 s: slope −ln 10 / 2.
    const found = fitCooling(
      0,
      [100, 10, 10].map((celsius, seconds) => ({ seconds, celsius })),
    )
    expect(found.timeConstantSeconds).toBeCloseTo(2 / Math.log(10), 9)
    expect(found.celsiusAtStop).toBeCloseTo(10 ** (4 / 3 + 0.5), 6)
  })
  it('refuses what is not above the ambient, does not fall, or was read once', () => {
    const read =
      (...celsius: number[]) =>
      () =>
        fitCooling(
          20,
          celsius.map((each, index) => ({ seconds: index * 10, celsius: each })),
        )
    expect(read(50, 20)).toThrow(/readings.1: 20 given, above the ambient 20 °C/)
    expect(read(50, 60)).toThrow(/do not cool/)
    expect(read(50, 50)).toThrow(/do not cool/)
    expect(() =>
      fitCooling(
        20,
        [1e8, 1e8 + 1e-6].map((seconds) => ({ seconds, celsius: 50 })),
      ),
    ).toThrow()
    expect(read(50)).toThrow(/two readings at different times/)
    expect(() =>
      fitCooling(
        20,
        [1, 1].map((seconds) => ({ seconds, celsius: 50 })),
      ),
    ).toThrow(/different times/)
  })
})

describe('a stalled winding', () => {
  it('heats with the square of its current density, the faster the warmer it is', () => {
    const of = (amps: number) => stallHeating({ amps, wireMillimetres: 1, startCelsius: 20, limitCelsius: 130 })
    const density = 10 / (Math.PI / 4)
    expect(of(10).kelvinPerSecond).toBeCloseTo((density ** 2 * 1e6) / 58 / (8930 * 385), 9)
    expect(of(20).kelvinPerSecond / of(10).kelvinPerSecond).toBeCloseTo(4, 9)
    expect(of(10).seconds).toBeCloseTo(Math.log(1 + 0.00393 * 110) / (0.00393 * of(10).kelvinPerSecond), 9)
    const warm = stallHeating({ amps: 10, wireMillimetres: 1, startCelsius: 75, limitCelsius: 130 })
    expect(warm.seconds).toBeLessThan(of(10).seconds / 2)
  })
})
