import { existsSync } from 'node:fs'
import { availableParallelism } from 'node:os'
import { Piscina } from 'piscina'
import { InputError } from '../../core/validation/input-error'
import type { TaskAnswer, TaskInput, TaskName, TaskOutput } from '../workers/tasks'

/** How long a task may take, milliseconds. A task that takes longer is ended with its thread; the others go on. */
const LONGEST = {
  readLines: 60_000,
  entries: 20_000,
  visitFile: 60_000,
  picture: 20_000,
  paper: 20_000,
  mail: 20_000,
  readings: 20_000,
  visitJson: 60_000,
  found: 60_000,
  trends: 60_000,
  machine: 60_000,
  forecast: 60_000,
  shelf: 60_000,
  priceList: 60_000,
  registerLines: 60_000,
  registerPlan: 60_000,
  registerTable: 60_000,
  ahead: 20_000,
  working: 20_000,
  batch: 60_000,
} as const satisfies Record<TaskName, number>
const MOST_WAITING = 200
const MOST_MEGABYTES = 1_024
const IDLE_MILLISECONDS = 60_000

/** A task took longer, or more memory, than one request may. */
export class TooHeavy extends Error {}
/** So much is waiting already that one more would wait for nothing. */
export class TooBusy extends Error {}
/** The bytes are no JSON at all. */
export class Malformed extends Error {}

/** Runs heavy work away from the thread that answers requests. */
export interface HeavyWork {
  run: <N extends TaskName>(name: N, input: TaskInput<N>) => Promise<TaskOutput<N>>
  close: () => Promise<void>
}

export interface HeavyWorkOptions {
  /**
   * How many tasks a thread has in hand: with two it goes on while the thread that gives them out is itself busy. A
   * task that is ended takes the other with it.
   */
  tasksInHand?: number
}

/**
 * Worker threads for heavy work.
 *
 * @param filename the bundled worker; where the server runs from its sources there is none, and the work is done in
 *   this thread
 */
export function heavyWork(filename: string | undefined, options: HeavyWorkOptions = {}): HeavyWork {
  const pool = filename && existsSync(filename) ? poolOf(filename, options) : undefined
  return {
    async run<N extends TaskName>(name: N, input: TaskInput<N>): Promise<TaskOutput<N>> {
      return outputOf(pool ? await inThread(pool, name, input) : await here(name, input))
    },
    close: async () => {
      await pool?.destroy()
    },
  }
}

function poolOf(filename: string, { tasksInHand = 1 }: HeavyWorkOptions): Piscina {
  return new Piscina({
    filename,
    concurrentTasksPerWorker: tasksInHand,
    minThreads: 1,
    maxThreads: Math.max(2, availableParallelism()),
    idleTimeout: IDLE_MILLISECONDS,
    maxQueue: MOST_WAITING,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
  })
}

/** In this very thread, where there is no bundled worker. */
async function here<N extends TaskName>(name: N, input: TaskInput<N>): Promise<TaskAnswer<N>> {
  const { runTask } = await import('../workers/tasks')
  return runTask({ name, input })
}

async function inThread<N extends TaskName>(pool: Piscina, name: N, input: TaskInput<N>): Promise<TaskAnswer<N>> {
  const ending = new AbortController()
  const timer = setTimeout(() => ending.abort(), LONGEST[name])
  try {
    return (await pool.run({ name, input }, { signal: ending.signal })) as TaskAnswer<N>
  } catch (error) {
    if (ending.signal.aborted) throw new TooHeavy(`This takes longer than ${LONGEST[name] / 1000} seconds.`)
    if (isCode(error, 'ERR_WORKER_OUT_OF_MEMORY')) throw new TooHeavy('This takes more memory than one request may.')
    if (error instanceof Error && /queue is at limit/i.test(error.message))
      throw new TooBusy('The server is busy with other heavy work.')
    throw error
  } finally {
    clearTimeout(timer)
  }
}

function outputOf<N extends TaskName>(answer: TaskAnswer<N>): Awaited<TaskOutput<N>> {
  if ('refused' in answer) throw new InputError(answer.refused)
  if ('malformed' in answer) throw new Malformed(answer.malformed)
  return answer.output as Awaited<TaskOutput<N>>
}

function isCode(error: unknown, code: string): boolean {
  return error instanceof Error && 'code' in error && error.code === code
}
