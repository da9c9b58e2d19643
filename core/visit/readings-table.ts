import { VERDICT_WORDS } from '../judgement/judgement'
import type { VisitState } from './fold'

/** One row of the readings export; column names are the header of the CSV. */
export interface ReadingRow {
  at: string
  stage: string
  check: string
  part: string
  leads: string
  value: string
  unit: string
  outcome: string
  verdict: string
  low: string
  high: string
  because: string
  basis: string
}
export const READING_COLUMNS = [
  'at',
  'stage',
  'check',
  'part',
  'leads',
  'value',
  'unit',
  'outcome',
  'verdict',
  'low',
  'high',
  'because',
  'basis',
] as const satisfies readonly (keyof ReadingRow)[]

/** Every live reading of a visit as rows, oldest first. An open reading has the value `open`. */
export function readingRows(state: Pick<VisitState, 'findings'>): ReadingRow[] {
  const text = (value: number | string | null | undefined) =>
    value === undefined ? '' : value === null ? 'open' : String(value)
  return state.findings.map(({ at, stage, finding, judgement }) => ({
    at,
    stage,
    check: finding.check,
    part: finding.part ?? judgement.part ?? '',
    leads: finding.leads ?? '',
    value: finding.outcome === undefined ? text(finding.value ?? null) : '',
    unit: finding.outcome === undefined ? (finding.unit ?? '') : '',
    outcome: finding.outcome ?? '',
    verdict: VERDICT_WORDS[judgement.verdict],
    low: text(judgement.low),
    high: text(judgement.high),
    because: judgement.because,
    basis: judgement.basis.name,
  }))
}
