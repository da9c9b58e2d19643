import { errorFunction } from 'simple-statistics'
import { FORESEEN } from '../../knowledge/shelf/keeping'
import type { Part } from '../../knowledge/vocabulary'
import type { Stretch } from '../../planning/season'

/** A reading of a part of a machine whose line meets its limit; ISO dates, none where it stands past it already. */
export interface ForeseenEnd {
  check: string
  part?: Part
  on?: string
  earliest?: string
  latest?: string
}

/**
 * How likely a part is wanted within a stretch of time because the machine's own readings meet their limit in it, part
 * by part: those by which a part wears. What should have met it before counts as well: nobody looked since.
 *
 * @param stretch milliseconds
 * @source the line's own band as the spread of a normal distribution; two readings have none, see `FORESEEN`
 */
export function foreseenWithin(ends: readonly ForeseenEnd[], stretch: Stretch): Map<Part, number> {
  const chances = new Map<Part, number>()
  for (const { check, part, ...end } of ends)
    if (part && isOfWear(check)) chances.set(part, Math.max(chances.get(part) ?? 0, chanceBy(stretch, end)))
  return chances
}

const isOfWear = (check: string) => (FORESEEN.checks as readonly string[]).includes(check)

function chanceBy({ from, to }: Stretch, { on, earliest, latest }: Omit<ForeseenEnd, 'check' | 'part'>): number {
  if (on === undefined) return FORESEEN.past
  const at = Date.parse(on)
  // Off the side of the band towards which the stretch's end lies.
  const edge = to > at ? latest : earliest
  const sd =
    edge === undefined
      ? FORESEEN.openShare * Math.max(0, at - from)
      : Math.abs(Date.parse(edge) - at) / FORESEEN.bandSds
  if (sd === 0) return to >= at ? 1 : 0
  return (1 + errorFunction((to - at) / sd / Math.SQRT2)) / 2
}
