import { wrap, type Remote } from 'comlink'
import type { Listener } from '~/workers/sound.worker'

let listener: Remote<Listener> | undefined

/** The worker that listens to recordings, started at first use. */
export function useListener(): Remote<Listener> {
  listener ??= wrap<Listener>(
    new Worker(new URL('../workers/sound.worker.ts', import.meta.url), { type: 'module', name: 'sound' }),
  )
  return listener
}
