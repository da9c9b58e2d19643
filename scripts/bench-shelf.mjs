// Keeps made-up shops of three sizes through five years in four ways: nothing, a fixed dozen, min and max by habit, and
// by need; prints the second trips and the money that lies.
// node scripts/bench-shelf.mjs [--shops 3] [--years 5] [--seed N]
import { parseArgs } from 'node:util'
import { installPackages, needNode } from './lib/setup.mjs'
import { bundle } from './lib/bundle.mjs'

needNode()
await installPackages()
const { values } = parseArgs({
  options: {
    shops: { type: 'string', default: '3' },
    years: { type: 'string', default: '5' },
    seed: { type: 'string', default: '1000' },
  },
})
const workerFile = new URL(await bundle('bench/shelf/worker.ts', 'bench-shelf-worker'))
const { runBench } = await import(await bundle('bench/shelf/run.ts', 'bench-shelf'))
await runBench({ shops: Number(values.shops), years: Number(values.years), seed: Number(values.seed), workerFile })
