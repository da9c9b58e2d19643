import { readdirSync } from 'node:fs'

/**
 * The processes of this machine of which something holds, as Linux tells of them under /proc.
 *
 * @param {(folder: string) => boolean} holds told the folder of each; what ends meanwhile, or is another's, is left out
 * @returns {number[]}
 */
export function processesWhere(holds) {
  return readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .filter((pid) => {
      try {
        return holds(`/proc/${pid}`)
      } catch {
        return false
      }
    })
    .map(Number)
}

/** Ends processes at once, as the system does that is short of memory. */
export function killAtOnce(pids) {
  for (const pid of pids) {
    try {
      process.kill(pid, 'SIGKILL')
    } catch {
      // It ended with another.
    }
  }
}
