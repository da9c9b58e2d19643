import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { capacitanceFromCurrent, capacitorBand, capacitorBleed, judgeCapacitance } from './capacitor'
import { judgeLockedCurrent, judgeRunningCurrent } from './current'
import { correctInsulation, correctionCaution, judgeInsulation, splitInsulation } from './insulation'
import { dropPercent, judgeLoadedSupply, judgeSupply } from './supply'
import { correctResistance, identifyLeads, judgeWinding } from './winding'

describe('supply', () => {
  it('is sound in the middle, tired near a limit, failed outside ±10 %', () => {
    expect([236, 209, 206, 254].map((volts) => judgeSupply(230, volts).verdict)).toEqual([
      'sound',
      'tired',
      'failed',
      'failed',
    ])
    expect(judgeSupply(230, 2).because).toContain('no supply')
  })

  it('points at the wire when it falls more than 5 % under load, though still inside the window', () => {
    const judged = judgeLoadedSupply(230, 222, 240)
    expect(judged.verdict).toBe('failed')
    expect(judged.because).toContain('7.5 %')
    expect(judgeLoadedSupply(230, 231, 240).verdict).toBe('tired')
    expect(judgeLoadedSupply(230, 236, 240).verdict).toBe('sound')
    expect(() => dropPercent(0, 0)).toThrow(/above 0 V/)
  })

  it('warns that 208 V on a 230 V plate leaves no margin', () => {
    expect(judgeSupply(230, 208).verdict).toBe('tired')
  })
})

describe('current', () => {
  it('knows light, sound, above full load, over the service factor, and a rotor that stands', () => {
    expect([4, 6.5, 7.6, 8.5].map((amps) => judgeRunningCurrent(amps, 7, 8.2).verdict)).toEqual([
      'tired',
      'sound',
      'tired',
      'failed',
    ])
    expect(judgeRunningCurrent(30, 7, 8.2).because).toContain('not turning')
    expect(judgeRunningCurrent(8.2, 7).because).toContain('assumed')
  })

  it('cannot call a locked reading sound: it says the rotor stands', () => {
    expect(judgeLockedCurrent(35, 7).verdict).toBe('unclear')
    expect(judgeLockedCurrent(60, 7).verdict).toBe('failed')
    expect(judgeLockedCurrent(12, 7).because).toContain('may have turned')
  })
})

describe('capacitors', () => {
  const run = capacitorBand('run', 30)
  it('judges a run capacitor by its tolerance, wearing downwards only', () => {
    expect([27, 28.4, 30, 31.5, 32].map((value) => judgeCapacitance('run', run, value).verdict)).toEqual([
      'failed',
      'tired',
      'sound',
      'sound',
      'failed',
    ])
    expect(judgeCapacitance('run', run, 0.4).because).toContain('open')
    expect(judgeCapacitance('run', run, 120).because).toContain('shorted')
  })

  it('reads a start capacitor as −0/+20 % of its lower figure, or by its printed range', () => {
    expect(capacitorBand('start', 161)).toEqual({
      ratedMicrofarads: 161,
      lowMicrofarads: 161,
      highMicrofarads: expect.closeTo(193.2),
    })
    expect(judgeCapacitance('start', capacitorBand('start', [161, 193]), 149).verdict).toBe('failed')
    expect(judgeCapacitance('start', capacitorBand('start', [161, 193]), 162).verdict).toBe('sound')
  })

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
  it('compares a surface motor at 40 °C and a submersible as read', () => {
    expect(judgeInsulation({ megohms: 16, setup: 'surface-motor', celsius: 20 })).toMatchObject({
      verdict: 'failed',
      megohmsAt40: 4,
    })
    expect(judgeInsulation({ megohms: 16, setup: 'surface-motor' }).verdict).toBe('tired')
    expect(judgeInsulation({ megohms: 1.2, setup: 'motor-and-cable', celsius: 10 })).toMatchObject({ verdict: 'tired' })
    expect(judgeInsulation({ megohms: 150, setup: 'motor-alone', ageState: 'new' }).because).toContain('goes back')
    expect(judgeInsulation({ megohms: 150, setup: 'motor-alone', ageState: 'used' }).verdict).toBe('sound')
  })

  it('calls a ten-fold fall a warning even above the limit', () => {
    const judged = judgeInsulation({ megohms: 120, setup: 'surface-motor', celsius: 40, earlierMegohms: 2000 })
    expect(judged.verdict).toBe('tired')
    expect(judged.because).toContain('lower than last time')
  })

  it('does not clear a winding on a multimeter’s few volts', () => {
    expect(judgeInsulation({ megohms: 500, setup: 'surface-motor', celsius: 40, testVolts: 9 }).verdict).toBe('unclear')
    expect(judgeInsulation({ megohms: 0.1, setup: 'surface-motor', celsius: 40, testVolts: 9 }).verdict).toBe('failed')
  })

  it('halves for every ten degrees; the thermosetting rule is milder and says where it holds', () => {
    expect(correctInsulation(100, 50)).toBeCloseTo(200)
    expect(correctInsulation(100, 20)).toBeCloseTo(25)
    const mild = correctInsulation(100, 20, 40, 'thermosetting')
    expect(mild).toBeGreaterThan(25)
    expect(mild).toBeLessThan(100)
    expect(correctionCaution(2, 40, 'thermosetting')).toContain('10 to 85')
    expect(correctionCaution(20, 40, 'halving')).toBeUndefined()
  })

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
