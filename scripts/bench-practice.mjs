// Lets simulated learners work pumps through at the bench: one does what the lamp says, one works down a book's list,
// one does anything; prints what each finds, hurts and wastes, and what their marks come to.
// node scripts/bench-practice.mjs [--runs 200] [--seed N]
import { parseArgs } from 'node:util'
import { installPackages, needNode } from './lib/setup.mjs'
import { bundle } from './lib/bundle.mjs'

needNode()
await installPackages()
const { values } = parseArgs({
  options: { runs: { type: 'string', default: '200' }, seed: { type: 'string', default: '1000' } },
})
const workerFile = new URL(await bundle('bench/practice/worker.ts', 'bench-practice-worker'))
const { runBench } = await import(await bundle('bench/practice/run.ts', 'bench-practice'))
await runBench({ runs: Number(values.runs), seed: Number(values.seed), workerFile })
