import { availableParallelism } from 'node:os'
import { runAll } from '../run-all'
import type { Row, Task } from './worker'

const SIZES = [
  { name: 'one van, 200 machines', machines: 200, vans: 1 },
  { name: 'one van, 800 machines', machines: 800, vans: 1 },
  { name: 'three vans, 2400 machines', machines: 2400, vans: 3 },
]
const POLICIES = ['nothing', 'fixed dozen', 'min and max by habit', 'by need, habit’s money', 'by need']

/** Five years of shops of three sizes, each kept in four ways: the same machines, the same failures, the same calls. */
export async function runBench({
  shops,
  years,
  seed,
  workerFile,
}: {
  shops: number
  years: number
  seed: number
  workerFile: URL
}): Promise<void> {
  const started = Date.now()
  const tasks = SIZES.flatMap(({ machines, vans }) =>
    Array.from({ length: shops }, (_, at): Task => ({ machines, vans, length: years, seed: seed + 10 * at })),
  )
  const rows = await runAll<Task, Row>(tasks, workerFile)
  console.log(`${shops} shops of each size, ${years} years, seeds from ${seed}\n`)
  console.log('shop                        kept                    visits  second trips  of visits  money lying, mean')
  for (const { name, machines } of SIZES)
    for (const policy of POLICIES) {
      const own = rows.filter((row) => row.machines === machines && row.policy === policy)
      const sum = (of: (row: Row) => number) => own.reduce((all, row) => all + of(row), 0)
      console.log(
        [
          name.padEnd(26),
          policy.padEnd(22),
          String(sum(({ visits }) => visits)).padStart(7),
          String(sum(({ secondTrips }) => secondTrips)).padStart(13),
          `${((100 * sum(({ secondTrips }) => secondTrips)) / sum(({ visits }) => visits)).toFixed(1)} %`.padStart(10),
          (sum(({ tied }) => tied) / shops).toFixed(0).padStart(18),
        ].join(' '),
      )
    }
  console.log(`\n${((Date.now() - started) / 1000).toFixed(0)} s on ${availableParallelism()} cores`)
}
