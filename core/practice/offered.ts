import type { ActionRow } from '../knowledge/faults/model-types'

/** Is a repair one of a machine in its place that hangs on no reading? */
export function inPlace({ onlyAfter, standings }: ActionRow): boolean {
  return !onlyAfter && !standings
}
