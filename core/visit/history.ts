import { outcomeLabel } from '../knowledge/checks/outcome-label'
import { formatReading } from '../quantity/reading'
import type { Reader } from '../quantity/sentence'
import { isUnit } from '../quantity/units'

/** A reading of a machine in an earlier visit, as the history and the trend need it. */
export interface HistoryReading {
  visitId: string
  at: string
  check: string
  part?: string
  leads?: string
  setup?: string
  value: number | null
  outcome?: string
  unit?: string
  verdict: string
  subject: string
  low?: number
  high?: number
  corrected?: number
  /** Read of a part that was replaced in that visit: no measure for the new one. */
  replaced?: true
}

/** A reading of earlier in a few words: "run capacitor 27 μF". */
export function historyText({ subject, value, outcome, unit }: HistoryReading, { system }: Reader): string {
  const read =
    outcome === undefined ? formatReading(value, isUnit(unit) ? unit : undefined, system, 4) : outcomeLabel(outcome)
  return `${subject} ${read}`
}
