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
const diffuser = jobOptions(pump, completePlate(pump), DEFAULT_RATES).find(({ id }) => id === 'diffuser') as Option
const found = (...parts: ('seal-plate' | 'diffuser' | 'volute')[]) =>
  withFound(diffuser, 'pool', 'bolted-seal-plate', DEFAULT_RATES, {
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
})
