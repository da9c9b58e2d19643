import { describe, expect, it } from 'vitest'
import { correctResistance, identifyLeads, judgeWinding } from './winding'

describe('ohms of one winding against 2 to 4 Ω', () => {
  const range = { low: 2, high: 4, basis: { kind: 'maker' as const, name: 'plate' } }
  it.each([
    [1.3, 'failed', -0.35, 'below 2 to 4 Ω: shorted turns'],
    [1.4, 'tired', -0.3, 'below 2 to 4 Ω: shorted turns are possible'],
    [1.89, 'tired', -0.055, 'below 2 to 4 Ω: shorted turns are possible'],
    [1.9, 'sound', -0.05, 'inside 2 to 4 Ω'],
    [2.5, 'sound', 0.25, 'inside 2 to 4 Ω'],
    [3.8, 'sound', 0.05, 'inside 2 to 4 Ω'],
    [4.1, 'sound', -0.025, 'inside 2 to 4 Ω'],
    [4.11, 'tired', -0.0275, 'above 2 to 4 Ω: a bad joint, or a hot winding'],
    [5.2, 'tired', -0.3, 'above 2 to 4 Ω: a bad joint, or a hot winding'],
    [5.3, 'failed', -0.325, 'above 2 to 4 Ω: a bad joint, or a hot winding'],
  ])('%d Ω is %s', (ohms, verdict, margin, because) => {
    const judged = judgeWinding('run winding', ohms, range)
    expect(judged).toMatchObject({ subject: 'run winding', value: ohms, verdict, because, low: 2, high: 4 })
    expect(judged.margin).toBeCloseTo(margin, 9)
  })
  it('is open from a hundred kilohms on', () => {
    for (const open of [null, 1e5, 2e6])
      expect(judgeWinding('run winding', open, range)).toMatchObject({
        value: null,
        verdict: 'failed',
        because: expect.stringMatching(/^open: burnt open/) as string,
      })
    expect(judgeWinding('run winding', 99_999, range).value).toBe(99_999)
  })
})

describe('copper warmed (IEC 60028)', () => {
  it('gains 0.393 % a kelvin of its ohms at 20 °C', () => {
    expect(correctResistance(10, 20, 70)).toBeCloseTo(11.965, 9)
    expect(correctResistance(10, 20, 70, 'aluminium')).toBeCloseTo(12.015, 9)
  })
  it('has no resistance left at −234 °C, where the law ends', () => {
    for (const celsius of [20 - 1 / 0.00393, -300])
      expect(() => correctResistance(1, celsius, 20)).toThrow(/celsius: .*above -234 °C/)
    expect(() => correctResistance(1, 20, -300)).toThrow(/toCelsius/)
  })
})

describe('three leads', () => {
  const pairs = (a: number | null, b: number | null, c: number | null) => ({ '1-2': a, '2-3': b, '1-3': c })
  it('are named when their sum agrees within eight percent, and said with how well', () => {
    // 3 + 6 = 9: 9.7 is 7.78 % over.
    expect(identifyLeads(pairs(3, 6, 9.7))).toMatchObject({
      verdict: 'sound',
      because: '2 is common, 1 run, 3 start; the sum agrees within 7.78 %',
      sumErrorPercent: expect.closeTo(7.7778, 3) as number,
    })
    expect(identifyLeads(pairs(3, 6, 9.8))).toEqual({
      verdict: 'failed',
      sumErrorPercent: expect.closeTo(8.888, 2),
      because: expect.stringMatching(/^the largest pair misses the sum of the other two by 8.89 %/) as string,
    })
    expect(identifyLeads(pairs(3, 6, 8.2), { tolerancePercent: 9 }).verdict).toBe('sound')
  })
  it('cannot be told apart within eight percent', () => {
    expect(identifyLeads(pairs(10, 10.7, 20.7))).toEqual({
      common: '2',
      sumErrorPercent: expect.closeTo(0, 9),
      verdict: 'unclear',
      because: 'the two windings are within 7 % of each other: ohms cannot tell run from start',
    })
    expect(identifyLeads(pairs(12.5, 13.5, 26)).verdict, 'eight percent apart').toBe('sound')
  })
  it('need three pairs of two different names, each over its cable', () => {
    const refused = (ohms: Record<string, number | null>, cableOhms?: number) =>
      expect(() => identifyLeads(ohms, cableOhms === undefined ? {} : { cableOhms }))
    refused({ '1-2': 1, '2-3': 2 }).toThrow(/three pairs over three leads/)
    refused({ '1-2': 1, '2-1': 1, '2-3': 2, '1-3': 3 }).toThrow(/three pairs over three leads/)
    for (const name of ['1-2-3', '-2', '1-', '1-1', '12']) refused({ [name]: 1 }).toThrow(/two different lead names/)
    refused(pairs(0, 2, 3)).toThrow(/a resistance above 0 Ω, or null for open/)
    refused(pairs(Number.NaN, 2, 3)).toThrow(/a resistance above/)
    refused(pairs(1, 2, 3), 1).toThrow(/above the cable's 1 Ω/)
  })
  it('with one pair alone open are read again; with two, the lead in both is open; with three, what all share', () => {
    expect(identifyLeads(pairs(null, 2, 3))).toMatchObject({
      verdict: 'unclear',
      because: expect.stringContaining('one pair alone cannot be open') as string,
    })
    expect(identifyLeads(pairs(null, null, 3), { cableOhms: 1 })).toEqual({
      openLead: '2',
      remainingOhms: 2,
      verdict: 'failed',
      because: 'lead 2 is open: its winding, its joint or its wire',
    })
    expect(identifyLeads(pairs(null, null, null))).toMatchObject({ verdict: 'failed' })
  })
})
