import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { InputError } from '../validation/input-error'
import { sumpCycle } from './pit'
import { runStore } from './store-day'
import { tankDrawdown } from './tank'

const pit = { onLitres: 60, offLitres: 20, brimLitres: 120, pumpLitresPerSecond: 2 }
const steady = (litresPerSecond: number, minutes: number) => new Float64Array(minutes).fill(litresPerSecond)

describe('a store through a day', () => {
  it('at a steady inflow keeps the closed form’s time', () => {
    const area = 0.16
    const cycle = sumpCycle(
      { areaSquareMetres: area },
      {
        onLevelMetres: 60 / 160,
        offLevelMetres: 20 / 160,
        inflowLitresPerSecond: 0.5,
        pumpLitresPerSecond: 2,
        drainBackLitres: 3,
      },
    )
    const run = runStore({ ...pit, drainBackLitres: 3 }, steady(0.5, 600), { stepSeconds: 60 })
    expect(run.starts / 10).toBeCloseTo(cycle.startsPerHour as number, 0)
    expect(run.shortestRunSeconds).toBeCloseTo(cycle.onSeconds as number, 6)
    expect(run.longestRunSeconds).toBeCloseTo(cycle.onSeconds as number, 6)
    expect(run.overflowLitres).toBe(0)
  })

  it('a pressure tank is the same, turned round: what is missing fills by the draw', () => {
    const { drawdownLitres, waterAtCutInLitres } = tankDrawdown({
      tankLitres: 170,
      prechargeKpa: 193,
      cutInKpa: 207,
      cutOutKpa: 345,
    })
    const run = runStore(
      {
        onLitres: drawdownLitres,
        offLitres: 0,
        brimLitres: drawdownLitres + waterAtCutInLitres,
        pumpLitresPerSecond: 0.6,
      },
      steady(0.3, 120),
      { stepSeconds: 60 },
    )
    expect(run.starts / 2).toBeCloseTo(3600 / (4 * (drawdownLitres / 0.6)), 0)
  })

  it('without power it fills, runs over, and says from when', () => {
    const run = runStore(pit, steady(0.5, 60), { stepSeconds: 60, cuts: [{ fromSeconds: 600, toSeconds: 1800 }] })
    const level = runStore(pit, steady(0.5, 10), { stepSeconds: 60 }).endLitres
    expect(run.overflowAtSeconds).toBeCloseTo(600 + (120 - level) / 0.5, 6)
    expect(run.overflowLitres).toBeCloseTo(0.5 * (1800 - (run.overflowAtSeconds as number)), 6)
    expect(run.highestLitres).toBe(120)
  })

  it('a storm that the pump cannot follow runs over though it never stops', () => {
    const run = runStore(pit, steady(3, 10), { stepSeconds: 60 })
    expect(run).toMatchObject({ starts: 1, highestLitres: 120 })
    expect(run.shortestRunSeconds).toBeUndefined()
  })

  it('loses no water: what came in is pumped, run over, or still there', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 4, noNaN: true }), { minLength: 1, maxLength: 60 }),
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        fc.nat({ max: 1800 }),
        fc.nat({ max: 1800 }),
        (inflow, pumpLitresPerSecond, from, span) => {
          const run = runStore({ ...pit, pumpLitresPerSecond }, inflow, {
            stepSeconds: 60,
            cuts: [{ fromSeconds: from, toSeconds: from + span }],
          })
          const came = inflow.reduce((sum, each) => sum + each * 60, 0)
          expect(run.endLitres + run.overflowLitres + run.onSeconds * pumpLitresPerSecond).toBeCloseTo(
            pit.offLitres + came,
            4,
          )
        },
      ),
    )
  })

  it('draws as many points as asked, and no more', () =>
    expect(runStore(pit, steady(0.5, 1440), { stepSeconds: 60, traced: 100 }).trace.length).toBe(100))

  it.each([[{ ...pit, onLitres: 20 }], [{ ...pit, brimLitres: 50 }], [{ ...pit, drainBackLitres: 40 }]])(
    'refuses levels out of order %j',
    (store) => expect(() => runStore(store, [1], { stepSeconds: 60 })).toThrow(InputError),
  )

  it('is not held up by levels too near', () =>
    expect(() => runStore({ ...pit, offLitres: 60 - 1e-9 }, steady(0.5, 525_600), { stepSeconds: 60 })).toThrow(/rest/))
})
