import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { colebrook, frictionFactor, pipeFriction, risingRoot, splitFlow, type Pipe } from './pipe'
import { drainBackLitres, pitArea, sumpCycle } from './pit'
import { combine, operatingPoint, pumpCurve } from './pump-curve'
import { KPA_PER_PSI } from '../quantity/conversions'
import { cycleOf, judgePrecharge, tankDrawdown, tankSize } from './tank'
import { atmosphereKpa, waterProperties } from './water'

const pump = {
  points: [
    { flowLitresPerSecond: 0, headMetres: 30 },
    { flowLitresPerSecond: 2, headMetres: 24 },
    { flowLitresPerSecond: 3.5, headMetres: 10 },
  ],
}
const pipe: Pipe = { insideMillimetres: 40, lengthMetres: 60, method: 'darcy', minorLossK: 4 }

/** The root, and how often the function was asked for it. */
function counted(rising: (x: number) => number, low: number, high: number): { root: number; asked: number } {
  let asked = 0
  const root = risingRoot(
    (x) => {
      asked++
      return rising(x)
    },
    low,
    high,
  )
  return { root, asked }
}

describe('the root of a rising function', () => {
  // Halving alone would ask some fifty times for each; its counts are held as they are.
  it.each<[string, (x: number) => number, number, number, number, number]>([
    ['a line', (x) => x - 0.3, 0, 1, 0.3, 4],
    ['a cube', (x) => x ** 3 - 2, 0, 2, Math.cbrt(2), 9],
    ['friction’s power', (x) => x ** 1.852 - 3, 0, 10, 3 ** (1 / 1.852), 10],
    ['an exponential', (x) => Math.exp(x) - 5, -2, 6, Math.log(5), 11],
    ['a logarithm', (x) => Math.log(x) - 1, 0.01, 50, Math.E, 12],
    ['a ninth power, flat at its root', (x) => x ** 9, -1, 4, 0, 54],
    ['a cliff', (x) => Math.tanh(400 * (x - 0.7)) + 0.2, 0, 5, 0.7 + Math.atanh(-0.2) / 400, 19],
  ])('%s: close, and in few steps', (_, rising, low, high, root, most) => {
    const found = counted(rising, low, high)
    expect(Math.abs(found.root - root)).toBeLessThan(root === 0 ? 0.02 : 1e-7 * Math.abs(root))
    expect(found.asked).toBeLessThanOrEqual(most)
  })

  it('is the nearer end where there is none between', () => {
    expect(risingRoot((x) => x - 9, 0, 4)).toBe(4)
    expect(risingRoot((x) => x + 9, 0, 4)).toBe(0)
  })
})

describe('friction', () => {
  it('Colebrook’s root satisfies Colebrook’s equation', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 4000, max: 1e8, noNaN: true }),
        fc.double({ min: 0, max: 0.05, noNaN: true }),
        (reynolds, rough) => {
          const x = 1 / Math.sqrt(colebrook(reynolds, rough))
          expect(Math.abs(x + 2 * Math.log10(rough / 3.7 + (2.51 * x) / reynolds))).toBeLessThan(1e-9)
        },
      ),
    )
  })

  it('is laminar, then turbulent, without a jump between', () => {
    expect(frictionFactor(1000, 0.001)).toBeCloseTo(0.064, 12)
    for (const at of [2000, 4000])
      expect(Math.abs(frictionFactor(at * 1.0001, 0.001) / frictionFactor(at * 0.9999, 0.001) - 1)).toBeLessThan(0.01)
  })

  it('grows with flow, and is nothing without it', () => {
    for (const method of ['darcy', 'hazen-williams'] as const) {
      expect(pipeFriction({ ...pipe, method }, 0)).toMatchObject({ headMetres: 0, velocityMetresPerSecond: 0 })
      fc.assert(
        fc.property(fc.double({ min: 0.01, max: 8, noNaN: true }), (flow) => {
          expect(pipeFriction({ ...pipe, method }, flow * 1.1).headMetres).toBeGreaterThan(
            pipeFriction({ ...pipe, method }, flow).headMetres,
          )
        }),
      )
    }
  })

  it('a split loses the same head in every branch, and loses no water', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            insideMillimetres: fc.double({ min: 20, max: 80, noNaN: true }),
            lengthMetres: fc.double({ min: 1, max: 200, noNaN: true }),
          }),
          { minLength: 1, maxLength: 5 },
        ),
        fc.double({ min: 0.1, max: 6, noNaN: true }),
        (sizes, total) => {
          const branches = sizes.map((size): Pipe => ({ ...size, method: 'hazen-williams' }))
          const { flowsLitresPerSecond, headMetres } = splitFlow(branches, total)
          expect(flowsLitresPerSecond.reduce((sum, flow) => sum + flow, 0)).toBeCloseTo(total, 6)
          branches.forEach((branch, index) =>
            expect(pipeFriction(branch, flowsLitresPerSecond[index] as number).headMetres / headMetres).toBeCloseTo(
              1,
              5,
            ),
          )
        },
      ),
      { numRuns: 30 },
    )
  })
})

describe('pumps and pipes', () => {
  it('runs where both have the same head', () => {
    const curve = pumpCurve(pump)
    const { flowLitresPerSecond, headMetres } = operatingPoint(curve, 8, [pipe])
    expect(curve.headAt(flowLitresPerSecond)).toBeCloseTo(headMetres, 8)
    expect(8 + pipeFriction(pipe, flowLitresPerSecond).headMetres).toBeCloseTo(headMetres, 8)
  })

  it('goes through its points, also where there are more than three, and falls all the way', () => {
    const points = [
      [0, 40],
      [1, 38],
      [2, 33],
      [3, 24],
      [4, 10],
    ].map(([q, h]) => ({ flowLitresPerSecond: q as number, headMetres: h as number }))
    const curve = pumpCurve({ points })
    for (const { flowLitresPerSecond, headMetres } of points)
      expect(curve.headAt(flowLitresPerSecond)).toBeCloseTo(headMetres, 9)
    for (let flow = 0; flow < curve.runoutLitresPerSecond; flow += 0.02)
      expect(curve.headAt(flow + 0.02)).toBeLessThan(curve.headAt(flow))
    expect(curve.headAt(curve.runoutLitresPerSecond)).toBeCloseTo(0, 6)
    for (const head of [2, 15, 30]) expect(curve.headAt(curve.flowAt(head))).toBeCloseTo(head, 6)
    expect(curve.flowAt(curve.shutoffMetres)).toBe(0)
    expect(curve.flowAt(curve.shutoffMetres + 5), 'against more head than it makes, none').toBe(0)
  })

  it('obeys the affinity laws, and stages and pumps side by side add up', () => {
    const one = pumpCurve(pump)
    const slow = pumpCurve({ ...pump, speedRatio: 0.6 })
    expect(slow.headAt(0.6 * 1.5)).toBeCloseTo(0.36 * one.headAt(1.5), 9)
    expect(pumpCurve({ ...pump, stages: 7 }).headAt(1)).toBeCloseTo(7 * one.headAt(1), 9)
    expect(combine([one, one], 'parallel').flowAt(20)).toBeCloseTo(2 * one.flowAt(20), 6)
    expect(combine([one, one], 'series').headAt(1)).toBeCloseTo(2 * one.headAt(1), 9)
    expect(pumpCurve({ ...pump, parallel: 2 }).headAt(3)).toBeCloseTo(one.headAt(1.5), 9)
  })

  it('a check valve keeps the weaker of two pumps from running backwards', () => {
    const weak = pumpCurve({ points: pump.points.map((point) => ({ ...point, headMetres: point.headMetres * 0.5 })) })
    expect(combine([pumpCurve(pump), weak], 'parallel').flowAt(20)).toBeCloseTo(pumpCurve(pump).flowAt(20), 9)
    expect(weak.flowAt(20)).toBe(0)
  })
})

describe('tanks and pits', () => {
  it('gives most with the precharge at cut-in, and less the farther it lies from there', () => {
    const at = (prechargeKpa: number) =>
      tankDrawdown({ tankLitres: 100, prechargeKpa, cutInKpa: 200, cutOutKpa: 340 }).drawdownLitres
    for (const precharge of [0, 60, 120, 180]) expect(at(precharge)).toBeLessThan(at(200))
    expect(at(260)).toBeLessThan(at(200))
    expect(tankDrawdown({ tankLitres: 100, prechargeKpa: 260, cutInKpa: 200, cutOutKpa: 340 })).toMatchObject({
      emptyBeforeCutIn: true,
      waterAtCutInLitres: 0,
    })
  })

  it('balances water over a cycle', () => {
    const { onSeconds, offSeconds } = sumpCycle(
      { areaSquareMetres: 0.2 },
      {
        onLevelMetres: 0.4,
        offLevelMetres: 0.1,
        inflowLitresPerSecond: 0.5,
        pumpLitresPerSecond: 2.5,
        drainBackLitres: 6,
      },
    ) as { onSeconds: number; offSeconds: number }
    // In over a cycle is what came in; out is what the pump moved less what ran back.
    expect(0.5 * (onSeconds + offSeconds)).toBeCloseTo(2.5 * onSeconds - 6, 9)
    expect(
      sumpCycle(
        { areaSquareMetres: 0.2 },
        { onLevelMetres: 0.4, offLevelMetres: 0.1, inflowLitresPerSecond: 3, pumpLitresPerSecond: 2.5 },
      ),
    ).toEqual({ storedLitres: expect.closeTo(60, 9) as number, keepsUp: false })
    expect(
      sumpCycle(
        { areaSquareMetres: 0.2 },
        { onLevelMetres: 0.4, offLevelMetres: 0.1, inflowLitresPerSecond: 0, pumpLitresPerSecond: 2.5 },
      ),
    ).toMatchObject({ startsPerHour: 0 })
    expect(drainBackLitres([{ insideMillimetres: 40, lengthMetres: 10, fullFraction: 0.5 }], 2)).toBeCloseTo(
      2 + 5 * 0.4 * Math.PI,
      9,
    )
    expect(cycleOf({ drawLitresPerSecond: 0.3, pumpLitresPerSecond: 0.6, storedLitres: 30 })).toMatchObject({
      onSeconds: 100,
      offSeconds: 100,
      startsPerHour: 18,
    })
  })
})

describe('what cannot be', () => {
  it('keeps to the ranges its formulas were made for', () => {
    expect(() => waterProperties(-1)).toThrow(/from 0.01 °C to 100 °C/)
    expect(() => atmosphereKpa(20000)).toThrow(/5000/)
    expect(() => pitArea({})).toThrow(/exactly one/)
  })
})

describe('a precharge against its cut-in', () => {
  // Common practice: 2 psi below cut-in, within 2; 8 below is nearly all water; above cut-in the taps run dry first.
  it.each([
    [38, 'sound', 0],
    [40, 'sound', 2],
    [36, 'sound', -2],
    [35.9, 'tired', -2.1],
    [30, 'tired', -8],
    [29.9, 'failed', -8.1],
    [40.1, 'failed', 2.1],
  ])('%s psi at 40 is %s', (psi, verdict, off) => {
    const kpa = (value: number) => value * KPA_PER_PSI
    const judged = judgePrecharge(kpa(psi), kpa(40))
    expect(judged.verdict).toBe(verdict)
    expect(judged.offKpa / KPA_PER_PSI).toBeCloseTo(off, 6)
  })
})

describe('a precharge’s limits and a tank’s size', () => {
  const kpa = (value: number) => value * KPA_PER_PSI
  it('allows two psi either way of what is wanted', () => {
    const { lowKpa, highKpa, wantedKpa, emptyBeforeCutIn } = judgePrecharge(kpa(38), kpa(40))
    expect([lowKpa, wantedKpa, highKpa].map((each) => each / KPA_PER_PSI)).toEqual([
      expect.closeTo(36, 9),
      expect.closeTo(38, 9),
      expect.closeTo(40, 9),
    ])
    expect([emptyBeforeCutIn, judgePrecharge(kpa(41), kpa(40)).emptyBeforeCutIn]).toEqual([false, true])
    expect(judgePrecharge(0, kpa(1)).wantedKpa, 'never below none').toBe(0)
  })
  it('gives a run of its seconds, and is refused where it would give nothing', () => {
    const setting = { prechargeKpa: 190, cutInKpa: 200, cutOutKpa: 340 }
    const { tankLitres, drawdownLitres, share } = tankSize({
      ...setting,
      flowLitresPerSecond: 0.5,
      minimumRunSeconds: 60,
    })
    expect(drawdownLitres).toBe(30)
    expect(tankDrawdown({ ...setting, tankLitres }).drawdownLitres).toBeCloseTo(30, 9)
    expect(share * tankLitres).toBeCloseTo(30, 9)
    expect(() =>
      tankSize({ ...setting, cutOutKpa: 200 + 1e-14, flowLitresPerSecond: 0.5, minimumRunSeconds: 60 }),
    ).toThrow(/200 kPa/)
  })
  it('is refused with the switch or the air the wrong way round, in words with a unit', () => {
    const at = (prechargeKpa: number, cutInKpa: number, cutOutKpa: number) => () =>
      tankDrawdown({ tankLitres: 100, prechargeKpa, cutInKpa, cutOutKpa })
    expect(at(100, 200, 200)).toThrow(/cutOutKpa: 200 given, above the cut-in of 200 kPa/)
    expect(at(340, 200, 340)).toThrow(/prechargeKpa: 340 given, below the cut-out of 340 kPa/)
  })
  it('a pump that gives no more than is drawn never stops', () => {
    for (const pump of [0.3, 0.2])
      expect(() => cycleOf({ drawLitresPerSecond: 0.3, pumpLitresPerSecond: pump, storedLitres: 10 })).toThrow(
        /more than the 0.3 L\/s that is drawn/,
      )
  })
})

describe('a pit at its edges', () => {
  const cycle = (more: object) =>
    sumpCycle(
      { areaSquareMetres: 0.2 },
      { onLevelMetres: 0.4, offLevelMetres: 0.1, inflowLitresPerSecond: 0.5, pumpLitresPerSecond: 2.5, ...more },
    )
  it('does not keep up with as much as it moves, and rests for ever where nothing comes', () => {
    expect(cycle({ inflowLitresPerSecond: 2.5 }).keepsUp).toBe(false)
    const dry = cycle({ inflowLitresPerSecond: 0 })
    expect(dry).toEqual({
      storedLitres: expect.closeTo(60, 9) as number,
      keepsUp: true,
      onSeconds: expect.closeTo(24, 9) as number,
      startsPerHour: 0,
    })
  })
  it('refuses levels that meet, and a riser that fills the pit again at once', () => {
    expect(() => cycle({ onLevelMetres: 0.1 })).toThrow(/onLevelMetres: 0.1 given, above the off-level/)
    const { storedLitres } = cycle({})
    expect(() => cycle({ drainBackLitres: storedLitres })).toThrow(/less than the 60 L between the two levels/)
    expect(cycle({ drainBackLitres: 59 }).keepsUp).toBe(true)
  })
})

describe('a pump’s curve from its points', () => {
  const at = (flowLitresPerSecond: number, headMetres: number) => ({ flowLitresPerSecond, headMetres })
  it('does not mind in which order they come', () => {
    const mixed = pumpCurve({ points: [pump.points[2]!, pump.points[0]!, pump.points[1]!] })
    expect(mixed.headAt(1)).toBeCloseTo(pumpCurve(pump).headAt(1), 12)
  })
  it('refuses one point, two at one flow, and a head that does not fall', () => {
    expect(() => pumpCurve({ points: [at(0, 30)] })).toThrow(/at least two points/)
    expect(() => pumpCurve({ points: [at(0, 30), at(2, 20), at(2, 10)] })).toThrow(/head falling as flow grows/)
    expect(() => pumpCurve({ points: [at(0, 30), at(2, 30)] })).toThrow(/30 m at 0 L\/s is followed by 30 m at 2 L\/s/)
  })
  it('is a power law through shut-off and two more, and smooth where it does not begin at no flow', () => {
    // 30 − f·q^n through (2, 24) and (3.5, 10): n = ln(20/6) / ln(3.5/2).
    const exponent = Math.log(20 / 6) / Math.log(3.5 / 2)
    expect(pumpCurve(pump).headAt(1)).toBeCloseTo(30 - 6 / 2 ** exponent, 9)
    const later = pumpCurve({ points: [at(1, 30), at(2, 24), at(3.5, 10)] })
    expect(later.headAt(1)).toBeCloseTo(30, 9)
    expect(later.headAt(2)).toBeCloseTo(24, 9)
  })
  it('reaches its last flow and on until no head is left, also where its wheel is another', () => {
    const wheel = pumpCurve({ ...pump, diameterRatio: 0.8, speedRatio: 0.9 })
    expect(wheel.headAt(0.72 * 1.5)).toBeCloseTo(0.72 ** 2 * pumpCurve(pump).headAt(1.5), 9)
    expect(wheel.runoutLitresPerSecond).toBeCloseTo(0.72 * pumpCurve(pump).runoutLitresPerSecond, 6)
    expect(pumpCurve(pump).runoutLitresPerSecond).toBeGreaterThan(3.5)
    expect(pumpCurve(pump).headAt(pumpCurve(pump).runoutLitresPerSecond)).toBeCloseTo(0, 6)
    const toNothing = pumpCurve({ points: [at(0, 30), at(2, 24), at(3.5, 0)] })
    expect(toNothing.runoutLitresPerSecond, 'it ends at its own last point').toBeCloseTo(3.5, 6)
  })
  it('is refused where it cannot lift to the standing height', () => {
    expect(() => operatingPoint(pumpCurve(pump), 30, [pipe])).toThrow(/less than the pump's 30 m at no flow/)
    expect(() => operatingPoint(pumpCurve(pump), 29.9, [pipe])).not.toThrow()
  })
})

describe('a pipe’s wall', () => {
  it('is no rougher than half its bore', () => {
    const rough = (roughnessMillimetres: number) => () => pipeFriction({ ...pipe, roughnessMillimetres }, 1)
    expect(rough(20)).toThrow(/less than half of the pipe's 40 mm/)
    expect(rough(19.9)).not.toThrow()
  })
  it('resists more the nearer the flow is to turbulent, all the way between', () => {
    const [low, high] = [frictionFactor(2500, 0.001), frictionFactor(3500, 0.001)]
    expect(frictionFactor(3000, 0.001)).toBeGreaterThan(low)
    expect(frictionFactor(3000, 0.001)).toBeLessThan(high)
  })
})
