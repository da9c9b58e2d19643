import { JOBS } from '../knowledge/repairs/jobs'
import { COMPLAINTS, GATES, PARTS, type Standing } from '../knowledge/vocabulary'
import { PLATE_LABELS } from '../knowledge/said/plate-said'
import { formatNumber } from '../quantity/format'
import type { Other } from './understanding'

export const STANDING_LABELS: Readonly<Record<Standing, string>> = {
  installed: 'in its place',
  bench: 'on the bench',
  barrel: 'in the test barrel',
  'in-box': 'in its box',
}

/** A job as people read it. */
export const jobLabel = (job: string): string => JOBS.find(({ id }) => id === job)?.label ?? job.replaceAll('-', ' ')

/** What a line says besides readings, as it is read back: what it is, and what it says. */
export function otherWords(other: Other): { what: string; text: string } {
  switch (other.is) {
    case 'gate':
      return { what: 'gate', text: `${GATES[other.gate].label}${other.shut ? '' : ': no longer'}` }
    case 'replaced':
      return { what: 'replaced before', text: PARTS[other.part] }
    case 'complaint':
      return { what: 'complaint', text: COMPLAINTS[other.id] }
    case 'left':
      return { what: 'seen and left', text: other.text }
    case 'plate':
      return { what: 'plate', text: plateWords(other) }
    case 'standing':
      return { what: 'the machine stands', text: STANDING_LABELS[other.at] }
    case 'wish':
      return { what: 'wished for', text: jobLabel(other.job) }
  }
}

function plateWords({ field, value }: Extract<Other, { is: 'plate' }>): string {
  const { label, unit } = PLATE_LABELS[field]
  const figure =
    typeof value === 'number'
      ? formatNumber(value)
      : Array.isArray(value)
        ? value.map((each) => formatNumber(each)).join(' to ')
        : value
  return `${label} ${figure}${unit ? ` ${unit}` : ''}`
}
