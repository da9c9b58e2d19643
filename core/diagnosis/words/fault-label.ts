import { FAULTS, isIdOf } from '../../knowledge/vocabulary'

/** A fault in words; unknown ids read as themselves. */
export function faultLabel(fault: string): string {
  return isIdOf(FAULTS, fault) ? FAULTS[fault] : fault
}

/** What failed first and what that brought about, one after the other. */
export function causeChain({ fault, then = [] }: { fault: string; then?: readonly string[] }): string {
  return [fault, ...then].map(faultLabel).join(' → ')
}
