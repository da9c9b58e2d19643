import { availableParallelism } from 'node:os'
import { Worker } from 'node:worker_threads'
import { buildModel } from '#core/diagnosis/model'
import { MOTOR_TYPES, type Fault, type MotorType } from '#core/knowledge/vocabulary'
import { ALL_KINDS } from './cases'
import { printFigures, printKinds, printWorst } from './report'
import type { Done, Task } from './worker'

/** Seeds on which the tables were tuned, and those they are reported on. */
const TUNING_FROM = 1_000_000
const REPORTING_FROM = 5_000_000

export interface BenchOptions {
  machines: number
  tune: boolean
  everyFault: boolean
  worst: number
  workerFile: URL
}

/** Every fault that some motor type of a kind can have. */
function faultsOf(kind: (typeof ALL_KINDS)[number]): Fault[] {
  const types = Object.keys(MOTOR_TYPES) as MotorType[]
  return [
    ...new Set(
      types.flatMap((motorType) => [...buildModel({ kind, nameplate: { volts: 230, motorType } }).holding.keys()]),
    ),
  ] as Fault[]
}

async function runAll(tasks: readonly Task[], workerFile: URL): Promise<Done[]> {
  const share = Math.max(1, availableParallelism())
  const parts = Array.from({ length: share }, (_, index) => tasks.filter((_task, at) => at % share === index))
  const done = await Promise.all(
    parts.map(
      (part) =>
        new Promise<Done[]>((resolve, reject) => {
          const rows: Done[] = []
          const worker = new Worker(workerFile, { workerData: { tasks: part } })
          worker.on('message', (row: Done) => rows.push(row))
          worker.once('error', reject)
          worker.once('exit', () => resolve(rows))
        }),
    ),
  )
  return done.flat().sort((a, b) => a.seed - b.seed)
}

export async function runBench({ machines, tune, everyFault, worst, workerFile }: BenchOptions): Promise<void> {
  const started = Date.now()
  const from = tune ? TUNING_FROM : REPORTING_FROM
  const drawn = Array.from({ length: machines }, (_, index): Task => ({
    seed: from + index,
    kind: ALL_KINDS[index % ALL_KINDS.length] as Task['kind'],
    withChecklist: true,
  }))
  const rows = (await runAll(drawn, workerFile)).filter(({ lamp }) => lamp !== undefined)
  console.log(
    printFigures(
      tune
        ? `Tuning seeds from ${from}, faults at the stated rates`
        : `Reporting seeds from ${from} (never used for tuning), faults at the stated rates`,
      rows,
    ),
  )
  console.log(printKinds(rows))
  console.log('Worst faults:')
  console.log(printWorst(rows, worst))
  if (everyFault) {
    const each = ALL_KINDS.flatMap((kind, k) =>
      faultsOf(kind).flatMap((fault, f): Task[] =>
        [0, 1, 2].map((turn) => ({
          seed: from + 500_000 + k * 10_000 + f * 10 + turn,
          kind,
          fault,
          withChecklist: false,
        })),
      ),
    )
    const all = await runAll(each, workerFile)
    const called = all.filter(({ lamp }) => lamp !== undefined)
    console.log(
      `\n${printFigures(
        'Every fault of every kind, three machines each, as if all were equally common (the tables know that ' +
          'they are not)',
        called,
      )
        .split('\n')
        .filter((line) => !line.includes('checklist') && !line.includes('minutes'))
        .join('\n')}`,
    )
    const silent = all.filter(({ lamp }) => lamp === undefined)
    console.log(
      `  nobody calls about: ${[...new Set(silent.map(({ kind, fault }) => `${kind} ${fault}`))].join(', ') || 'none'}`,
    )
    console.log('Worst faults:')
    console.log(printWorst(called, worst))
  }
  console.log(`\n${((Date.now() - started) / 1000).toFixed(0)} s on ${availableParallelism()} cores`)
}
