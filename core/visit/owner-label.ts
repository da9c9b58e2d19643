import { checkInfo } from '../knowledge/checks/checks'
import { INSULATION_LABELS, OWNER_LABELS } from '../knowledge/repairs/owner-words'
import type { JudgedFinding } from './fold'
import { capital } from './owner-done'

/** What a reading is called before its owner; halves, leads, sides and places stay with it. */
export function ownerLabel({ finding, judgement }: Pick<JudgedFinding, 'finding' | 'judgement'>): string {
  const { subject } = judgement
  const own = checkInfo(finding.check)?.label ?? ''
  const label = OWNER_LABELS[finding.check]
  for (const [from, to] of Object.entries(INSULATION_LABELS))
    if (subject.startsWith(from)) return capital(to + subject.slice(from.length))
  const named = label && subject.startsWith(own) ? label + subject.slice(own.length) : subject
  return capital(named.replace(/, (?:by hand|look)\b/, ''))
}
