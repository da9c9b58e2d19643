import type { Asked, Finding } from '../diagnosis/finding'
import { checkInfo, outcomeLabel } from '../knowledge/checks/checks'
import { saidOf } from '../knowledge/said/said'
import { UNIT_LABELS } from '../quantity/units'

/** How the reading line names a check, so that only its value or outcome is left to write. */
export function lineSubject({ of, ...asked }: Asked & Pick<Finding, 'of'>): string {
  return of === 'new' ? `new ${subjectOf(asked)}` : subjectOf(asked)
}

function subjectOf({ check, part, leads, setup, half }: Asked): string {
  const word = saidOf(check).names[0] ?? ''
  if (check === 'capacitance' || check === 'capacitor-look')
    return `${part === 'start-capacitor' ? 'start cap' : 'run cap'}${check === 'capacitor-look' ? ' look' : ''}`
  if (check === 'winding-resistance')
    return `${leads?.includes('start') ? 'start winding' : 'run winding'}${half === 'motor' ? ' at the motor' : ''}`
  if (check === 'o-ring-look' && part) return part.replaceAll('-', ' ').replace('o ring', 'o-ring')
  if (setup && setup !== 'surface-motor') return `${word} ${setup.replaceAll('-', ' ')}`
  if (half && half !== 'whole') return `${half === 'motor' ? 'motor' : 'pump end'} ${word}`
  return word
}

/** A whole line: the check and what it read, as somebody would type it. */
export function lineOf(
  asked: Asked & Pick<Finding, 'of'>,
  answer: { value?: number | null; outcome?: string },
): string {
  const unit = checkInfo(asked.check)?.unit
  const read =
    answer.outcome !== undefined
      ? outcomeLabel(answer.outcome)
      : answer.value === null
        ? asked.check === 'winding-resistance'
          ? 'open'
          : 'never'
        : `${answer.value} ${unit ? UNIT_LABELS[unit] : ''}`
  return `${lineSubject(asked)} ${read}`.trim()
}
