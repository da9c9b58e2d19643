import { wrap, type Remote } from 'comlink'
import type { Orderer } from '~/workers/day.worker'

let orderer: Remote<Orderer> | undefined

/** The worker that orders days, started at first use. */
export function useOrderer(): Remote<Orderer> {
  orderer ??= wrap<Orderer>(
    new Worker(new URL('../workers/day.worker.ts', import.meta.url), { type: 'module', name: 'day' }),
  )
  return orderer
}
