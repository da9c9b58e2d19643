import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { capacitanceFromCurrent, capacitorBleed } from './capacitor'
import { splitInsulation } from './insulation'
import { correctResistance, identifyLeads, judgeWinding } from './winding'

describe('capacitors', () => {
  it('finds capacitance from its own volts and amps by the shop’s 2652 rule', () => {
    expect(capacitanceFromCurrent(376, 4.24, 60)).toBeCloseTo((2652.58 * 4.24) / 376, 2)
  })

  it('bleeds longer for more microfarads and never below the safe voltage', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 500, noNaN: true }),
        fc.double({ min: 6, max: 700, noNaN: true }),
        (microfarads, volts) => {
          const { seconds } = capacitorBleed(microfarads, volts)
          expect(volts * Math.exp(-seconds / (20_000 * microfarads * 1e-6))).toBeCloseTo(5, 6)
          expect(capacitorBleed(microfarads * 2, volts).seconds).toBeCloseTo(seconds * 2, 8)
        },
      ),
    )
    expect(capacitorBleed(30, 3).seconds).toBe(0)
    expect(() => capacitorBleed(30, 300, 20_000, 0)).toThrow(/safeVolts/)
  })
})

describe('windings', () => {
  const range = { low: 1.8, high: 2.4, basis: { kind: 'maker' as const, name: 'plate' } }
  it('tells open, shorted, joint and sound apart, within what the meter can tell', () => {
    expect(judgeWinding('run winding', null, range)).toMatchObject({
      verdict: 'failed',
      because: expect.stringContaining('open') as string,
    })
    expect([1.75, 1.5, 1.1, 2.1, 2.7, 4].map((ohms) => judgeWinding('run winding', ohms, range).verdict)).toEqual([
      'sound',
      'tired',
      'failed',
      'sound',
      'tired',
      'failed',
    ])
  })

  it('corrects copper there and back without loss', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 100, noNaN: true }),
        fc.double({ min: -30, max: 150, noNaN: true }),
        (ohms, celsius) => {
          expect(correctResistance(correctResistance(ohms, 20, celsius), celsius, 20)).toBeCloseTo(ohms, 9)
        },
      ),
    )
    expect(() => correctResistance(2, 20, -300)).toThrow(/toCelsius/)
  })

  it('names three leads, with the cable taken off', () => {
    expect(identifyLeads({ 'black-yellow': 3.4, 'red-yellow': 12.1, 'red-black': 15.3 })).toMatchObject({
      common: 'yellow',
      run: 'black',
      start: 'red',
      verdict: 'sound',
    })
    expect(identifyLeads({ '1-2': 2.75, '1-3': 5.55, '2-3': 7.35 }, { cableOhms: 0.953 })).toMatchObject({
      common: '1',
      runOhms: expect.closeTo(1.797, 3) as number,
      startOhms: expect.closeTo(4.597, 3) as number,
    })
  })

  it('says when the readings do not add up, when windings cannot be told apart, and which lead is open', () => {
    expect(identifyLeads({ 'A-B': 2.4, 'B-C': 4, 'A-C': 2.5 })).toMatchObject({
      verdict: 'failed',
      sumErrorPercent: expect.closeTo(-18.37, 1) as number,
    })
    expect(identifyLeads({ '1-2': 3, '2-3': 3.1, '1-3': 6.1 })).toMatchObject({ verdict: 'unclear', common: '2' })
    expect(identifyLeads({ '1-2': null, '2-3': null, '1-3': 1.9 })).toMatchObject({
      openLead: '2',
      remainingOhms: 1.9,
      verdict: 'failed',
    })
    expect(identifyLeads({ '1-2': null, '2-3': null, '1-3': null }).because).toContain('common')
    expect(identifyLeads({ '1-2': null, '2-3': 3, '1-3': 3 }).verdict).toBe('unclear')
  })

  it('finds the same leads whatever they are called and in whatever order they are read', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 10, noNaN: true }),
        fc.double({ min: 1.3, max: 5, noNaN: true }),
        fc.shuffledSubarray(['x', 'y', 'z'], { minLength: 3 }),
        (run, ratio, [c, r, s]) => {
          const found = identifyLeads({
            [`${c}-${r}`]: run,
            [`${s}-${c}`]: run * ratio,
            [`${r}-${s}`]: run * (1 + ratio),
          })
          expect(found).toMatchObject({ common: c, run: r, start: s })
        },
      ),
    )
  })

  it('refuses what is not three pairs over three leads, and a cable longer than its reading', () => {
    expect(() => identifyLeads({ '1-2': 1, '3-4': 2, '1-4': 3 })).toThrow(/three pairs over three leads/)
    expect(() => identifyLeads({ '12': 1, '2-3': 2, '1-3': 3 })).toThrow(/joined by a hyphen/)
    expect(() => identifyLeads({ '1-2': 1, '2-3': 2, '1-3': 3 }, { cableOhms: 1.2 })).toThrow(/cable/)
  })
})

describe('insulation', () => {
  it('splits cable from motor, and refuses a cable that leaks more than the whole', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 1000, noNaN: true }),
        fc.double({ min: 0.01, max: 1000, noNaN: true }),
        (motor, cable) => {
          const total = 1 / (1 / motor + 1 / cable)
          fc.pre(cable > total * 1.0001)
          expect(splitInsulation(total, cable) / motor).toBeCloseTo(1, 4)
        },
      ),
    )
    expect(() => splitInsulation(4, 3.6)).toThrow(/cannot leak more/)
  })
})
