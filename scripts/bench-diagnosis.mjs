// Follows the lamp, a technician by symptom and a textbook's checklist on virtual pumps with known faults; prints how
// often each is right, how long it takes and what it wastes.
// node scripts/bench-diagnosis.mjs [--machines 2000] [--seed N] [--per-fault 20] [--tune] [--worst 12] [--only-drawn]
import { parseArgs } from 'node:util'
import { installPackages, needNode } from './lib/setup.mjs'
import { bundle } from './lib/bundle.mjs'

needNode()
await installPackages()
const { values } = parseArgs({
  options: {
    machines: { type: 'string', default: '2000' },
    worst: { type: 'string', default: '12' },
    seed: { type: 'string' },
    'per-fault': { type: 'string', default: '20' },
    tune: { type: 'boolean', default: false },
    'only-drawn': { type: 'boolean', default: false },
  },
})
const workerFile = new URL(await bundle('bench/diagnosis/worker.ts', 'bench-diagnosis-worker'))
const { runBench } = await import(await bundle('bench/diagnosis/run.ts', 'bench-diagnosis'))
await runBench({
  machines: Number(values.machines),
  tune: values.tune,
  seed: values.seed === undefined ? undefined : Number(values.seed),
  perFault: Number(values['per-fault']),
  everyFault: !values['only-drawn'],
  worst: Number(values.worst),
  workerFile,
})
