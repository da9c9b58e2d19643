import { describe, expect, it } from 'vitest'
import { DEFAULT_RATES } from '../knowledge/shop/rates'
import { completePlate, type Pump } from '../motor/nameplate'
import { jobOptions } from './job-options'

const pool: Pump = {
  kind: 'pool',
  construction: 'bolted-seal-plate',
  nameplate: { volts: 230, hertz: 60, motorType: 'permanent-split', horsepower: 1 },
}
const pricing = (pump: Pump) => ({ pump, plate: completePlate(pump), rates: DEFAULT_RATES })
const options = jobOptions(pricing(pool))

describe('work that no fault asks for', () => {
  it('is priced by the parts and the minutes of its plan', () => {
    const speed = options.find(({ id }) => id === 'variable-speed-motor')
    const parts = speed?.parts.map(({ part }) => part)
    expect(parts).toEqual(expect.arrayContaining(['motor', 'drive-electronics', 'shaft-seal', 'lock-screw-gasket']))
    expect(speed?.partsPrice).toBeCloseTo(speed?.parts.reduce((sum, { price }) => sum + price, 0) ?? 0, 6)
    expect(speed?.partsPrice).toBeGreaterThan((310 + 420) * 1.25)
    expect(speed?.labourPrice).toBeCloseTo(((speed?.minutes.p50 ?? 0) / 60) * 96, 6)
    expect(speed?.price).toBeCloseTo((speed?.partsPrice ?? 0) + (speed?.labourPrice ?? 0), 6)
    expect(speed?.minutes.p90).toBeGreaterThan(speed?.minutes.p50 ?? 0)
  })

  it('lists only what the construction has, and nothing where it is not known', () => {
    expect(options.map(({ id }) => id)).not.toContain('hose-connectors')
    expect(jobOptions(pricing({ ...pool, construction: undefined }))).toEqual([])
    // No springs in a motor that has no switch.
    expect(options.map(({ id }) => id)).not.toContain('switch-springs')
  })

  it('what was asked for stands among them, whatever the lamp thinks of it', () => {
    expect(options.map(({ id }) => id)).not.toContain('swap-motor')
    expect(jobOptions(pricing(pool), ['swap-motor', 'polish-it']).map(({ id }) => id)).toContain('swap-motor')
  })
})
