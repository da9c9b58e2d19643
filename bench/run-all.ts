import { availableParallelism } from 'node:os'
import { Worker } from 'node:worker_threads'

/**
 * Does tasks on all cores: each worker has its share as `workerData.tasks` and posts what comes of each.
 *
 * @returns what was posted, in no order
 */
export async function runAll<Task, Row>(tasks: readonly Task[], workerFile: URL): Promise<Row[]> {
  const count = Math.max(1, availableParallelism())
  const rows: Row[] = []
  await Promise.all(
    Array.from(
      { length: count },
      (_, index) =>
        new Promise<void>((resolve, reject) => {
          const own = tasks.filter((_task, at) => at % count === index)
          const worker = new Worker(workerFile, { workerData: { tasks: own } })
          worker.on('message', (row: Row) => rows.push(row))
          worker.once('error', reject)
          worker.once('exit', () => resolve())
        }),
    ),
  )
  return rows
}
