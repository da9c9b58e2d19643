import { availableParallelism } from 'node:os'
import { Worker } from 'node:worker_threads'
import { buildModel } from '#core/diagnosis/model'
import { MOTOR_TYPES, type Fault, type MotorType } from '#core/knowledge/vocabulary'
import { ALL_KINDS } from '#core/practice/cases'
import { printFaults, printFigures, printKinds, printWorst } from './report'
import type { Done, Task } from './worker'

/** Seeds on which the tables were tuned, and those they are reported on where none is given. */
const TUNING_FROM = 1_000_000
const REPORTING_FROM = 5_000_000
/** Machines of one world share how far its rates lie from the engine’s. */
const MACHINES_A_WORLD = 100

export interface BenchOptions {
  machines: number
  tune: boolean
  /** Where the seeds start; absent means those kept for reporting. */
  seed?: number
  /** So many machines of each fault. */
  perFault: number
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

export async function runBench({
  machines,
  tune,
  seed,
  perFault,
  everyFault,
  worst,
  workerFile,
}: BenchOptions): Promise<void> {
  const started = Date.now()
  const from = seed ?? (tune ? TUNING_FROM : REPORTING_FROM)
  const drawn = Array.from({ length: machines }, (_, index): Task => ({
    seed: from + index,
    world: from + Math.floor(index / MACHINES_A_WORLD),
    kind: ALL_KINDS[index % ALL_KINDS.length] as Task['kind'],
    withOthers: true,
  }))
  const rows = (await runAll(drawn, workerFile)).filter(({ lamp }) => lamp !== undefined)
  console.log(
    printFigures(
      `Seeds from ${from}${tune ? ' (used for tuning)' : ''}; each fault up to three times as common, or as rare, ` +
        'as believed',
      rows,
    ),
  )
  console.log(printKinds(rows))
  console.log('Worst faults:')
  console.log(printWorst(rows, worst))
  if (everyFault) {
    const known = new Map(ALL_KINDS.map((kind) => [kind, faultsOf(kind)]))
    // Each kind that can have a fault gives its share of the machines.
    const kindsOf = (fault: Fault) => [...known.values()].filter((faults) => faults.includes(fault)).length
    const each = ALL_KINDS.flatMap((kind, k) =>
      (known.get(kind) ?? []).flatMap((fault, f): Task[] =>
        Array.from({ length: Math.max(1, Math.ceil(perFault / kindsOf(fault))) }, (_, turn) => ({
          seed: from + 500_000 + k * 100_000 + f * 100 + turn,
          world: from,
          kind,
          fault,
          withOthers: false,
        })),
      ),
    )
    const all = await runAll(each, workerFile)
    const called = all.filter(({ lamp }) => lamp !== undefined)
    console.log(
      `\n${printFigures(
        `Every fault at least ${perFault} times over its kinds, as if all were equally common (the tables know that ` +
          'they are not)',
        called,
      )
        .split('\n')
        .filter((line) => !line.includes('checklist') && !line.includes('minutes') && !line.includes('technician'))
        .join('\n')}`,
    )
    const silent = all.filter(({ lamp }) => lamp === undefined)
    console.log(
      `  nobody calls about: ${[...new Set(silent.map(({ kind, fault }) => `${kind} ${fault}`))].join(', ') || 'none'}`,
    )
    console.log('Faults cured least often, over all kinds:')
    console.log(printFaults(called, worst))
    console.log('Worst faults:')
    console.log(printWorst(called, worst))
  }
  console.log(`\n${((Date.now() - started) / 1000).toFixed(0)} s on ${availableParallelism()} cores`)
}
