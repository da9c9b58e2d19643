import { describe, expect, it } from 'vitest'
import { ModelShelf } from './model-shelf'

const pump = { kind: 'pool', ageYears: 8, nameplate: { volts: 230, horsepower: 1 } } as const

describe('a shelf for one model', () => {
  it('gives the same one for the same machine, whatever was read on it', () => {
    const shelf = new ModelShelf()
    const first = shelf.modelOf({ pump })
    expect(shelf.modelOf({ ...{ pump: { ...pump } }, alreadyReplaced: [] })).toBe(first)
  })
  it('builds another for another machine, another history, another experience', () => {
    const shelf = new ModelShelf()
    const first = shelf.modelOf({ pump })
    const others = [
      shelf.modelOf({ pump: { ...pump, ageYears: 9 } }),
      shelf.modelOf({ pump, alreadyReplaced: ['run-capacitor'] }),
      shelf.modelOf({ pump }, { 'shaft-seal-leaking': 2 }),
    ]
    expect(new Set([first, ...others]).size).toBe(4)
    const prior = (model: typeof first, fault: string) =>
      model.hypotheses.find(({ faults }) => faults.length === 1 && faults[0] === fault)?.prior ?? 0
    expect(prior(others[2] as typeof first, 'shaft-seal-leaking')).toBeGreaterThan(prior(first, 'shaft-seal-leaking'))
  })
  it('builds it of the motor that the findings prove', () => {
    const shelf = new ModelShelf()
    const seen = [{ check: 'start-switch-look', outcome: 'stuck-open' }]
    expect(shelf.modelOf({ pump, findings: seen }).holding.has('start-switch-failed')).toBe(true)
  })
})
