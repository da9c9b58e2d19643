import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEFAULT_RATES } from '../knowledge/shop/rates'
import { completePlate, type Pump } from '../motor/nameplate'
import { stepPlan, type RepairOptions } from '../takedown/step-plan'
import { billOf, reckoningOf, type Bill } from './bill'

const booster: Pump = {
  kind: 'booster',
  construction: 'bracket-booster',
  nameplate: { volts: 230, motorType: 'permanent-split', horsepower: 0.75 },
}
const pricing = (here: RepairOptions = {}, pump = booster) => ({
  pump,
  plate: completePlate(pump),
  rates: DEFAULT_RATES,
  here,
})
const bill = (jobs: string[], here?: RepairOptions) => billOf(jobs, pricing(here)) as Bill

describe('the bill of the agreed jobs', () => {
  it('is opened once: two jobs cost less than each by itself, and the lines add up', () => {
    const both = bill(['replace-shaft-seal', 'hose-connectors'])
    const [seal, hoses] = [bill(['replace-shaft-seal']), bill(['hose-connectors'])]
    expect(both.price).toBeLessThan(seal.price + hoses.price - 10)
    expect(both.lines.map(({ id }) => id)).toEqual(['replace-shaft-seal', 'hose-connectors'])
    expect(both.lines.reduce((sum, { price }) => sum + price, 0)).toBeCloseTo(both.price, 9)
    expect(both.lines.reduce((sum, { minutes }) => sum + minutes, 0)).toBe(both.minutes.p50)
    expect(both.partsPrice + both.labourPrice).toBeCloseTo(both.price, 9)
    // What is shown of its phases is all of its minutes.
    expect(Object.values(both.phases).reduce((sum, minutes) => sum + minutes, 0)).toBe(both.minutes.p50)
    expect(both.phases.work).toBeGreaterThan(0)
  })

  it('adds up whatever is agreed, in whatever turn, and the sum does not hang on the turn', () => {
    const jobs = ['replace-shaft-seal', 'hose-connectors', 'replace-run-capacitor', 'renew-housing-o-ring']
    const whole = bill(jobs)
    fc.assert(
      fc.property(fc.shuffledSubarray(jobs, { minLength: 4 }), (turn) => {
        const { lines, price, minutes } = bill(turn)
        expect(lines.reduce((sum, line) => sum + line.price, 0)).toBeCloseTo(price, 9)
        expect(price).toBeCloseTo(whole.price, 0)
        expect(Math.abs(minutes.p50 - whole.minutes.p50)).toBeLessThanOrEqual(1)
      }),
      { numRuns: 8 },
    )
  })

  it('has the minutes of the plan that is carried out, at the shop’s pace', () => {
    const plan = stepPlan('booster', 'bracket-booster', ['replace-shaft-seal'], { motorType: 'permanent-split' })
    expect(bill(['replace-shaft-seal']).minutes.p50).toBe(Math.round(plan?.minutes.p50 ?? 0))
    const slow = Object.fromEntries((plan?.steps ?? []).map(({ id }) => [id, 2]))
    expect(bill(['replace-shaft-seal'], { pace: slow }).minutes.p50).toBeCloseTo(
      2 * bill(['replace-shaft-seal']).minutes.p50,
      -1,
    )
  })

  it('does not shrink by what is open or shut already: it is what was agreed', () => {
    const agreed = bill(['replace-shaft-seal'])
    expect(
      bill(['replace-shaft-seal'], { gatesHeld: ['power-off', 'proved-dead'], underway: ['make-dead', 'valves'] }),
    ).toEqual(agreed)
  })

  it('grows by what is met on the way: the part, its minutes, and that it was found damaged', () => {
    const plain = bill(['replace-shaft-seal'])
    const damaged = bill(['replace-shaft-seal'], { found: [{ part: 'bracket', what: 'damaged' }] })
    expect(damaged.parts.map(({ label }) => label)).toContain('bracket, found damaged')
    expect(damaged.minutes.p50).toBeGreaterThan(plain.minutes.p50)
    const stuck = bill(['replace-shaft-seal'], { found: [{ joint: 'cover-nuts', what: 'stuck' }] })
    expect(stuck.minutes.p50).toBeGreaterThan(plain.minutes.p50)
    expect(stuck.price).toBeGreaterThan(plain.price)
  })

  it('a new motor has its own bearings: they cost nothing more', () => {
    const motor = bill(['swap-motor'])
    expect(bill(['swap-motor', 'bearings-and-seal']).price).toBeCloseTo(motor.price, 9)
  })

  it('counts the second pair of hands at a deep well, and none at the bench', () => {
    const well: Pump = {
      kind: 'well-three-wire',
      construction: 'submersible-joined',
      nameplate: { volts: 230, motorType: 'capacitor-start' },
      installation: { wellDepthMetres: 80 },
    }
    const alone = { ...DEFAULT_RATES, helperHourly: 0 }
    const at = (rates: typeof DEFAULT_RATES, standing: 'installed' | 'bench') =>
      reckoningOf(['replace-well-motor'], { ...pricing({ standing }, well), rates })?.labourPrice ?? 0
    expect(at(DEFAULT_RATES, 'installed')).toBeGreaterThan(at(alone, 'installed') + 20)
    expect(at(DEFAULT_RATES, 'bench') - at(alone, 'bench')).toBeLessThan(10)
  })

  it('is none where nothing of it can be planned', () => {
    expect(billOf(['polish-it'], pricing())).toBeUndefined()
    expect(billOf(['swap-motor'], pricing({}, { ...booster, construction: undefined }))).toBeUndefined()
  })
})
