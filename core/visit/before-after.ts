import { mechanismOf } from '../diagnosis/finding'
import type { JudgedFinding, VisitState } from './fold'

/** One reading before the repair beside the same reading after it. */
export interface BeforeAfter {
  key: string
  subject: string
  before?: JudgedFinding
  after?: JudgedFinding
}

/** Readings of one thing, side by side: the newest of Test and the newest of Prove. */
export function beforeAfter(state: Pick<VisitState, 'findings'>): BeforeAfter[] {
  const rows = new Map<string, BeforeAfter>()
  for (const judged of state.findings) {
    const key = mechanismOf(judged.finding)
    const row = rows.get(key) ?? { key, subject: judged.judgement.subject }
    rows.set(key, { ...row, [judged.stage === 'prove' ? 'after' : 'before']: judged })
  }
  return [...rows.values()]
}

const WORST_FIRST = { failed: 0, tired: 1, unclear: 3, sound: 2 } as const

/**
 * The few readings of a visit that are worth remembering before the next: what was not sound, then what was measured.
 *
 * @param most how many
 */
export function tellingReadings(findings: readonly JudgedFinding[], most: number): JudgedFinding[] {
  const newest = [...new Map(findings.map((judged) => [mechanismOf(judged.finding), judged])).values()]
  const measured = ({ finding }: JudgedFinding) => (finding.outcome === undefined ? 0 : 1)
  return newest
    .sort((a, b) => WORST_FIRST[a.judgement.verdict] - WORST_FIRST[b.judgement.verdict] || measured(a) - measured(b))
    .slice(0, most)
}
