import { describe, expect, it } from 'vitest'
import { putLead, takeOff, turnDial } from './leads'

describe('two leads', () => {
  it('are put on one after the other, and then the first again', () => {
    const one = putLead({ dial: 'ohms' }, 'm1')
    const two = putLead(one, 'm2')
    expect(two).toEqual({ dial: 'ohms', a: 'm1', b: 'm2' })
    expect(putLead(two, 's')).toEqual({ dial: 'ohms', a: 's', b: 'm2' })
    expect(putLead(two, 's', 'b')).toEqual({ dial: 'ohms', a: 'm1', b: 's' })
  })
  it('come off where they are put on again, and never stand on one terminal', () => {
    const on = { dial: 'ohms', a: 'm1', b: 'm2' } as const
    expect(putLead(on, 'm1')).toEqual({ dial: 'ohms', b: 'm2' })
    expect(putLead(on, 'm1', 'b')).toEqual({ dial: 'ohms', b: 'm1' })
    expect(takeOff(on, 'a')).toEqual({ dial: 'ohms', b: 'm2' })
  })
  it('make way for the clamp, and it for them', () => {
    const on = { dial: 'volts', a: 't1', b: 't2' } as const
    const clamped = putLead(on, 'jaw-one')
    expect(clamped).toEqual({ dial: 'amps', a: 'jaw-one' })
    expect(putLead(clamped, 'jaw-one')).toEqual({ dial: 'amps' })
    expect(putLead(clamped, 't1')).toEqual({ dial: 'volts', a: 't1' })
    expect(turnDial(on, 'amps')).toEqual({ dial: 'amps' })
    expect(turnDial(clamped, 'ohms')).toEqual({ dial: 'ohms' })
    expect(turnDial(on, 'ohms')).toEqual({ ...on, dial: 'ohms' })
  })
})
