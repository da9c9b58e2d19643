import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { METRIC_READER, render, US_READER } from '../../quantity/sentence'
import { valuesAtFirst, type Live, type LiveInput, type Values } from './live'
import { liveOf, LIVES, type LiveId } from './lives'

const IDS = Object.keys(LIVES) as LiveId[]

/** Anything that the sliders and choices of a picture can stand at. */
function anyValues({ inputs }: Live): fc.Arbitrary<Values> {
  const one = (input: LiveInput): fc.Arbitrary<number> =>
    input.is === 'choice'
      ? fc.integer({ min: 0, max: input.options.length - 1 })
      : fc.double({ min: input.min, max: input.max, noNaN: true })
  return fc.record(Object.fromEntries(inputs.map((input) => [input.id, one(input)])))
}
const figure = (id: LiveId, values: Values, of: string) => {
  const live = liveOf(id)
  return live.now({ ...valuesAtFirst(live), ...values }).figures.find((each) => each.id === of)!
}
const told = (id: LiveId, values: Values, of: string) => render(figure(id, values, of).told, US_READER)
const says = (id: LiveId, values: Values) => {
  const live = liveOf(id)
  return render(live.now({ ...valuesAtFirst(live), ...values }).says, US_READER)
}

describe.each(IDS)('the picture of %s', (id) => {
  const live = liveOf(id)
  it('says something sensible wherever its numbers are pushed, in both systems', () => {
    fc.assert(
      fc.property(anyValues(live), (values) => {
        const now = live.now(values)
        expect(new Set(now.figures.map((each) => each.id)).size).toBe(now.figures.length)
        for (const reader of [US_READER, METRIC_READER]) {
          const words = [render(now.says, reader), ...now.figures.map((each) => render(each.told, reader))]
          for (const each of words) {
            expect(each).not.toMatch(/NaN|Infinity|undefined/)
            expect(each.length).toBeGreaterThan(0)
          }
        }
      }),
    )
  })
  it('stands within its bounds at first', () => {
    for (const input of live.inputs) {
      const [low, high] = input.is === 'choice' ? [0, input.options.length - 1] : [input.min, input.max]
      expect(input.at).toBeGreaterThanOrEqual(low)
      expect(input.at).toBeLessThanOrEqual(high)
    }
  })
})

describe('what the pictures show', () => {
  it('an ohmmeter is silent where the tester fails', () => {
    expect(told('ohmmeter', {}, 'ohmmeter')).toBe('nothing')
    expect(figure('ohmmeter', { leak: 0.8 }, 'tester').verdict).toBe('failed')
    expect(figure('ohmmeter', { leak: 900 }, 'tester').verdict).toBe('sound')
    // 240 V over 0.8 MΩ.
    expect(told('ohmmeter', { leak: 0.8 }, 'mains')).toBe('0.3 mA')
    expect(told('ohmmeter', { leak: 0.02, shy: 0 }, 'ohmmeter')).toMatch(/0\.02 MΩ/)
  })
  it('three leads are named whatever their order, and an open one is found', () => {
    for (let order = 0; order < 6; order++) {
      const names = ['A', 'B', 'C'].map((lead) => told('three-leads', { order }, lead))
      expect([...names].sort()).toEqual(['common', 'run', 'start'])
    }
    expect(told('three-leads', { order: 0 }, 'A')).toBe('common')
    // 2.1 + 8.3 Ω.
    expect(told('three-leads', { order: 0 }, 'B-C')).toMatch(/10\.4 Ω/)
    expect(told('three-leads', { order: 0, open: 1 }, 'A-B')).toBe('open')
  })
  it('a weak can and a bound shaft hum alike, and are told apart by hand', () => {
    const weak = { can: 5, held: 0.2 }
    const bound = { can: 30, held: 1 }
    expect(figure('can-or-bound', weak, 'torque').verdict).toBe('failed')
    expect(figure('can-or-bound', bound, 'torque').verdict).toBe('failed')
    expect(told('can-or-bound', weak, 'hand')).toBe('turns')
    expect(told('can-or-bound', bound, 'hand')).toBe('stands fast')
    expect(says('can-or-bound', { can: 5, held: 1 })).toMatch(/hums again/)
    expect(says('can-or-bound', { can: 25, held: 0.2 })).toMatch(/It starts/)
  })
  it('water in the grease leaves a fraction of a life: (100 / ppm)^0.6', () => {
    expect(told('new-bearings', { water: 100 }, 'share')).toBe('100 %')
    // Cantley 1977: 400 ppm leave 0.44 of the life at 100 ppm.
    expect(told('new-bearings', { water: 400 }, 'share')).toBe('44 %')
    expect(figure('new-bearings', { water: 50_000, load: 900 }, 'wet').verdict).toBe('failed')
  })
  it('a joint is good at rest and bad under load', () => {
    expect(figure('rest-and-loaded', {}, 'rest').verdict).toBe('sound')
    expect(figure('rest-and-loaded', {}, 'loaded').verdict).toBe('failed')
    expect(figure('rest-and-loaded', { joint: 0.05 }, 'loaded').verdict).toBe('sound')
    expect(told('rest-and-loaded', { amps: 10, joint: 2 }, 'heat')).toBe('200 W')
  })
  it('a switch that is not asked, cannot feel, or does not pass', () => {
    expect(told('switch-or-pump', { gauge: 60 }, 'contacts')).toBe('open')
    expect(says('switch-or-pump', { gauge: 12, trouble: 1 })).toMatch(/nipple is plugged/)
    expect(says('switch-or-pump', { gauge: 12, trouble: 2 })).toMatch(/burnt/)
    expect(says('switch-or-pump', { gauge: 12, trouble: 3 })).toMatch(/behind it/)
    expect(told('switch-or-pump', { gauge: 12, trouble: 0 }, 'load')).toBe('238 V')
  })
  it('a blockage raises the vacuum, air lowers it', () => {
    const vacuum = (values: Values) => Number.parseFloat(told('suction-air', values, 'vacuum'))
    const clean = vacuum({ air: 0, block: 0 })
    expect(vacuum({ air: 0, block: 0.8 })).toBeGreaterThan(clean)
    expect(vacuum({ air: 0.05, block: 0 })).toBeLessThan(clean)
    expect(told('suction-air', { air: 0.08, block: 0 }, 'pot')).toBe('empty')
  })
  it('a tank without its air starts for every glass', () => {
    const between = (air: number) => Number.parseFloat(told('tank-air', { air }, 'between'))
    // 44 gal, 28 psi of 30/50: 44 × (42.7 / 44.7 − 42.7 / 64.7) = 13 gal.
    expect(told('tank-air', { air: 1 }, 'drawdown')).toBe('13 gal')
    expect(between(1)).toBeGreaterThan(60)
    expect(between(0.05)).toBeLessThan(30)
    expect(figure('tank-air', { air: 1 }, 'air').verdict).toBe('sound')
    expect(says('tank-air', { air: 1.3 })).toMatch(/empty before the pump is asked/)
  })
  it('a deep pump in a shallow well runs past its range, and a valve brings it back', () => {
    expect(figure('up-thrust', { lift: 5, open: 1 }, 'flow').verdict).toBe('failed')
    expect(figure('up-thrust', { lift: 75, open: 1 }, 'flow').verdict).toBe('sound')
    expect(figure('up-thrust', { lift: 5, open: 0.06 }, 'flow').verdict).not.toBe('failed')
  })
  it('a pole that did not let go shows nothing across, and is live to ground on both', () => {
    expect(told('safe-hands', { breaker: 2 }, 'across')).toBe('0 V')
    expect(told('safe-hands', { breaker: 1 }, 'across')).toBe('240 V')
    for (const line of ['one', 'two']) expect(figure('safe-hands', { breaker: 2 }, line).verdict).toBe('failed')
    // 25 μF through 20 kΩ from 339 V to 5 V: 2.1 s.
    expect(told('safe-hands', { microfarads: 25 }, 'wait')).toBe('2.1 s')
    expect(says('safe-hands', { breaker: 0, seconds: 10, microfarads: 25 })).toMatch(/a hand may go in/)
  })
})
