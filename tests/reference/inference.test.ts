import { addNode, inferences, type INetwork } from 'bayesjs'
import { describe, expect, it } from 'vitest'
import type { Finding } from '#core/diagnosis/finding'
import { infer } from '#core/diagnosis/inference'
import { cureChance, expectedLosses, lossTable } from '#core/diagnosis/loss'
import { buildModel, complaintLikelihood, modelCheckOf, type DiagnosisModel } from '#core/diagnosis/model'
import { activeHypotheses, informationBits, rankChecks } from '#core/diagnosis/next-check'
import { DECIDING } from '#core/knowledge/faults/thresholds'
import { DEFAULT_RATES } from '#core/knowledge/shop/rates'
import { MOTOR_TYPES, type MotorType } from '#core/knowledge/vocabulary'
import openChecks from './open-checks.json'

const FINDINGS: Finding[] = [
  { check: 'supply-voltage', value: 236 },
  { check: 'shaft-turn', outcome: 'free' },
  { check: 'listen', outcome: 'hum' },
  { check: 'winding-resistance', leads: 'run-common', value: 2.1 },
  { check: 'insulation-resistance', value: 180, celsius: 22 },
]
const model = (motorType: MotorType): DiagnosisModel =>
  buildModel({ kind: 'pool', ageYears: 8, nameplate: { volts: 230, motorType, horsepower: 1 } })

/** A hum told and heard: with a cause one thing, no likelier than the word and the finding each; without, two. */
function heardAsTold(made: DiagnosisModel, h: number, found: number): number {
  const told = complaintLikelihood(made, 'hums-no-start')[h] as number
  return told > 0.0042 ? Math.min(told, found) : told * found
}

/** The posterior by the plain definition, written apart from the engine: products, no logarithms. */
function bruteForce(made: DiagnosisModel, complaints: string[], findings: Finding[]): number[] {
  const joint = made.hypotheses.map(({ prior }, h) => {
    let weight = prior
    for (const complaint of complaints) weight *= complaintLikelihood(made, complaint)[h] as number
    for (const finding of findings) {
      const found = (modelCheckOf(made, finding)?.weigh(finding)?.[h] ?? 1) as number
      weight *= finding.outcome === 'hum' ? heardAsTold(made, h, found) : found
    }
    return weight
  })
  const sum = joint.reduce((total, weight) => total + weight, 0)
  return joint.map((weight) => weight / sum)
}

describe('the posterior', () => {
  it.each(Object.keys(MOTOR_TYPES) as MotorType[])('equals brute force to 1e-9 for %s', (motorType) => {
    const made = model(motorType)
    const { probabilities } = infer(made, { complaints: ['hums-no-start', 'trips-breaker'], findings: FINDINGS })
    bruteForce(made, ['trips-breaker'], FINDINGS).forEach((expected, h) =>
      expect(Math.abs((probabilities[h] as number) - expected)).toBeLessThan(1e-9),
    )
  })

  it('equals an independent Bayesian library to 1e-9 (bayesjs, enumeration), over the single faults', () => {
    const made = model('capacitor-start-run')
    const singles = [...made.hypotheses.keys()].filter((h) => made.hypotheses[h]?.faults.length === 1)
    const mass = singles.reduce((sum, h) => sum + (made.priors[h] as number), 0)
    let network: INetwork = addNode(
      {},
      {
        id: 'CAUSE',
        states: singles.map((h) => `h${h}`),
        parents: [],
        cpt: Object.fromEntries(singles.map((h) => [`h${h}`, (made.priors[h] as number) / mass])),
      },
    )
    const seen = [
      { check: 'shaft-turn', outcome: 'free' },
      { check: 'listen', outcome: 'hum' },
      { check: 'weep-hole', outcome: 'dry' },
    ]
    for (const { check } of seen) {
      const row = made.checks.find((candidate) => candidate.check === check) as DiagnosisModel['checks'][number]
      const cpt = singles.map((h) => ({
        when: { CAUSE: `h${h}` },
        then: Object.fromEntries(row.states.map(({ id }, s) => [id, row.rows[h * row.states.length + s] as number])),
      }))
      network = addNode(network, { id: check, states: row.states.map(({ id }) => id), parents: ['CAUSE'], cpt })
    }
    const given = Object.fromEntries(seen.map(({ check, outcome }) => [check, outcome]))
    const { probabilities } = infer(made, { findings: seen })
    const ours = singles.reduce((sum, h) => sum + (probabilities[h] as number), 0)
    const compared = [
      'run-capacitor-failed',
      'start-capacitor-failed',
      'start-switch-failed',
      'motor-seized',
      'bearings-worn',
      'nothing-wrong',
    ]
    for (const fault of compared) {
      const h = singles.find((index) => made.hypotheses[index]?.faults[0] === fault) as number
      expect(
        Math.abs(
          (probabilities[h] as number) / ours - inferences.enumeration.infer(network, { CAUSE: `h${h}` }, given),
        ),
      ).toBeLessThan(1e-9)
    }
  })
})

describe('the value of a check', () => {
  it('equals the plain definition: least expected loss now, less the mean of the least after each answer', () => {
    const made = model('permanent-split')
    const losses = lossTable(made, DEFAULT_RATES)
    const { probabilities } = infer(made, { complaints: ['hums-no-start'], findings: FINDINGS.slice(0, 2) })
    const ranking = rankChecks(made, { now: losses, opened: losses }, probabilities, made.checks, {
      held: new Set(),
      rates: DEFAULT_RATES,
      repairing: 0,
      standing: 'installed',
    })
    /** The rule that acts: of the repairs likely enough to be the cure the one that loses least, or testing on. */
    const acting = (weights: Float64Array): number => {
      const expected = expectedLosses(losses, weights)
      const chances = made.actions.map(({ cures }) => cureChance(made.hypotheses, weights, cures))
      const least = DECIDING.likelyShare * Math.max(...chances)
      return Math.min(
        expected[losses.carryOn] as number,
        ...made.actions.flatMap((_, a) => ((chances[a] as number) >= least ? [expected[a] as number] : [])),
      )
    }
    const { indices, probabilities: active } = activeHypotheses(probabilities)
    const spread = new Float64Array(probabilities.length)
    indices.forEach((index, i) => {
      spread[index] = active[i] as number
    })
    const now = acting(spread)
    const long = ranking.filter(({ minutes }) => minutes > 1.5)
    expect(long.length).toBeGreaterThan(5)
    for (const { check, worth } of long) {
      const after = check.states
        .map((_, s) => {
          const weights = spread.map(
            (probability, h) => probability * (check.rows[h * check.states.length + s] as number),
          )
          return acting(weights)
        })
        .reduce((sum, value) => sum + value, 0)
      expect(worth).toBeCloseTo(now - after, 6)
    }
  })

  it('finds the information gains of the published worked cases (shared checks O-BAY-01 and O-BAY-02)', () => {
    for (const id of ['O-BAY-01', 'O-BAY-02']) {
      const given = openChecks.find((each) => each.id === id) as unknown as {
        given: {
          prior: Record<string, number>
          tests: Record<string, { states: string[]; given: Record<string, number[]> }>
          evidence: Record<string, string>
          candidate_tests: string[]
        }
        expect: { posterior: Record<string, number>; eig_bits: Record<string, number> }
      }
      const causes = Object.keys(given.given.prior)
      const weights = causes.map((cause) =>
        Object.entries(given.given.evidence).reduce(
          (weight, [test, state]) =>
            weight *
            (given.given.tests[test]?.given[cause]?.[
              given.given.tests[test]?.states.indexOf(state) as number
            ] as number),
          given.given.prior[cause] as number,
        ),
      )
      const sum = weights.reduce((total, weight) => total + weight, 0)
      const posterior = {
        indices: Int32Array.from(causes.keys()),
        probabilities: Float64Array.from(weights, (weight) => weight / sum),
      }
      causes.forEach((cause, h) =>
        expect(posterior.probabilities[h]).toBeCloseTo(given.expect.posterior[cause] as number, 5),
      )
      for (const test of given.given.candidate_tests) {
        const { states, given: rows } = given.given.tests[test] as { states: string[]; given: Record<string, number[]> }
        const bits = informationBits(
          {
            states: states.map((name) => ({ id: name, label: name })),
            rows: Float64Array.from(causes.flatMap((cause) => rows[cause] as number[])),
          },
          posterior,
        )
        expect(bits).toBeCloseTo(given.expect.eig_bits[test] as number, 5)
      }
    }
  })
})
