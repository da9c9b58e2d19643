import { describe, expect, it } from 'vitest'
import { US_READER } from '../../quantity/sentence'
import type { Posterior } from '../inference'
import type { DiagnosisModel } from '../model'
import { describeFinding, explainFault, findDisagreement, logRatio } from './explain'

// Two causes, even before anything was read.
const model = {
  priors: Float64Array.from([0.5, 0.5]),
  hypotheses: [{ faults: ['bearings-worn'] }, { faults: ['no-supply'] }],
  holding: new Map([
    ['bearings-worn', Int32Array.from([0])],
    ['no-supply', Int32Array.from([1])],
  ]),
} as unknown as DiagnosisModel
const weighed = (likelihood: [number, number], finding: object = { check: 'listen', outcome: 'grind' }) => ({
  finding,
  likelihood: Float64Array.from(likelihood),
})
const explain = (
  findings: ReturnType<typeof weighed>[],
  complaints: { complaint: string; likelihood: Float64Array }[] = [],
) =>
  explainFault(
    model,
    { weighed: findings, complaints, fromComplaint: model.priors } as unknown as Posterior,
    'bearings-worn',
    US_READER,
  )

describe('a finding in a few words', () => {
  it.each([
    [{ check: 'capacitance', part: 'run-capacitor', value: 27 }, 'run capacitor 27 μF'],
    [{ check: 'winding-resistance', leads: 'run-common', value: 3 }, 'run winding 3 Ω'],
    [{ check: 'winding-resistance', leads: 'start-run', value: null }, 'run and start winding open'],
    [{ check: 'winding-resistance', leads: '1-2', value: 3 }, 'winding 1-2 3 Ω'],
    [{ check: 'shaft-turn', outcome: 'free' }, 'shaft, by hand: free'],
    [{ check: 'supply-voltage', value: 236 }, 'supply at rest 236 V'],
    [{ check: 'no-such', value: 2 }, 'no-such 2'],
  ])('%j', (finding, words) => expect(describeFinding(finding, US_READER)).toBe(words))
})

describe('how much a finding speaks for a cause', () => {
  it('is the logarithm of its odds', () => {
    const ratio = (a: number, b: number) => logRatio(model, model.priors, Float64Array.from([a, b]), 'bearings-worn')
    expect(ratio(0.9, 0.1)).toBeCloseTo(Math.log(9), 9)
    expect(ratio(0.3, 0.3)).toBeCloseTo(0, 9)
    expect(logRatio(model, Float64Array.from([0, 1]), Float64Array.from([1, 1]), 'bearings-worn'), 'ruled out').toBe(0)
    expect(logRatio(model, model.priors, Float64Array.from([1, 1]), 'no-fault-here')).toBe(0)
  })
})

describe('why a cause stands where it stands', () => {
  it.each<[[number, number], string]>([
    [[0.9, 0.1], 'speaks for it, 9 to 1'],
    [[0.1, 0.9], 'speaks against it, 9 to 1'],
    [[0.2, 0.1], 'speaks for it, 2.0 to 1'],
    [[0.5, 0.03], 'speaks for it, 15 to 1'],
    [[1, 0.005], 'speaks for it, more than 100 to 1'],
  ])('%j', (likelihood, words) => expect(explain([weighed(likelihood)])).toEqual([`listen: grind ${words}`]))
  it('says the three that moved it most, the strongest first, and nothing that moved next to nothing', () => {
    const told = explain([
      weighed([0.2, 0.1]),
      weighed([0.52, 0.48]),
      weighed([0.05, 0.9]),
      weighed([0.4, 0.1]),
      weighed([0.3, 0.1]),
    ])
    expect(told.map((each) => each.split(', ').at(-1))).toEqual(['20 to 1', '4 to 1', '3.0 to 1'])
  })
  it('counts what the caller says', () =>
    expect(explain([], [{ complaint: 'noise-grind', likelihood: Float64Array.from([0.8, 0.1]) }])[0]).toBe(
      'the caller says: grinds speaks for it, 8 to 1',
    ))
})

describe('two findings that disagree', () => {
  const said = (...pairs: [number, number][]) =>
    findDisagreement(
      model,
      pairs.map((pair, index) => weighed(pair, { check: 'supply-voltage', value: 200 + index })) as never,
      US_READER,
    )
  it('are those that no cause explains together', () => {
    expect(said([1, 0.05], [0.05, 1])?.findings.map(({ value }) => value)).toEqual([200, 201])
    expect(said([1, 0.05], [0.05, 1])?.because).toMatch(
      /^These two readings disagree: supply at rest 200 V, and supply at rest 201 V\. /,
    )
  })
  it('are none where one cause explains both, or each is only a little odd', () => {
    expect(said([1, 0.05], [0.9, 0.05])).toBeUndefined()
    expect(said([1, 0.2], [0.2, 1])).toBeUndefined()
    expect(said([1, 0.05])).toBeUndefined()
  })
  it('are said to be explained by nothing known where even the best takes them badly', () => {
    expect(said([1, 0.001], [0.001, 1])?.because).toMatch(/^Nothing known explains all of this\. These two/)
    expect(said([1, 0.05], [0.05, 1])?.because).toMatch(/^These two/)
  })
  it('are the worst of several', () =>
    expect(said([1, 0.01], [0.1, 1], [0.01, 1])?.findings.map(({ value }) => value)).toEqual([200, 202]))
  it('are found wherever they stand among the readings', () =>
    expect(said([1, 0.9], [1, 0.01], [0.01, 1])?.findings.map(({ value }) => value)).toEqual([201, 202]))
})
