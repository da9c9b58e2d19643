import { FAULTS, isIdOf } from '../../knowledge/vocabulary'

/** A fault in words; unknown ids read as themselves. */
export function faultLabel(fault: string): string {
  return isIdOf(FAULTS, fault) ? FAULTS[fault] : fault
}
