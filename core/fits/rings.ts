import { RING_SERIES } from '../knowledge/fits/o-rings'
import { fromShown } from '../quantity/measures'

export interface Ring {
  dash: string
  insideMillimetres: number
  sectionMillimetres: number
}

const millimetres = (inches: number) => fromShown(inches, 'bore', 'us')

/** Every standard ring, in the order of its dash numbers. */
export const RINGS: readonly Ring[] = RING_SERIES.flatMap(({ section, first, inside }) =>
  inside.map((inches, at) => ({
    dash: String(first + at).padStart(3, '0'),
    insideMillimetres: millimetres(inches),
    sectionMillimetres: millimetres(section),
  })),
)
const BY_DASH = new Map(RINGS.map((ring) => [ring.dash, ring]))

/** A standard ring by its dash number, with or without its zeros; undefined where there is none. */
export function ringOf(dash: string): Ring | undefined {
  return BY_DASH.get(dash.padStart(3, '0'))
}

/**
 * The standard rings nearest to what was measured, nearest first: a ring that lay in a pump is flat and stretched, so
 * the section decides before the inside.
 */
export function nearestRings(insideMillimetres: number, sectionMillimetres: number, most = 3): Ring[] {
  const off = ({ insideMillimetres: inside, sectionMillimetres: section }: Ring) =>
    Math.hypot(Math.log(inside / insideMillimetres), 2 * Math.log(section / sectionMillimetres))
  return [...RINGS].sort((a, b) => off(a) - off(b)).slice(0, most)
}
