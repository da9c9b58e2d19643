import { outcomeLabel } from '../knowledge/checks/checks'
import { formatReading } from '../quantity/reading'
import type { Reader } from '../quantity/sentence'
import { isUnit } from '../quantity/units'
import { usualSetup } from '../diagnosis/judge-finding'
import type { Pump } from '../motor/nameplate'
import type { JudgedFinding } from './fold'

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
  corrected?: number
}

/** A judged finding of a visit as one line of its machine's history. */
export function historyOf(
  visitId: string,
  { at, finding, judgement }: JudgedFinding,
  pump: Pick<Pump, 'kind'>,
): HistoryReading {
  return {
    visitId,
    at,
    check: finding.check,
    part: finding.part ?? judgement.part,
    leads: finding.leads,
    setup: finding.setup ?? (finding.check === 'insulation-resistance' ? usualSetup(pump) : undefined),
    value: finding.value ?? null,
    outcome: finding.outcome,
    unit: finding.unit,
    verdict: judgement.verdict,
    subject: judgement.subject,
    ...(judgement.low === undefined ? {} : { low: judgement.low }),
    ...(judgement.corrected ? { corrected: judgement.corrected.value } : {}),
  }
}

/** A reading of earlier in a few words: "run capacitor 27 μF". */
export function historyText({ subject, value, outcome, unit }: HistoryReading, { system }: Reader): string {
  const read =
    outcome === undefined ? formatReading(value, isUnit(unit) ? unit : undefined, system, 4) : outcomeLabel(outcome)
  return `${subject} ${read}`
}

/** The newest earlier insulation reading by setup, megohms: what a new one is compared with for the trend. */
export function earlierReadings(history: readonly HistoryReading[]): Record<string, number> {
  return Object.fromEntries(
    history.flatMap(({ check, setup, value }) =>
      check === 'insulation-resistance' && value !== null ? [[`${check}:${setup as string}`, value]] : [],
    ),
  )
}
