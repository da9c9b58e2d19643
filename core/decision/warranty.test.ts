import { describe, expect, it } from 'vitest'
import { DEFAULT_RATES } from '../knowledge/shop/rates'
import type { Part } from '../knowledge/vocabulary'
import { warrantyWorth } from './warranty'

const worth = (parts: Part[], years?: number) =>
  warrantyWorth(
    { parts: parts.map((part) => ({ part, label: part, price: 0 })) },
    DEFAULT_RATES,
    { kind: 'pool' },
    years,
  )

describe('what a warranty is worth', () => {
  it('is the chance of an early end times what it would cost', () => {
    // A motor lives 5 to 10 years: middle 7.5, shape 3.
    expect(worth(['motor'], 2)).toBeCloseTo((1 - Math.exp(-((2 / 7.5) ** 3))) * 310 * 1.25, 9)
    expect(worth(['motor'], 3)).toBeGreaterThan(worth(['motor'], 2))
  })

  it('is nothing for what has none', () => expect(worth(['run-capacitor', 'shaft-seal'])).toBe(0))
})
