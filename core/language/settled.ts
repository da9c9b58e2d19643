import type { Finding } from '../diagnosis/finding'
import { checkInfo, outcomeLabel, outcomeVerdict } from '../knowledge/checks/checks'
import type { Doubt, Heard, Said } from './understanding'

const mechanism = ({ check, part, half, at, side, lead }: Finding) => [check, part, half, at, side, lead].join('|')

/**
 * One thing said twice in a line: what agrees is one, the worse of two states stands, a denial beside a plain answer
 * agrees with it, and sound beside failed is asked.
 */
export function settled(said: readonly Said[], doubts: readonly Doubt[]): Heard {
  const kept: Said[] = []
  const asked: Doubt[] = []
  const rank = (finding: Finding) => {
    const verdict = outcomeVerdict(finding.check, finding.outcome as string)
    return verdict === 'failed' ? 2 : verdict === 'sound' ? 0 : 1
  }
  for (const item of said) {
    const finding = item.finding as Finding
    const index = kept.findIndex((other) => mechanism(other.finding as Finding) === mechanism(finding))
    const before = kept[index]
    if (!before) kept.push(item)
    else {
      const earlier = before.finding as Finding
      const pieces = [...before.pieces, ...item.pieces]
      if (earlier.outcome === finding.outcome) kept[index] = { finding: earlier, pieces }
      else if (rank(earlier) > 0 && rank(finding) > 0)
        kept[index] = { finding: rank(finding) >= rank(earlier) ? finding : earlier, pieces }
      else {
        kept.splice(index, 1)
        asked.push({
          question:
            `${checkInfo(finding.check)?.label}: ${outcomeLabel(earlier.outcome as string)} or ` +
            `${outcomeLabel(finding.outcome as string)}?`,
          answers: [earlier, finding].map((one) => ({ label: outcomeLabel(one.outcome as string), findings: [one] })),
          pieces,
        })
      }
    }
  }
  // A question that an answer elsewhere in the line has settled: "not humming any more, hisses a little".
  const open = doubts.filter((doubt) => {
    const checks = new Set(doubt.answers.flatMap(({ findings }) => (findings ?? []).map(({ check }) => check)))
    const settledBy = kept.find(({ finding }) => {
      if (!finding || !checks.has(finding.check)) return false
      return doubt.answers.some(({ findings }) =>
        findings?.some((one) => one.check === finding.check && one.outcome === finding.outcome),
      )
    })
    if (settledBy) for (const piece of doubt.pieces) piece.used = true
    return !settledBy
  })
  return { said: kept, doubts: [...open, ...asked] }
}
