import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { completePlate, type Pump } from '../motor/nameplate'
import { render } from '../quantity/sentence'
import { InputError } from '../validation/input-error'
import { runByName } from './registry'
import { askedAt } from '../questions/asked-at'
import { usualInput } from '../questions/fields'
import { knownOf } from '../questions/known'
import { ask } from '../questions/ask'
import { questionById, QUESTIONS } from '../questions/questions'
import { spreadOf, sweepOf } from '../questions/spread'

const solvedOf = (id: string, input: object = {}) =>
  ask(questionById(id), input).solved as unknown as Record<string, number> & { verdict: string }
const usual = (id: string) => usualInput<Record<string, number>>(questionById(id).fields) as Record<string, number>
const answerOf = (id: string, input: object = {}, system: 'us' | 'metric' = 'us') =>
  render(ask(questionById(id), input).told.answer, { system })
const worked = (name: string, input: object) => runByName(name, input) as Record<string, number>
const field = (id: string, input: object) => {
  try {
    ask(questionById(id), input)
  } catch (error) {
    return error instanceof InputError ? error.problems[0]?.field : error
  }
  return undefined
}

describe('every question', () => {
  it.each(QUESTIONS.map((question) => [question.id, question] as const))(
    '%s answers with nothing known, in both systems, and shows its working',
    (_, question) => {
      const { told, solved } = ask(question, {})
      for (const system of ['us', 'metric'] as const)
        for (const sentence of [told.answer, ...told.steps, ...told.cautions])
          expect(render(sentence, { system })).not.toMatch(/undefined|NaN|\[object/)
      expect(told.steps.length).toBeGreaterThan(0)
      expect(question.draw(usualInput(question.fields), solved)).toHaveProperty('kind')
      expect(question.basis.name.length).toBeGreaterThan(5)
    },
  )

  it.each(
    QUESTIONS.flatMap((question) =>
      question.fields.filter((each) => each.as === 'number').map((each) => [question.id, each.name] as const),
    ),
  )('%s refuses a %s that is no number, and names it', (id, name) => {
    for (const value of ['7', null, Number.NaN, -1e9]) expect(field(id, { [name]: value })).toBe(name)
  })

  it('does not know other questions or fields', () => {
    expect(() => questionById('which-anchor')).toThrow(InputError)
    expect(field('jet-lift', { moon: 1 })).toBe('moon')
  })
})

describe('a question and its workings say the same', () => {
  it('sump: the pump runs where the working says its curve meets the pipe', () => {
    const { candidates } = ask(questionById('which-sump-pump'), {}).solved as unknown as {
      candidates: { flowLitresPerSecond: number; onSeconds: number; startsPerHour: number }[]
    }
    const given = usual('which-sump-pump')
    const pipe = {
      insideMillimetres: 1.61 * 25.4,
      lengthMetres: given.pipeMetres,
      method: 'darcy',
      roughnessMillimetres: 0.0015,
      minorLossK: 3 * 0.9 + 0.5 + 1 + 2.5,
    }
    const point = worked('operating-point', {
      pump: {
        points: [
          { flowLitresPerSecond: 0, headMetres: 6 },
          { flowLitresPerSecond: 0.8, headMetres: 5.1 },
          { flowLitresPerSecond: 1.6, headMetres: 3 },
          { flowLitresPerSecond: 2.1, headMetres: 1 },
        ],
      },
      staticMetres: given.liftMetres,
      pipes: [pipe],
    })
    expect(candidates[0]?.flowLitresPerSecond).toBeCloseTo(point.flowLitresPerSecond as number, 9)
    const cycle = worked('sump-cycle', {
      diameterMetres: given.pitDiameterMetres,
      onLevelMetres: given.onLevelMetres,
      offLevelMetres: given.offLevelMetres,
      inflowLitresPerSecond: given.inflowLitresPerSecond,
      pumpLitresPerSecond: point.flowLitresPerSecond,
    })
    expect(candidates[0]).toMatchObject({
      onSeconds: expect.closeTo(cycle.onSeconds as number, 6) as number,
      startsPerHour: expect.closeTo(cycle.startsPerHour as number, 6) as number,
    })
  })

  it('suction, tank, string and wire', () => {
    const [jet, lift, tank, string, line] = [
      solvedOf('jet-lift'),
      usual('jet-lift'),
      usual('tank-and-charge'),
      usual('string-to-pull'),
      usual('wire-size'),
    ]
    expect(jet.longestLiftMetres).toBeCloseTo(
      worked('suction-lift', {
        altitudeMetres: lift.altitudeMetres,
        celsius: lift.celsius,
        frictionMetres: jet.frictionMetres,
        npshRequiredMetres: lift.npshRequiredMetres,
        marginMetres: lift.marginMetres,
      }).longestLiftMetres as number,
      9,
    )
    expect(solvedOf('tank-and-charge').drawdownLitres).toBeCloseTo(
      worked('tank-drawdown', {
        tankLitres: tank.tankLitres,
        prechargeKpa: tank.prechargeKpa,
        cutInKpa: tank.cutInKpa,
        cutOutKpa: tank.cutOutKpa,
      }).drawdownLitres as number,
      9,
    )
    expect(solvedOf('string-to-pull').kilograms).toBeCloseTo(
      worked('string-weight', {
        pipe: { material: 'polyethylene', nominalInches: 1, lengthMetres: string.lengthMetres, full: true },
        cableKgPerMetre: string.cableKgPerMetre,
        pumpKg: string.pumpKg,
        waterLevelMetres: string.waterLevelMetres,
      }).kilograms as number,
      9,
    )
    const wire = solvedOf('wire-size')
    expect(wire.motorVolts).toBeCloseTo(
      worked('voltage-drop', {
        sourceVolts: 240,
        amps: 8,
        awg: '12',
        oneWayMetres: line.oneWayMetres,
        celsius: line.celsius,
        powerFactor: 0.85,
      }).motorVolts as number,
      9,
    )
    expect(wire.startVolts).toBeCloseTo(
      worked('starting-voltage', {
        sourceVolts: 240,
        ratedVolts: 230,
        lockedRotorAmps: 40,
        lockedRotorPowerFactor: 0.7,
        awg: '12',
        oneWayMetres: line.oneWayMetres,
        celsius: line.celsius,
      }).motorVolts as number,
      9,
    )
  })

  it('drain-back, speed and the van', () => {
    expect(solvedOf('where-water-goes').pipeLitres).toBeCloseTo(
      worked('drain-back', {
        pipes: [{ insideMillimetres: 2.067 * 25.4, lengthMetres: usual('where-water-goes').pipeMetres }],
      }).litres as number,
      9,
    )
    const { full, slow } = ask(questionById('speed-saving'), { speedRatio: 0.5 }).solved as unknown as Record<
      'full' | 'slow',
      { flowLitresPerSecond: number; headMetres: number; watts: number }
    >
    // With friction alone the system's head goes nearly with the square of flow, so that flow goes nearly with speed
    // and power with its cube over the efficiency lost.
    expect(slow.flowLitresPerSecond / full.flowLitresPerSecond).toBeCloseTo(0.5, 1)
    expect(slow.watts / full.watts).toBeCloseTo(0.125 / 0.85, 1)
    expect(
      (ask(questionById('capacitor-from-van'), {}).solved as unknown as { parallel: object[] }).parallel[0],
    ).toMatchObject(
      (
        runByName('capacitor-substitute', {
          wantedMicrofarads: 30,
          wantedVolts: 370,
          stock: [
            { microfarads: 5, volts: 440 },
            { microfarads: 25, volts: 440 },
          ],
        }) as { parallel: object[] }
      ).parallel[0] as object,
    )
  })
})

describe('what a technician is told', () => {
  it.each([
    ['which-sump-pump', { liftMetres: 14 }, /None of the usual sizes lifts 45.9 ft/],
    [
      'which-sump-pump',
      { inflowLitresPerSecond: 5 },
      /Even the three quarters of a horsepower moves only .* against 79.3 gpm/,
    ],
    ['which-sump-pump', { inflowLitresPerSecond: 1.3 }, /third of a horsepower/],
    ['well-pressure', { liftMetres: 90 }, /^No: with everything shut it stands at 22.* psi, below the 50 psi/],
    ['well-pressure', { liftMetres: 65 }, /reaches 50 psi, but gives only/],
    ['jet-lift', { liftMetres: 8 }, /^No: the longest lift here is 23.4 ft/],
    ['jet-lift', { celsius: 95 }, /must stand below the water/],
    ['jet-lift', { liftMetres: 7.5 }, /eats into/],
    ['tank-and-charge', { prechargeKpa: 138 }, /^Charge it to 28 psi; it stands 8 psi below that/],
    ['tank-and-charge', { tankLitres: 60 }, /the tank is small: 4.68 gal a cycle.*Fit 33.9 gal/],
    ['wire-size', { oneWayMetres: 200 }, /^No: it drops 7.*10 AWG keeps the drop/],
    ['wire-size', { amps: 20 }, /12 AWG carries 20 A, and the motor wants 25 A/],
    ['string-to-pull', { material: 'galvanised' }, /a hoist. By two people only once/],
    ['string-to-pull', { lengthMetres: 6, waterLevelMetres: 3, pumpKg: 10 }, /one pair of hands/],
    ['where-water-goes', { siphonDepthMetres: 0.06 }, /go over the brim/],
    ['where-water-goes', { inflowLitresPerSecond: 0 }, /the sump rises by 4.96 in\.$/],
    ['speed-saving', { speedRatio: 0.3 }, /Too slow: at 30 %/],
    ['speed-saving', { leastFlowLitresPerSecond: 3 }, /less than heater and cell want/],
    ['capacitor-from-van', { wantedMicrofarads: 25 }, /^Fit the 25 μF 440 V/],
    ['capacitor-from-van', { wantedMicrofarads: 3 }, /^One after another: 5 μF 440 V then 7.5 μF 440 V/],
    ['capacitor-from-van', { wantedVolts: 600, stock: [] }, /Nothing in the van/],
    ['stages-and-motor', { liftMetres: 300, flowLitresPerSecond: 3 }, /No stack of these/],
  ])('%s %j', (id, input, words) => expect(answerOf(id, input)).toMatch(words))

  it('says what does not go together by field', () => {
    expect(field('tank-and-charge', { cutOutKpa: 100 })).toBe('cutOutKpa')
    expect(field('which-sump-pump', { onLevelMetres: 0.1 })).toBe('onLevelMetres')
    expect(field('which-sump-pump', { floorMetres: 0.3 })).toBe('floorMetres')
    expect(field('jet-lift', { pipeSize: '40 mm' })).toBe('pipeSize')
    expect(
      field('well-pressure', {
        pumpCurve: [
          { flowLitresPerSecond: 0, headMetres: 5 },
          { flowLitresPerSecond: 1, headMetres: 6 },
        ],
      }),
    ).toBe('points')
    expect(field('wire-size', { amps: 400, oneWayMetres: 3000 })).toBe('amps')
    expect(field('speed-saving', { pipeMetres: 0, filterK: 0 })).toBe('pipeMetres')
  })
})

describe('what is known already', () => {
  const pump: Pump = {
    kind: 'well-three-wire',
    nameplate: { volts: 230, horsepower: 1 },
    installation: { cableAwg: '10', cableMetres: 98, wellDepthMetres: 90, cutInPsi: 40, cutOutPsi: 60 },
  }
  const known = knownOf(pump, completePlate(pump), [
    { check: 'pumping-water-level', value: 140, unit: 'ft' },
    { check: 'supply-voltage', value: 236, unit: 'V' },
    { check: 'cut-in', value: 38, unit: 'psi' },
  ])
  const taken = (id: string) => questionById(id).take?.(known)

  it('readings come before the card, the card before a guess, and each says where it is from', () => {
    expect(taken('well-pressure')).toMatchObject({
      input: { liftMetres: expect.closeTo(42.672, 3) as number, pipeMetres: 98 },
      sources: { liftMetres: 'pumping level, measured', pipeMetres: 'as long as the drop cable' },
    })
    expect(taken('wire-size')).toMatchObject({
      input: { awg: '10', oneWayMetres: 98, sourceVolts: 236 },
      sources: { sourceVolts: 'measured in this visit' },
    })
    expect(taken('tank-and-charge')).toMatchObject({
      input: { cutInKpa: expect.closeTo(262, 0) as number, cutOutKpa: expect.closeTo(413.7, 1) as number },
    })
    expect(taken('string-to-pull')).toMatchObject({ input: { lengthMetres: 98 } })
  })

  it('what is taken can be asked', () => {
    for (const question of QUESTIONS)
      if (question.take) expect(() => ask(question, question.take?.(known).input as object), question.id).not.toThrow()
  })
})

describe('how sure', () => {
  const finish = (generator: ReturnType<typeof spreadOf>) => {
    for (;;) {
      const step = generator.next()
      if (step.done) return step.value
    }
  }
  const question = questionById('jet-lift')
  const input = usualInput<object>(question.fields)

  it('the same seed gives the same spread, shares sum, and the middle lies between its ends', () => {
    const asked = () => finish(spreadOf(question, input, { liftMetres: 30, celsius: 50 }, { runs: 600, seed: 5 }))
    const spread = asked()
    expect(asked()).toEqual(spread)
    expect(Object.values(spread.share).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12)
    expect(spread.low).toBeLessThan(spread.middle as number)
    expect(spread.middle).toBeLessThan(spread.high as number)
    expect(spread.bins.reduce((sum, { count }) => sum + count, 0)).toBe(600)
  })

  it('without a doubt there is one answer; with one, some shakings fail', () => {
    expect(finish(spreadOf(question, input, {}, { runs: 50, seed: 1 }))).toMatchObject({
      share: { sound: 1 },
      bins: [{ count: 50 }],
    })
    const unsure = finish(spreadOf(question, { ...input, liftMetres: 7 }, { liftMetres: 20 }, { runs: 500, seed: 1 }))
    expect(unsure.share.sound).toBeGreaterThan(0.3)
    expect(unsure.share.failed).toBeGreaterThan(0)
  })

  it('shows its progress, so that it can be stopped', () =>
    expect(spreadOf(question, input, {}, { runs: 1000, seed: 1 }).next()).toEqual({ done: false, value: 200 }))

  it('a sweep falls where physics does, and leaves a gap where there is no answer', () => {
    const lift = sweepOf(question, input, 'altitudeMetres', 0, 4000, 20).map(({ y }) => y as number)
    expect(lift).toEqual([...lift].sort((a, b) => b - a))
    const tank = sweepOf(
      questionById('tank-and-charge'),
      usualInput(questionById('tank-and-charge').fields),
      'cutOutKpa',
      100,
      400,
      7,
    )
    expect(tank[0]).not.toHaveProperty('y')
    expect(tank.at(-1)?.y).toBeGreaterThan(0)
  })

  it('no shaking leaves what a field allows', () => {
    fc.assert(
      fc.property(fc.integer(), fc.double({ min: 1, max: 300, noNaN: true }), (seed, doubt) => {
        for (const each of QUESTIONS)
          expect(
            finish(
              spreadOf(
                each,
                usualInput(each.fields),
                Object.fromEntries(each.fields.map(({ name }) => [name, doubt])),
                { runs: 3, seed },
              ),
            ).runs,
          ).toBe(3)
      }),
      { numRuns: 30 },
    )
  })
})

describe('where a question is asked in a visit', () => {
  it.each([
    ['test', 'jet', 'tank-precharge', 'tank-and-charge'],
    ['test', 'pool', 'tank-precharge', undefined],
    ['test', 'pool', 'supply-voltage-loaded', 'wire-size'],
    ['test', 'pool', undefined, undefined],
    ['decide', 'sump', undefined, 'which-sump-pump'],
    ['decide', 'well-two-wire', undefined, 'stages-and-motor'],
    ['repair', 'well-three-wire', undefined, 'string-to-pull'],
    ['repair', 'pool', undefined, undefined],
    ['prove', 'sump', undefined, undefined],
  ] as const)('%s, %s, %s: %s', (joint, kind, check, id) => expect(askedAt(joint, kind, check)).toBe(id))
  it('asks nothing of a string on the bench', () =>
    expect(askedAt('repair', 'well-two-wire', undefined, 'bench')).toBeUndefined())
})
