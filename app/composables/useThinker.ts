import { wrap, type Remote } from 'comlink'
import type { Thinker } from '~/workers/inference.worker'

let thinker: Remote<Thinker> | undefined

/** The inference worker, started at first use and kept for the page's life: its models stay warm. */
export function useThinker(): Remote<Thinker> {
  thinker ??= wrap<Thinker>(
    new Worker(new URL('../workers/inference.worker.ts', import.meta.url), { type: 'module', name: 'inference' }),
  )
  return thinker
}
