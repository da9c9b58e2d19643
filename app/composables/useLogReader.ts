import { wrap, type Remote } from 'comlink'
import type { LogReader } from '~/workers/log.worker'

let reader: Remote<LogReader> | undefined

/** The worker that reads loggers' files, started at first use. */
export function useLogReader(): Remote<LogReader> {
  reader ??= wrap<LogReader>(
    new Worker(new URL('../workers/log.worker.ts', import.meta.url), { type: 'module', name: 'log' }),
  )
  return reader
}
