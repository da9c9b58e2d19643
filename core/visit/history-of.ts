import { LEVEL_LABELS } from '../sound/words'
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
export function historyIn({
  id,
  findings,
  recordings,
  pump,
}: Pick<VisitState, 'id' | 'findings' | 'recordings' | 'pump'>): HistoryReading[] {
  return [...findings.map((judged) => historyOf(id, judged, pump)), ...recordings.flatMap((each) => levelsIn(id, each))]
}

/** What one recording is laid beside another by. No limit is known for it. */
function levelsIn(visitId: string, { at, heard, side }: VisitState['recordings'][number]): HistoryReading[] {
  return (['hiss', 'turn'] as const).flatMap((level) => {
    const value = heard[`${level}Decibels`]
    const subject = `${LEVEL_LABELS[level]} beside the low tones, ${side} side`
    return value === undefined
      ? []
      : [{ visitId, at, check: `${level}-level`, setup: side, value, unit: 'dB', verdict: 'unclear', subject }]
  })
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
