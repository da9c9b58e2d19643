import { usualSetup } from '../diagnosis/judge-finding'
import type { Pump } from '../motor/nameplate'
import type { Machine } from './entry'
import { fittedSince } from './fitted'
import type { JudgedFinding, VisitState } from './fold'
import type { HistoryReading } from './history'

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
