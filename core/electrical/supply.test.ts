import { describe, expect, it } from 'vitest'
import { dropPercent, judgeLoadedSupply, judgeSupply } from './supply'

describe('volts at rest on a 230 V plate (NEMA MG 1, ±10 %)', () => {
  it.each([
    [22.9, 'failed', 'no supply to speak of: 22.9 V where 207 to 253 V is wanted'],
    [23, 'failed', '90 % under the 230 V plate, outside 207 to 253 V'],
    [200, 'failed', '13 % under the 230 V plate, outside 207 to 253 V'],
    [211, 'tired', 'inside 207 to 253 V, with little margin left'],
    [212, 'sound', 'within 207 to 253 V for a 230 V plate'],
    [248, 'sound', 'within 207 to 253 V for a 230 V plate'],
    [250, 'tired', 'inside 207 to 253 V, with little margin left'],
    [260, 'failed', '13 % over the 230 V plate, outside 207 to 253 V'],
  ])('%d V is %s', (volts, verdict, because) => {
    const judged = judgeSupply(230, volts)
    expect(judged).toMatchObject({ subject: 'supply at rest', value: volts, unit: 'V', verdict, because })
    expect([judged.low, judged.high]).toEqual([expect.closeTo(207, 9), expect.closeTo(253, 9)])
  })
  it('has the nearer limit for its margin', () => {
    expect(judgeSupply(230, 217).margin).toBeCloseTo(10 / 207, 9)
    expect(judgeSupply(230, 243).margin).toBeCloseTo(10 / 253, 9)
  })
})

describe('volts under load', () => {
  it.each([
    [240, 228, 'tired', 'falls 5 % from 240 V at rest; over 5 % points at wire size, length or a poor joint'],
    [240, 227, 'failed', 'falls 5.42 % from 240 V at rest; over 5 % points at wire size, length or a poor joint'],
    [250, 242, 'tired', 'falls 3.2 % from 250 V at rest; over 5 % points at wire size, length or a poor joint'],
    [250, 242.5, 'sound', 'within 207 to 253 V for a 230 V plate'],
    [238, 238, 'sound', 'within 207 to 253 V for a 230 V plate'],
    [210, 204, 'failed', '11.3 % under the 230 V plate, outside 207 to 253 V'],
    [232, 200, 'failed', '13 % under the 230 V plate, outside 207 to 253 V'],
  ])('%d V at rest and %d loaded is %s', (rest, loaded, verdict, because) => {
    expect(judgeLoadedSupply(230, loaded, rest)).toMatchObject({ subject: 'supply under load', verdict, because })
  })
  it('names the code’s drop or the window, by whichever it went', () => {
    expect(judgeLoadedSupply(230, 228, 240).basis.name).toMatch(/^NEC/)
    expect(judgeLoadedSupply(230, 236, 240).basis.name).toMatch(/^NEMA/)
  })
  it('is the window alone where nothing, or nothing above zero, was read at rest', () => {
    for (const rest of [undefined, 0, -1]) expect(judgeLoadedSupply(230, 225, rest).verdict).toBe('sound')
  })
  it('stays tired by the window where the fall alone would be sound', () =>
    expect(judgeLoadedSupply(230, 208, 209).verdict).toBe('tired'))
  it('is a share of the volts at rest, which must be there', () => {
    expect(dropPercent(240, 228)).toBeCloseTo(5, 9)
    expect(dropPercent(1, 1)).toBe(0)
    for (const rest of [0, -5]) expect(() => dropPercent(rest, 0)).toThrow(/above 0 V/)
  })
})
