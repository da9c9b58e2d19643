import { describe, expect, it } from 'vitest'
import type { MotorType } from '../knowledge/vocabulary'
import { pumpAsFound } from './as-found'
import type { Pump } from './nameplate'

const pump = (motorType?: MotorType): Pump => ({
  kind: 'pool',
  nameplate: { volts: 230, ...(motorType ? { motorType } : {}) },
})
const RUN = { check: 'capacitance', part: 'run-capacitor' }
const START = { check: 'capacitor-look', part: 'start-capacitor' }
const SWITCH = { check: 'start-switch-look' }

describe('a motor by the parts that were seen', () => {
  it.each<[MotorType, object[], MotorType]>([
    ['permanent-split', [SWITCH], 'capacitor-start-run'],
    ['permanent-split', [START], 'capacitor-start-run'],
    ['capacitor-start', [RUN], 'capacitor-start-run'],
    ['split-phase', [START], 'capacitor-start'],
    ['split-phase', [RUN], 'capacitor-start-run'],
    ['electronic', [SWITCH], 'split-phase'],
    ['capacitor-start', [{ check: 'drive-error' }], 'electronic'],
  ])('%s with %j is %s', (type, findings, proved) =>
    expect(pumpAsFound(pump(type), findings as never).nameplate.motorType).toBe(proved),
  )

  it('stays the very same pump where nothing seen contradicts it, and is found once only', () => {
    const whole = pump('capacitor-start-run')
    expect(pumpAsFound(whole, [RUN, START, SWITCH])).toBe(whole)
    expect(pumpAsFound(whole, [{ check: 'shaft-turn' }])).toBe(whole)
    const found = pumpAsFound(pump('permanent-split'), [SWITCH])
    expect(pumpAsFound(found, [SWITCH])).toBe(found)
  })
})
