import { wrap, type Remote } from 'comlink'
import type { Asker } from '~/workers/workings.worker'

let asker: Remote<Asker> | undefined

/** The worker for ten thousand tries, started at first use. */
export function useAsker(): Remote<Asker> {
  asker ??= wrap<Asker>(
    new Worker(new URL('../workers/workings.worker.ts', import.meta.url), { type: 'module', name: 'workings' }),
  )
  return asker
}
