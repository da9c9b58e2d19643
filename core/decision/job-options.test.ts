import { describe, expect, it } from 'vitest'
import { DEFAULT_RATES } from '../knowledge/shop/rates'
import { completePlate, type Pump } from '../motor/nameplate'
import { jobOptions } from './job-options'

const pool: Pump = {
  kind: 'pool',
  construction: 'bolted-seal-plate',
  nameplate: { volts: 230, hertz: 60, motorType: 'permanent-split', horsepower: 1 },
}
const options = jobOptions(pool, completePlate(pool), DEFAULT_RATES)

describe('work that no fault asks for', () => {
  it('is priced by its parts and its planned minutes', () => {
    const speed = options.find(({ id }) => id === 'variable-speed-motor')
    expect(speed?.partsPrice).toBeCloseTo((310 + 420) * 1.25, 6)
    expect(speed?.labourPrice).toBeCloseTo(((speed?.minutes ?? 0) / 60) * 96, 6)
    expect(speed?.price).toBeCloseTo((speed?.partsPrice ?? 0) + (speed?.labourPrice ?? 0), 6)
    expect(speed?.minutes).toBeGreaterThan(60)
  })

  it('lists only what the construction has, and nothing where it is not known', () => {
    expect(options.map(({ id }) => id)).not.toContain('lid-ring')
    expect(jobOptions({ ...pool, construction: undefined }, completePlate(pool), DEFAULT_RATES)).toEqual([])
  })
})
