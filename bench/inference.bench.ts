import { addNode, inferences, type INetwork } from 'bayesjs'
import { bench, describe } from 'vitest'
import { diagnose } from '../core/diagnosis/diagnose'
import type { DiagnosisCase } from '../core/diagnosis/finding'
import { infer } from '../core/diagnosis/inference'
import { buildModel, type DiagnosisModel } from '../core/diagnosis/model'

/**
 * The largest model: a jet pump with both capacitors, a switch, two windings, a tank, a pressure switch and a line that
 * must hold its prime.
 */
const input: DiagnosisCase = {
  pump: {
    kind: 'jet',
    construction: 'jet-end',
    ageYears: 8,
    nameplate: { volts: 230, hertz: 60, motorType: 'capacitor-start-run', horsepower: 1.5 },
  },
  complaints: ['hums-no-start'],
  findings: [
    { check: 'supply-voltage', value: 236 },
    { check: 'shaft-turn', outcome: 'free' },
    { check: 'listen', outcome: 'hum' },
    { check: 'weep-hole', outcome: 'dry' },
  ],
}
const model = buildModel(input.pump)
const singles = [...model.hypotheses.keys()].filter((h) => model.hypotheses[h]?.faults.length === 1)
const mass = singles.reduce((sum, h) => sum + (model.priors[h] as number), 0)
const seen = (input.findings ?? []).filter(({ outcome }) => outcome !== undefined)
let network: INetwork = addNode(
  {},
  {
    id: 'CAUSE',
    states: singles.map((h) => `h${h}`),
    parents: [],
    cpt: Object.fromEntries(singles.map((h) => [`h${h}`, (model.priors[h] as number) / mass])),
  },
)
for (const { check } of seen) {
  const row = model.checks.find((candidate) => candidate.check === check) as DiagnosisModel['checks'][number]
  network = addNode(network, {
    id: check,
    states: row.states.map(({ id }) => id),
    parents: ['CAUSE'],
    cpt: singles.map((h) => ({
      when: { CAUSE: `h${h}` },
      then: Object.fromEntries(row.states.map(({ id }, s) => [id, row.rows[h * row.states.length + s] as number])),
    })),
  })
}
const given = Object.fromEntries(seen.map(({ check, outcome }) => [check, outcome as string]))

describe('posterior of the largest kind', () => {
  bench('ours: all hypotheses, pairs included', () => {
    infer(model, input)
  })
  bench('bayesjs: one of the single faults, variable elimination', () => {
    inferences.variableElimination.infer(network, { CAUSE: `h${singles[5]}` }, given)
  })
})

describe('posterior and next check, judgements and explanations', () => {
  bench('diagnose (a frame is 16 ms)', () => {
    diagnose(input)
  })
})
