import { describe, expect, it } from 'vitest'
import { correctInsulation, correctionCaution, judgeInsulation, splitInsulation, splitRange } from './insulation'

describe('insulation by its setup', () => {
  it.each([
    ['motor-and-cable', 0.49, 'failed', '0.49 MΩ, below the limit of 0.5 MΩ'],
    ['motor-and-cable', 0.5, 'tired', '0.5 MΩ: above 0.5 MΩ, under the 2 MΩ of a sound one'],
    ['motor-and-cable', 1.9, 'tired', '1.9 MΩ: above 0.5 MΩ, under the 2 MΩ of a sound one'],
    ['motor-and-cable', 2, 'sound', '2 MΩ, sound above 2 MΩ'],
    ['motor-alone', 9, 'failed', '9 MΩ, below the limit of 10 MΩ'],
    ['cable-alone', 99, 'tired', '99 MΩ: above 10 MΩ, under the 100 MΩ of a sound one'],
  ] as const)('%s at %d MΩ is %s', (setup, megohms, verdict, because) => {
    const judged = judgeInsulation({ megohms, setup })
    expect(judged).toMatchObject({ value: megohms, unit: 'Mohm', verdict, because })
    expect(judged.subject).toBe(`insulation, ${setup.replaceAll('-', ' ')}`)
    expect(judged).not.toHaveProperty('corrected')
  })
  it('has its margin over the lower limit', () => {
    expect(judgeInsulation({ megohms: 1.5, setup: 'motor-and-cable' }).margin).toBeCloseTo(2, 9)
    expect(judgeInsulation({ megohms: 0.25, setup: 'motor-and-cable' }).margin).toBeCloseTo(-0.5, 9)
  })
  it('is brought to 40 °C on a surface motor alone, and says so', () => {
    expect(judgeInsulation({ megohms: 400, setup: 'surface-motor', celsius: 20 })).toMatchObject({
      verdict: 'sound',
      megohmsAt40: 100,
      corrected: { value: 100, to: '40 °C', rule: expect.stringContaining('halving') as string },
      because: '100 MΩ at 40 °C (read 400 MΩ at 20 °C), sound above 20 MΩ',
    })
    expect(judgeInsulation({ megohms: 4, setup: 'motor-and-cable', celsius: 60 })).not.toHaveProperty('megohmsAt40')
  })
  it('asks more of a new motor: below its limit it goes back', () => {
    const alone = (megohms: number, ageState: 'new' | 'used') =>
      judgeInsulation({ megohms, setup: 'motor-alone', ageState })
    expect(alone(199, 'new')).toMatchObject({ verdict: 'failed', because: '199 MΩ: a new one below 200 MΩ goes back' })
    expect(alone(200, 'new')).toMatchObject({ verdict: 'sound', because: '200 MΩ, sound above 200 MΩ' })
    expect(alone(199, 'used').verdict).toBe('sound')
    expect(judgeInsulation({ megohms: 1, setup: 'motor-and-cable', ageState: 'new' }).because, 'no limit for new').toBe(
      '1 MΩ: above 0.5 MΩ, under the 2 MΩ of a sound one',
    )
  })
  it('warns of a ten-fold fall, where it is sound otherwise', () => {
    const fallen = (megohms: number, earlierMegohms: number) =>
      judgeInsulation({ megohms, setup: 'motor-and-cable', earlierMegohms })
    expect(fallen(5, 50)).toMatchObject({
      verdict: 'tired',
      because: 'above its limit, but 10 times lower than last time (50 MΩ)',
    })
    expect(fallen(5, 49).verdict).toBe('sound')
    expect(fallen(1, 50).because, 'tired already').toContain('under the 2 MΩ')
  })
  it('does not clear a winding on fewer than 250 V, and condemns it on any', () => {
    const at = (megohms: number, testVolts: number) => judgeInsulation({ megohms, setup: 'motor-and-cable', testVolts })
    expect(at(50, 249)).toMatchObject({
      verdict: 'unclear',
      because: 'read at 249 V: weak insulation shows only at 500 V. Use the megohmmeter',
    })
    expect([at(50, 250).verdict, at(1, 9).verdict, at(0.1, 9).verdict]).toEqual(['sound', 'unclear', 'failed'])
  })
})

describe('insulation brought to another temperature (IEEE 43)', () => {
  it('halves for every ten degrees', () => {
    expect(correctInsulation(100, 30)).toBeCloseTo(50, 9)
    expect(correctInsulation(100, 30, 20)).toBeCloseTo(200, 9)
  })
  it('goes by the exponentials of thermosetting insulation on either side of 40 °C', () => {
    const at = (from: number, to = 40) => correctInsulation(100, from, to, 'thermosetting')
    expect(at(40)).toBe(100)
    expect(at(20)).toBeCloseTo(100 * Math.exp(-1245 * (1 / 293 - 1 / 313)), 6)
    expect(at(60)).toBeCloseTo(100 * Math.exp(-4230 * (1 / 333 - 1 / 313)), 6)
    expect(at(60, 20)).toBeCloseTo(at(60) / Math.exp(-1245 * (1 / 293 - 1 / 313)), 6)
    expect(correctInsulation(at(60, 20), 20, 60, 'thermosetting')).toBeCloseTo(100, 6)
  })
  it('says where its rule does not hold', () => {
    for (const edge of [0, 85]) expect(correctionCaution(edge, 40, 'halving')).toBeUndefined()
    expect(correctionCaution(-1, 40, 'halving')).toContain('-1 °C lies outside 0 to 85 °C')
    expect(correctionCaution(40, 86, 'halving')).toContain('86 °C lies outside')
    expect(correctionCaution(9, 40, 'thermosetting')).toContain('where the thermosetting rule was made')
  })
})

describe('what of a leak is the motor’s', () => {
  it('is refused where the cable leaks as much as the whole', () => {
    expect(splitInsulation(2, 4)).toBeCloseTo(4, 9)
    for (const cable of [2, 1.9]) expect(() => splitInsulation(2, cable)).toThrow(/more than the whole, 2 MΩ/)
  })
  it('lies between what both readings may be off by; anything where their bands meet', () => {
    const { lowestMegohms, highestMegohms } = splitRange(2, 4, 0.1)
    expect(lowestMegohms).toBeCloseTo(1 / (1 / 1.8 - 1 / 4.4), 9)
    expect(highestMegohms).toBeCloseTo(1 / (1 / 2.2 - 1 / 3.6), 9)
    expect(splitRange(2, 2.4, 0.1)).not.toHaveProperty('highestMegohms')
    expect(splitRange(0.8, 1.2, 0.2), 'where they just meet').not.toHaveProperty('highestMegohms')
  })
})
