import type { ActionRow, FaultRow } from '../faults/model-types'
import { IN_A_MOTOR_ALONE } from '../constructions/part-groups'
import type { JobRow } from './jobs'

/**
 * Can this repair or job be done to a motor that lies there without its pump? Its first part decides: seal and rings go
 * with the motor and are fitted at the pump.
 */
export function doneToMotorAlone(row: ActionRow | JobRow, faults: readonly FaultRow[]): boolean {
  const [first] = row.parts
  if (first !== undefined) return IN_A_MOTOR_ALONE.has(first)
  if (!('cures' in row)) return true
  const cured = faults.filter(({ fault }) => row.cures.includes(fault))
  return row.cures.includes('nothing-wrong') || cured.some(({ part }) => part && IN_A_MOTOR_ALONE.has(part))
}
