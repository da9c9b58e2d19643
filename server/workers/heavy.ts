import { readlinkSync } from 'node:fs'
import { constants, setPriority } from 'node:os'
import { runTask } from './tasks'

stepBack()

/** The entry of a worker thread. */
export default runTask

/**
 * Heavy work takes what is left of the machine, so that whoever answers requests is never kept waiting for it. Linux
 * knows priorities by thread.
 */
function stepBack(): void {
  try {
    setPriority(Number(readlinkSync('/proc/thread-self').split('/').at(-1)), constants.priority.PRIORITY_LOW)
  } catch {
    // Elsewhere all threads are equal.
  }
}
