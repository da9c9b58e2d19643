import { wrap, type Remote } from 'comlink'
import type { Clock } from '~/workers/repair.worker'

let clock: Remote<Clock> | undefined

/** The worker that reads a repair’s clock, started at first use. */
export function useRepairClock(): Remote<Clock> {
  clock ??= wrap<Clock>(
    new Worker(new URL('../workers/repair.worker.ts', import.meta.url), { type: 'module', name: 'repair' }),
  )
  return clock
}
