import { describe, expect, it } from 'vitest'
import { urgencyOf } from './urgency'

describe('how urgent a call is', () => {
  it.each([
    [{ kind: 'well-two-wire', complaints: ['no-water'], livestock: true }, 'livestock without water'],
    [{ kind: 'sump', complaints: ['alarm-sounding', 'pit-flooded'] }, 'the pit is full'],
    [{ kind: 'jet', complaints: ['dead'], onlySupply: true }, 'the only water there is'],
    [{ kind: 'well-three-wire', complaints: ['trips-breaker'] }, 'no water in the house'],
    [{ kind: 'booster', complaints: ['low-pressure'], withoutWater: true }, 'somebody is without water'],
    [{ kind: 'circulation', complaints: ['leak-under-motor'] }, 'water at a motor'],
    [{ kind: 'pool', complaints: ['trips-breaker'] }, undefined],
    [{ kind: 'well-two-wire', complaints: ['high-bill'], onlySupply: true }, undefined],
  ] as const)('%j is %s', (asked, words) => expect(urgencyOf(asked).words).toBe(words))

  it('weighs beasts and houses without water above all, and a plain call above nothing', () => {
    const weight = (complaints: string[], kind: 'pool' | 'sump' | 'jet', livestock = false) =>
      urgencyOf({ kind, complaints, livestock }).perHour
    const weights = [
      weight(['no-water'], 'jet', true),
      weight(['pit-flooded'], 'sump'),
      weight(['no-water'], 'jet'),
      weight(['leak-under-motor'], 'pool'),
      weight([], 'pool'),
    ]
    expect(weights).toEqual(weights.toSorted((a, b) => b - a))
    expect(weights.at(-1)).toBeGreaterThan(0)
  })
})
