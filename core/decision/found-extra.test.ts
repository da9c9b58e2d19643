import { describe, expect, it } from 'vitest'
import { DEFAULT_RATES } from '../knowledge/shop/rates'
import { completePlate, type Pump } from '../motor/nameplate'
import { withFound } from './found-extra'
import { jobOptions } from './job-options'
import type { Option } from './options'

const pump: Pump = {
  kind: 'pool',
  construction: 'bolted-seal-plate',
  nameplate: { volts: 230, hertz: 60, motorType: 'permanent-split', horsepower: 1 },
}
type PoolPump = Pump & { construction: 'bolted-seal-plate' }
const diffuser = jobOptions(pump, completePlate(pump), DEFAULT_RATES).find(({ id }) => id === 'diffuser') as Option
const found = (...parts: ('seal-plate' | 'diffuser' | 'volute')[]) =>
  withFound(diffuser, pump as PoolPump, DEFAULT_RATES, {
    found: parts.map((part) => ({ part, what: 'damaged' as const })),
  })

describe('a damage found on the way', () => {
  it('joins the price with its part and the minutes that it adds', () => {
    const plate = found('seal-plate')
    const added = plate.minutes - diffuser.minutes
    // Lock screw, impeller and plate come off too, and go back.
    expect(added).toBeGreaterThan(20)
    expect(plate.price - diffuser.price).toBeCloseTo(66 * 1.25 + (added / 60) * 96, 6)
    expect(plate.parts.at(-1)).toMatchObject({ part: 'seal-plate', label: 'seal plate, found damaged' })
  })

  it('is not counted twice where the repair renews it anyway, nor where it was found twice', () => {
    expect(found('diffuser')).toBe(diffuser)
    expect(found('seal-plate', 'seal-plate').price).toBe(found('seal-plate').price)
  })

  it('a part without a price is on the list, and adds nothing', () => {
    expect(found('volute').parts.at(-1)?.part).toBe('volute')
    expect(found('volute').price).toBe(diffuser.price)
  })

  it('joins every sum of the option, expected cost with them', () => {
    const plate = found('seal-plate')
    const [minutes, materials] = [plate.minutes - diffuser.minutes, 66 * 1.25]
    const labour = (minutes / 60) * 96
    expect(plate.partsPrice).toBeCloseTo(diffuser.partsPrice + materials, 6)
    expect(plate.labourPrice).toBeCloseTo(diffuser.labourPrice + labour, 6)
    expect(plate.expectedCost).toBeCloseTo(diffuser.expectedCost + materials + labour, 6)
    expect(plate.parts.at(-1)?.price).toBeCloseTo(materials, 6)
    expect(plate.parts).toHaveLength(diffuser.parts.length + 1)
  })

  it('is a part that was found damaged, and nothing that was only stuck or nowhere found', () => {
    const with_ = (here: Parameters<typeof withFound>[3]) => withFound(diffuser, pump as PoolPump, DEFAULT_RATES, here)
    expect(with_({})).toBe(diffuser)
    expect(with_({ found: [] })).toBe(diffuser)
    expect(with_({ found: [{ joint: 'cover-bolts', what: 'stuck' }] })).toBe(diffuser)
    expect(with_({ found: [{ joint: 'cover-bolts', what: 'damaged' }] })).toBe(diffuser)
    expect(with_({ found: [{ part: 'seal-plate', what: 'stuck' }] })).toBe(diffuser)
    const stuckToo = with_({
      found: [
        { joint: 'cover-bolts', what: 'stuck' },
        { part: 'seal-plate', what: 'damaged' },
      ],
    })
    expect(stuckToo.minutes, 'the minutes of a stuck joint are not the damage’s').toBe(found('seal-plate').minutes)
  })

  it('adds no minutes to a repair that opens nothing', () => {
    const plain = { ...diffuser, id: 'restore-supply', parts: [] }
    const found = withFound(plain, pump as PoolPump, DEFAULT_RATES, {
      found: [{ part: 'seal-plate', what: 'damaged' }],
    })
    expect(found.minutes).toBe(plain.minutes)
    expect(found.partsPrice).toBeCloseTo(plain.partsPrice + 66 * 1.25, 6)
  })
})
