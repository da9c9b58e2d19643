import { outcomeLabel } from '../knowledge/checks/checks'
import { formatReading } from '../quantity/reading'
import type { Reader } from '../quantity/sentence'
import { isUnit } from '../quantity/units'
import { usualSetup } from '../diagnosis/judge-finding'
import type { Pump } from '../motor/nameplate'
import type { Machine } from './entry'
import { fittedSince } from './fitted'
import type { JudgedFinding, VisitState } from './fold'

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

/** A judged finding of a visit as one line of its machine's history. */
export function historyOf(
  visitId: string,
  { at, finding, judgement, replaced }: JudgedFinding,
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
    ...(judgement.high === undefined ? {} : { high: judgement.high }),
    ...(judgement.corrected ? { corrected: judgement.corrected.value } : {}),
    ...(replaced ? { replaced } : {}),
  }
}

/** All that one visit read, as its machine's history has it. */
export function historyIn({ id, findings, pump }: Pick<VisitState, 'id' | 'findings' | 'pump'>): HistoryReading[] {
  return findings.map((judged) => historyOf(id, judged, pump))
}

/** A reading of earlier in a few words: "run capacitor 27 μF". */
export function historyText({ subject, value, outcome, unit }: HistoryReading, { system }: Reader): string {
  const read =
    outcome === undefined ? formatReading(value, isUnit(unit) ? unit : undefined, system, 4) : outcomeLabel(outcome)
  return `${subject} ${read}`
}

/**
 * The newest earlier insulation reading by setup, megohms: what a new one is compared with for the trend. What was read
 * of a motor that was replaced since is no measure.
 */
export function earlierReadings(history: readonly HistoryReading[], machine?: Machine): Record<string, number> {
  const since = machine ? fittedSince(machine, 'insulation') : undefined
  return Object.fromEntries(
    history
      .filter(({ at, replaced }) => !replaced && (since === undefined || at.slice(0, 10) >= since))
      .flatMap(({ check, setup, value }) =>
        check === 'insulation-resistance' && value !== null ? [[`${check}:${setup as string}`, value]] : [],
      ),
  )
}
