import { describe, expect, it } from 'vitest'
import { absorption } from './absorption'

const of = (megohms60s: number, rest: Partial<Parameters<typeof absorption>[0]> = {}) =>
  absorption({ megohms60s, ...rest })

describe('insulation that climbs while it is read (IEEE 43)', () => {
  it.each([
    [400, 'sound', 'polarization index 4, at least 2'],
    [200, 'sound', 'polarization index 2, at least 2'],
    [199, 'tired', 'polarization index 1.99, below 2: damp or dirty'],
    [100, 'tired', 'polarization index 1, below 2: damp or dirty'],
    [99, 'failed', 'polarization index 0.99, below 2: damp or dirty'],
  ])('100 MΩ at a minute and %d at ten is %s', (megohms600s, verdict, because) => {
    expect(of(100, { megohms600s })).toEqual({
      polarizationIndex: megohms600s / 100,
      indexMinimum: 2,
      meaningful: true,
      verdict,
      because,
    })
  })

  it('asks less of class A', () => {
    expect(of(100, { megohms600s: 150, thermalClass: 'A' })).toMatchObject({ verdict: 'sound', indexMinimum: 1.5 })
    expect(of(100, { megohms600s: 150, thermalClass: 'F' })).toMatchObject({ verdict: 'tired', indexMinimum: 2 })
  })

  it.each([
    [125, 'sound', 'absorption ratio 1.25, it climbs as dry insulation does'],
    [124, 'tired', 'absorption ratio 1.24: it hardly climbs, damp or dirty'],
    [100, 'tired', 'absorption ratio 1: it hardly climbs, damp or dirty'],
    [99, 'failed', 'absorption ratio 0.99: it hardly climbs, damp or dirty'],
  ])('100 MΩ at half a minute and %d at one is %s', (megohms60s, verdict, because) => {
    expect(of(megohms60s, { megohms30s: 100 })).toEqual({
      absorptionRatio: megohms60s / 100,
      indexMinimum: 2,
      meaningful: true,
      verdict,
      because,
    })
  })

  it('goes by the index where both were read, and gives both', () => {
    const both = of(150, { megohms30s: 100, megohms600s: 150 })
    expect(both).toMatchObject({ absorptionRatio: 1.5, polarizationIndex: 1, verdict: 'tired' })
  })

  it('says nothing by ratios above 5 GΩ, and nothing from one reading alone', () => {
    expect(of(5000, { megohms600s: 15_000 })).toMatchObject({ meaningful: true, verdict: 'sound' })
    expect(of(5001, { megohms600s: 15_000 })).toEqual({
      polarizationIndex: 15_000 / 5001,
      indexMinimum: 2,
      meaningful: false,
      verdict: 'unclear',
      because: 'above 5 GΩ the ratios say nothing: the insulation is judged by its megohms',
    })
    expect(of(100)).toEqual({
      indexMinimum: 2,
      meaningful: true,
      verdict: 'unclear',
      because: 'one reading alone has no ratio: read again at 30 s or at 10 min',
    })
  })
})
