import { OUTSIDE, type Outside } from '../knowledge/shelf/moves'

/** A place of the shop: `bay:a`, `van:van-1`, `bench`. */
export type ShelfPlace = `bay:${string}` | `van:${string}` | 'bench'
/** Where something comes from or goes to. */
export type AnyPlace = ShelfPlace | Outside

const INSIDE = /^(?:(?:bay|van):[a-z0-9][a-z0-9-]{0,39}|bench)$/

/** Is this one of the shop's own places? */
export function isShelfPlace(value: unknown): value is ShelfPlace {
  return typeof value === 'string' && INSIDE.test(value)
}
export function isAnyPlace(value: unknown): value is AnyPlace {
  return isShelfPlace(value) || (typeof value === 'string' && Object.hasOwn(OUTSIDE, value))
}

const within = (side: 'bay' | 'van') => (place: string) =>
  place.startsWith(`${side}:`) ? place.slice(side.length + 1) : undefined
/** The mark of the bay that a place is; undefined where it is none. */
export const bayOf = within('bay')
/** The id of the van that a place is; undefined where it is none. */
export const vanOf = within('van')
