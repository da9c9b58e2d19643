import { describe, expect, it } from 'vitest'
import { considerationOf } from './job'
import { UNNAMED_SHOP, type Shop } from './shop'
import { entry, fold, opened, reading, seen } from './test-journal'
import type { Entry } from './entry'
import { MOST_WAYS } from '../decision/offer'

const shopWith = (rates: Partial<Shop['rates']> = {}): Shop => ({
  ...UNNAMED_SHOP,
  rates: { ...UNNAMED_SHOP.rates, ...rates },
})
const thought = (entries: Entry[], shop = shopWith()) => considerationOf(fold([opened(), ...entries]), shop, {}, {})
const leaks = [
  entry('call', { complaints: ['leak-under-motor'], alreadyReplaced: [], callerSays: 'drips' }),
  seen('weep-hole-look', 'drips'),
]
const way = (id: string, entries: Entry[], shop = shopWith()) =>
  thought(entries, shop).ways.find((each) => each.id === id)

describe('ways side by side', () => {
  it('are three at most, the lamp’s first among them, priced as the options are', () => {
    const { ways, options } = thought(leaks)
    expect(ways.length).toBeGreaterThan(1)
    expect(ways.length).toBeLessThanOrEqual(MOST_WAYS)
    expect(ways[0]).toMatchObject({ id: options[0]?.id, from: 'lamp' })
    for (const { id, price, chance } of ways) {
      const option = options.find((each) => each.id === id)
      expect([price, chance]).toEqual([option?.price, option?.chanceRight])
    }
  })
  it('hold what the owner asked for, whatever the lamp thinks of it', () => {
    expect(way('swap-pump', leaks)).toBeUndefined()
    expect(way('swap-pump', [...leaks, entry('wish', { job: 'swap-pump' })])?.from).toBe('wish')
    expect(thought([...leaks, entry('decision', { option: 'swap-pump' })]).ways.map(({ id }) => id)).toContain(
      'swap-pump',
    )
  })
  it('say what each cures and leaves: together all that may be wrong, and nothing twice', () => {
    const { ways } = thought(leaks)
    const all = new Set(ways.flatMap(({ cures, leaves }) => [...cures, ...leaves]))
    for (const { cures, leaves } of ways) {
      expect(new Set([...cures, ...leaves])).toEqual(all)
      expect(cures.filter((fault) => leaves.includes(fault))).toEqual([])
    }
    expect(way('replace-shaft-seal', leaks)?.cures[0]).toBe('Shaft seal leaking')
  })
  it('come to what choosing them comes to, with all else that is agreed', () => {
    const agreed = [
      ...leaks,
      entry('decision', { option: 'replace-shaft-seal' }),
      entry('job', { job: 'lid-ring', state: 'agreed' }),
    ]
    const { ways, bill } = thought(agreed)
    expect(ways.find(({ id }) => id === 'replace-shaft-seal')?.bill?.price).toBe(bill?.price)
    for (const { id, bill: offered } of ways)
      expect(offered?.price, id).toBe(thought([...agreed, entry('decision', { option: id })]).bill?.price)
  })
  it('have the warranty of the part in the hand, else the shop’s, else the usual one; a seal has none', () => {
    const wish = [...leaks, entry('wish', { job: 'swap-pump' })]
    expect(way('replace-shaft-seal', wish)?.warranty).toBeUndefined()
    expect(way('swap-pump', wish)?.warranty).toEqual({ months: 12, isUsual: true })
    expect(way('swap-pump', wish, shopWith({ partWarrantyMonths: 24 }))?.warranty).toEqual({ months: 24 })
    const inHand = [...wish, entry('new-part', { part: 'pump', warrantyUntil: '2029-05-11' })]
    expect(way('swap-pump', inHand)?.warranty).toEqual({ months: 35 })
  })
  it('cost a year what they cost over the years they serve', () => {
    for (const { price, life, perYear } of thought(leaks).ways)
      if (life) expect((perYear as number) * life.years).toBeCloseTo(price, 6)
  })
  it('know what power costs once its price is said: by the amps that were read, or those of the new plate', () => {
    expect(way('replace-shaft-seal', leaks)?.powerPerYear).toBeUndefined()
    const shop = shopWith({ energyPrice: 0.2 })
    // 230 V, 7 A by the plate, power factor 0.93, eight hours a day.
    const year = (amps: number) => ((230 * amps * 0.93) / 1000) * 8 * 365 * 0.2
    expect(way('replace-shaft-seal', leaks, shop)?.powerPerYear).toBeCloseTo(year(7), 6)
    const read = [...leaks, reading('running-current', 6)]
    const [stalled] = thought([...read, reading('running-current', 19)], shop).ways
    expect(stalled?.powerPerYear).toBeCloseTo(year(6), 6)
    expect(way('replace-shaft-seal', read, shop)?.powerPerYear).toBeCloseTo(year(6), 6)
    const smaller = [
      ...read,
      entry('wish', { job: 'swap-pump' }),
      entry('new-part', {
        part: 'pump',
        nameplate: { volts: 230, hertz: 60, motorType: 'permanent-split', horsepower: 0.75, fullLoadAmps: 5 },
      }),
    ]
    expect(way('swap-pump', smaller, shop)?.powerPerYear).toBeCloseTo(year(5), 6)
  })
  it('hold a return that was chosen', () => {
    const machine = { ...(opened().body as { machine: object }).machine, warrantyUntil: '2028-01-01' } as never
    const back = way('return-under-warranty', [
      ...leaks,
      entry('machine-set', { machine }),
      entry('decision', { option: 'return-under-warranty' }),
    ])
    expect(back?.label).toBe('Send back under warranty')
  })
})
