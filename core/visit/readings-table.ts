import { VERDICT_WORDS } from '../judgement/judgement'
import { readingUnit, shownReading } from '../quantity/reading'
import { render, type Reader } from '../quantity/sentence'
import { isUnit, UNIT_LABELS } from '../quantity/units'
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

/** In the reader's own units; where those are the kept ones, by the id under which they are kept. */
function unitText(unit: string | undefined, { system }: Reader): string {
  if (!isUnit(unit)) return unit ?? ''
  const shown = readingUnit(unit, system)
  return shown === UNIT_LABELS[unit] ? unit : shown
}

/** Every live reading of a visit as rows, oldest first. An open reading has the value `open`. */
export function readingRows(state: Pick<VisitState, 'findings'>, reader: Reader): ReadingRow[] {
  const text = (value: number | null | undefined, unit: string | undefined) =>
    value === undefined
      ? ''
      : value === null
        ? 'open'
        : String(isUnit(unit) ? Number(shownReading(value, unit, reader.system).value.toPrecision(6)) : value)
  return state.findings.map(({ at, stage, finding, judgement }) => ({
    at,
    stage,
    check: finding.check,
    part: finding.part ?? judgement.part ?? '',
    leads: finding.leads ?? '',
    value: finding.outcome === undefined ? text(finding.value ?? null, finding.unit) : '',
    unit: finding.outcome === undefined ? unitText(finding.unit, reader) : '',
    outcome: finding.outcome ?? '',
    verdict: VERDICT_WORDS[judgement.verdict],
    low: text(judgement.low, judgement.unit),
    high: text(judgement.high, judgement.unit),
    because: render(judgement.because, reader),
    basis: judgement.basis.name,
  }))
}
