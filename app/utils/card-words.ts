import { format } from 'date-fns'
import type { CardRow } from '#core/pumps/card-rows'

const MONTH = 86_400_000 * 30.44

/** When a row meets its limit, and how far that may be off, in few words. */
export function crossingWords({ crossing, usual }: Pick<CardRow, 'crossing' | 'usual'>): { when: string; how: string } {
  if (crossing.is === 'past') return { when: 'past its limit', how: 'by its last reading' }
  if (crossing.is === 'ahead') return { when: format(new Date(crossing.at), 'MMM yyyy'), how: spanWords(crossing) }
  if (crossing.is === 'clear')
    return {
      when: 'not in sight',
      how:
        crossing.earliest === undefined
          ? 'by its own readings'
          : `${format(new Date(crossing.earliest), 'yyyy')} at the earliest`,
    }
  if (usual) return { when: `from ${usual.from}`, how: `usual till ${usual.to}` }
  return { when: 'no telling yet', how: 'two readings are wanted' }
}

function spanWords({ at, earliest, latest }: Extract<CardRow['crossing'], { is: 'ahead' }>): string {
  if (earliest === undefined && latest === undefined) return 'by two readings only'
  if (latest === undefined) return `${format(new Date(earliest ?? at), 'yyyy')} or much later`
  const months = Math.round((latest - (earliest ?? at)) / 2 / MONTH)
  if (months < 1) return '± weeks'
  return months < 24 ? `± ${months} month${months === 1 ? '' : 's'}` : `± ${Math.round(months / 12)} years`
}
