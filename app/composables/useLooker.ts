import { wrap, type Remote } from 'comlink'
import type { Looker } from '~/workers/practice.worker'

let looker: Remote<Looker> | undefined

/** The worker that looks back on a try, started at first use. */
export function useLooker(): Remote<Looker> {
  looker ??= wrap<Looker>(
    new Worker(new URL('../workers/practice.worker.ts', import.meta.url), { type: 'module', name: 'practice' }),
  )
  return looker
}
