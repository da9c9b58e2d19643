import { describe, expect, it } from 'vitest'
import { matchMotor, matchVerdict, type MatchPoint } from './match'
import type { Nameplate } from './nameplate'

/** Common practice: what is held against what before a motor is changed. */
const old: Nameplate = {
  volts: 230,
  hertz: 60,
  horsepower: 1.5,
  serviceFactor: 1.1,
  serviceFactorAmps: 9.6,
  frame: '56Y',
  rpm: 3450,
  motorType: 'permanent-split',
}
const points = (fresh: Partial<Nameplate>, was = old, supply?: number) =>
  new Map(matchMotor(was, { ...old, ...fresh }, supply).map((point) => [point.point, point]))
const verdict = (at: MatchPoint['point'], fresh: Partial<Nameplate>, was = old, supply?: number) =>
  points(fresh, was, supply).get(at)?.verdict

describe('a new motor against the old', () => {
  it('the same again fits in every point', () => {
    expect([...points({}).values()].map((point) => point.verdict)).toEqual(Array(9).fill('fits'))
    expect(matchVerdict([...points({}).values()])).toBe('fits')
  })

  it('1 × 1.65 stands for 1.5 × 1.1; hp alone misleads', () => {
    expect(verdict('power', { horsepower: 1, serviceFactor: 1.65 })).toBe('fits')
    expect(verdict('power', { horsepower: 1.5, serviceFactor: 1 })).toBe('fits-with')
    expect(points({ horsepower: 1, serviceFactor: 1.65 }).get('power')).toMatchObject({
      old: '1.5 hp × 1.1 = 1.65',
      new: '1 hp × 1.65 = 1.65',
    })
  })

  it('2.25 hp of a drive carries 1.5 × 1.30 and wants another impeller for 2.5 × 1.15', () => {
    const drive: Partial<Nameplate> = { horsepower: 2.25, serviceFactor: undefined, motorType: 'electronic' }
    expect(verdict('power', drive, { ...old, serviceFactor: 1.3 })).toBe('fits')
    const larger = { ...old, horsepower: 2.5, serviceFactor: 1.15 }
    expect(points(drive, larger).get('power')).toMatchObject({
      verdict: 'fits-with',
      because: expect.stringMatching(/impeller made for 2.25 hp/),
    })
    expect(verdict('speed', drive)).toBe('fits')
    expect(verdict('type', drive)).toBe('fits-with')
  })

  it('a round flange finds no holes of a square one, a keyed shaft no impeller', () => {
    expect(verdict('flange', { frame: '56J' })).toBe('does-not')
    expect(verdict('flange', { frame: undefined, flange: 'square flange' })).toBe('fits')
    expect(verdict('shaft', { frame: '56C' })).toBe('does-not')
    expect(verdict('shaft', { frame: '48Y' })).toBe('fits')
    expect(verdict('frame', { frame: '48Y' })).toBe('fits-with')
    expect(verdict('flange', { frame: undefined })).toBe('not-read')
  })

  it('two voltages: delivered on the right one, on the other, on none', () => {
    expect(verdict('volts', { volts: 230, otherVolts: 115 })).toBe('fits')
    expect(points({ volts: 230, otherVolts: 115 }, old, 118).get('volts')).toMatchObject({
      verdict: 'fits-with',
      because: expect.stringMatching(/selector set to 115 V.*hums and heats/),
    })
    expect(points({ volts: 115, otherVolts: 230 }).get('volts')?.because).toMatch(/set to 230 V.*burns it/)
    expect(verdict('volts', { volts: 230 }, old, 118)).toBe('does-not')
    expect(verdict('volts', { volts: 230 }, old, 209)).toBe('fits')
  })

  it('another mains, another speed: does not; more amps: with breaker and wire looked at', () => {
    expect(verdict('hertz', { hertz: 50 })).toBe('does-not')
    expect(verdict('speed', { rpm: 1725 })).toBe('does-not')
    expect(verdict('speed', { rpm: 3500 })).toBe('fits')
    expect(verdict('speed', { rpm: undefined, poles: 2 })).toBe('fits')
    expect(verdict('amps', { serviceFactorAmps: 12 })).toBe('fits-with')
  })

  it('one point that does not fit is enough; what was not read is said', () => {
    expect(matchVerdict([...points({ rpm: 1725, serviceFactorAmps: 12 }).values()])).toBe('does-not')
    expect(matchVerdict([...points({ serviceFactorAmps: 12 }).values()])).toBe('fits-with')
    expect(matchVerdict([...points({ frame: undefined }).values()])).toBe('not-read')
    expect(verdict('power', { horsepower: undefined })).toBe('not-read')
  })
})
