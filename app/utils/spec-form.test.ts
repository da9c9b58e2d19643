import { describe, expect, it } from 'vitest'
import type { NumberField } from '#core/knowledge/fits/family'
import { readMeasure, shownMeasure } from './spec-form'

const shaft: NumberField = { as: 'number', label: 'Shaft', measure: 'bore', max: 100, significant: 4 }

describe('a measure in a field', () => {
  it('is read in the reader’s unit, as a fraction, or in a unit of its own', () => {
    expect(readMeasure('5/8', shaft, 'us')).toBeCloseTo(15.875)
    expect(readMeasure('1 1/4', shaft, 'us')).toBeCloseTo(31.75)
    expect(readMeasure('16', shaft, 'metric')).toBe(16)
    expect(readMeasure('16 mm', shaft, 'us')).toBe(16)
    expect(readMeasure('', shaft, 'us')).toBeUndefined()
    expect([
      readMeasure('wide', shaft, 'us'),
      readMeasure('16 V', shaft, 'us'),
      readMeasure('3 4', shaft, 'us'),
    ]).toEqual([NaN, NaN, NaN])
  })

  it('is shown so that it is read as the same', () => {
    expect(readMeasure(shownMeasure(15.875, shaft, 'us'), shaft, 'us')).toBeCloseTo(15.875, 2)
    expect(shownMeasure(101.19, shaft, 'metric')).toBe('101.2')
  })
})
