import { readNumber } from '#core/quantity/read-number'
import { describe, expect, it } from 'vitest'
import type { Field } from '#core/questions/fields'
import {
  boundsWords,
  curveText,
  fieldText,
  readCurve,
  readField,
  readStock,
  shortNumber,
  stockText,
} from './field-text'

describe('a number as it is written', () => {
  it.each<[string, number | undefined]>([
    ['1.5', 1.5],
    [' 1,5 ', 1.5],
    ['−3', -3],
    ['-3', -3],
    ['', undefined],
    ['  ', undefined],
    ['about two', undefined],
    ['1.2.3', undefined],
  ])('%j', (text, value) => expect(readNumber(text)).toBe(value))
  it('stands with four figures and no noise', () =>
    expect([0.30000000000000004, 12345.6, 2].map(shortNumber)).toEqual(['0.3', '12350', '2']))
  it.each([
    [{ above: 0, max: 700 }, undefined, 'a number above 0 and up to 700'],
    [{ above: 0 }, undefined, 'a number above 0'],
    [{ min: 0.5, max: 3 }, undefined, 'a number from 0.5 to 3'],
    [{ min: 2 }, undefined, 'a number of 2 or more'],
    [{ above: 0, max: 1000 }, 'length' as const, 'a number above 0 and up to 3281'],
  ])('%j is said in words', (bounds, measure, words) => expect(boundsWords(bounds, measure, 'us')).toBe(words))
})

describe('a curve as text', () => {
  const points = [
    { flowLitresPerSecond: 0, headMetres: 80 },
    { flowLitresPerSecond: 1, headMetres: 60.5 },
  ]
  it('is flow at head, in the units shown, and comes back', () => {
    expect(curveText(points, 'metric')).toBe('0 at 80, 1 at 60.5')
    expect(curveText(points, 'us')).toBe('0 at 262.5, 15.85 at 198.5')
    expect(readCurve('0 at 80, 1 at 60.5', 'metric')).toEqual(points)
    expect(readCurve('0@80; 1/60.5', 'metric')).toEqual(points)
  })
  it.each(['', '0 at 80, x', '0 at 80, 1 at 80', '0 at 80, 0 at 60', '1 at 80, 0 at 60', 'at 80'])(
    'is none of %j',
    (text) => expect(readCurve(text, 'metric')).toBeUndefined(),
  )
})

describe('capacitors as text', () => {
  it('come back as they were', () => {
    const stock = [
      { microfarads: 20, volts: 440 },
      { microfarads: 7.5, volts: 370 },
    ]
    expect(stockText(stock)).toBe('20/440, 7.5/370')
    expect(readStock('20/440, 7.5 / 370')).toEqual(stock)
    expect(readStock(' ')).toEqual([])
    for (const text of ['20', '20/440,', '20/x']) expect(readStock(text), text).toBeUndefined()
  })
})

describe('a field of a question', () => {
  const number = (more: object = {}): Field =>
    ({
      name: 'lift',
      label: 'Lift',
      group: '',
      as: 'number',
      measure: 'length',
      min: 0,
      max: 30,
      usual: 5,
      ...more,
    }) as Field
  it('is read in the units shown and kept in core’s', () => {
    expect(readField(number(), '10', 'us').value).toBeCloseTo(3.048, 9)
    expect(fieldText(number(), 3.048, 'us')).toBe('10')
    expect(fieldText(number(), undefined, 'us')).toBe('')
  })
  it('says what would be right', () => {
    expect(readField(number(), '120', 'us')).toEqual({ problem: 'A number from 0 to 98.43 ft' })
    expect(readField(number({ above: 0 }), '0', 'metric')).toEqual({ problem: 'A number above 0 to 30 m' })
    expect(readField(number({ measure: 'count', whole: true }), '1.5', 'metric')).toEqual({
      problem: 'A whole number from 0 to 30',
    })
    expect(readField(number(), 'x', 'metric').problem).toContain('A number')
    expect(readField(number(), '-0.1', 'metric').problem).toContain('from 0')
    expect(readField(number(), '30', 'metric')).toEqual({ value: 30 })
  })
  it('may be left out only where it has no usual value', () => {
    expect(readField(number({ usual: undefined }), ' ', 'us')).toEqual({})
    expect(readField(number(), ' ', 'us').problem).toBeDefined()
  })
  it('of another form is read in its own', () => {
    const of = (as: string) => ({ name: 'x', label: 'x', group: '', as, usual: [], choices: [] }) as unknown as Field
    expect(readField(of('choice'), 'steel', 'us')).toEqual({ value: 'steel' })
    expect(readField(of('curve'), '0 at 80', 'metric').problem, 'one point is no curve').toContain(
      'Two points or more as L/s at m',
    )
    expect(readField(of('curve'), '0 at 80, 1 at 60', 'metric').value).toHaveLength(2)
    expect(readField(of('stock'), '20/440', 'us').value).toEqual([{ microfarads: 20, volts: 440 }])
    expect(readField(of('stock'), '20', 'us').problem).toContain('μF/V')
    expect(fieldText(of('stock'), [{ microfarads: 20, volts: 440 }], 'us')).toBe('20/440')
    expect(fieldText(of('curve'), [{ flowLitresPerSecond: 0, headMetres: 80 }], 'metric')).toBe('0 at 80')
    expect(fieldText(of('choice'), 'steel', 'us')).toBe('steel')
  })
})
