// Listens to virtual pumps with damaged bearings and without, with five noises about them; prints how often a damaged
// bearing is found, how often one is heard that is none, and how often nothing is said.
// node scripts/bench-sound.mjs [--sounds 500] [--seed N]
import { parseArgs } from 'node:util'
import { installPackages, needNode } from './lib/setup.mjs'
import { bundle } from './lib/bundle.mjs'

needNode()
await installPackages()
const { values } = parseArgs({
  options: { sounds: { type: 'string', default: '500' }, seed: { type: 'string', default: '7000000' } },
})
const workerFile = new URL(await bundle('bench/sound/worker.ts', 'bench-sound-worker'))
const { runBench } = await import(await bundle('bench/sound/run.ts', 'bench-sound'))
await runBench({ sounds: Number(values.sounds), seed: Number(values.seed), workerFile })
