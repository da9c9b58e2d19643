import { describe, expect, it } from 'vitest'
import { DEFAULT_RATES } from '../knowledge/shop/rates'
import type { DiagnosisCase, Finding } from './finding'
import { diagnosisOf } from './diagnose'
import { bestRepair, marginals, nextCandidate, pairs, reasonOn, singles, type Reasoning } from './reasoning'

const hums: DiagnosisCase = {
  pump: { kind: 'pool', construction: 'band-clamp', nameplate: { volts: 230, motorType: 'permanent-split' } },
  complaints: ['hums-no-start'],
  findings: [],
}

describe('what is put before a reader', () => {
  const of = (...hypotheses: [number, ...string[]][]) =>
    ({
      model: { hypotheses: hypotheses.map(([, ...faults]) => ({ faults })) },
      posterior: { probabilities: Float64Array.from(hypotheses, ([probability]) => probability) },
    }) as unknown as Reasoning

  it('every fault alone and every pair that is worth naming, the likeliest first', () => {
    const reasoning = of([0.1], [0.2, 'a'], [0.4, 'b'], [0.0005, 'a', 'b'], [0.05, 'a', 'c'], [0.2, 'b', 'c'])
    expect(singles(reasoning)).toEqual([
      { fault: 'b', probability: 0.4 },
      { fault: 'a', probability: 0.2 },
    ])
    expect(pairs(reasoning)).toEqual([
      { faults: ['b', 'c'], probability: 0.2 },
      { faults: ['a', 'c'], probability: 0.05 },
    ])
  })
  it('ten pairs at most', () =>
    expect(
      pairs(of(...Array.from({ length: 12 }, (_, index): [number, ...string[]] => [0.05, 'a', `b${index}`]))),
    ).toHaveLength(10))
  it('and nothing at all where every cause is set aside', () => {
    const reasoning = reasonOn(hums)
    expect(diagnosisOf({ ...reasoning, explicable: false })).toMatchObject({
      suspects: [],
      pairs: [],
      next: null,
      settled: false,
    })
    expect(diagnosisOf(reasoning).suspects.length).toBeGreaterThan(5)
  })
})

describe('a case weighed once', () => {
  it('reckons with the shop’s hour, and with a usual one where it charges by the job', () => {
    const of = (hourly: number) => reasonOn(hums, { rates: { ...DEFAULT_RATES, hourly } })
    expect(of(240).reckoned.hourly).toBe(240)
    expect(of(0).reckoned.hourly).toBe(DEFAULT_RATES.hourly)
    expect(of(0).rates.hourly, 'what is charged stays as it is').toBe(0)
  })

  it('a dearer hour makes a check dearer', () => {
    const cost = (hourly: number) => {
      const reasoning = reasonOn(hums, { rates: { ...DEFAULT_RATES, hourly } })
      const check = nextCandidate(reasoning, { ...bestRepair(reasoning), undecided: true })
      return { check: check?.check.key, cost: check?.cost as number }
    }
    const [cheap, usual, dear] = [cost(60), cost(120), cost(180)]
    expect([usual.check, dear.check]).toEqual([cheap.check, cheap.check])
    expect(usual.cost - cheap.cost).toBeGreaterThan(1)
    expect(dear.cost - usual.cost).toBeGreaterThan(1)
  })

  it('on the caller’s word alone a reading is asked for; one that was made is not asked for again', () => {
    const next = (input: DiagnosisCase, undecided: boolean) => {
      const reasoning = reasonOn(input)
      return nextCandidate(reasoning, { ...bestRepair(reasoning), undecided })
    }
    const first = next(hums, false)
    expect(first).toBeDefined()
    const outcome = first?.check.states[0]?.id
    const made: Finding = first?.check.states[0]?.range
      ? { check: first.check.check, part: first.check.part, value: 30 }
      : { check: first?.check.check as string, outcome }
    const then = next({ ...hums, findings: [made] }, true)
    expect(then?.check.key).not.toBe(first?.check.key)
    const passed = next({ ...hums, skipped: [first?.check.key as string] }, true)
    expect(passed?.check.key).not.toBe(first?.check.key)
  })

  it('a weak capacitor is at the top, and its replacing is the best repair', () => {
    const weak = reasonOn({
      ...hums,
      pump: { ...hums.pump, nameplate: { ...hums.pump.nameplate, runCapacitorMicrofarads: 30 } },
      findings: [{ check: 'capacitance', part: 'run-capacitor', value: 12, unit: 'uF' }],
    })
    const [top] = [...marginals(weak.model, weak.posterior.probabilities)].sort((a, b) => b[1] - a[1])
    expect(top?.[0]).toBe('run-capacitor-failed')
    expect(top?.[1]).toBeGreaterThan(0.8)
    expect(bestRepair(weak).action.cures).toContain('run-capacitor-failed')
    expect(bestRepair(weak).undecided).toBe(false)
  })
})
