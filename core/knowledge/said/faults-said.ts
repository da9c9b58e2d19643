import { FAULTS } from '../vocabulary'

/** The program’s own names of faults: typed back, they are a suspicion, kept as a note and never as a finding. */
export const FAULTS_SAID: Readonly<Record<string, readonly string[]>> = Object.fromEntries(
  Object.entries(FAULTS).map(([fault, label]) => [fault, [label.toLowerCase()]]),
)
