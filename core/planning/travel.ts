import { DRIVING } from '../knowledge/shop/day'
import type { MapPoint, TravelTable } from './map'

/** Driving where no road is known: longer than the straight line by the usual factor. */
export function asTheCrowFlies(from: MapPoint, to: MapPoint): { minutes: number; km: number } {
  const km = Math.hypot(to.x - from.x, to.y - from.y) * DRIVING.detour
  return { km, minutes: (km / DRIVING.detourSpeed) * 60 }
}

/**
 * A table with the places that are on no map among the others: to each of them and from it the same, which is said.
 *
 * @param table of the places that were found, in their order
 * @param found for each place of the day its row in the table; undefined where it is on no map
 */
export function withUnknown(table: TravelTable, found: readonly (number | undefined)[]): TravelTable {
  const km = (DRIVING.unknownMinutes / 60) * DRIVING.detourSpeed
  const cells = found.map((row, a) =>
    found.map((column, b) => {
      if (a === b) return { minutes: 0, km: 0, way: [] }
      if (row === undefined || column === undefined) return { minutes: DRIVING.unknownMinutes, km, way: [] }
      return {
        minutes: table.minutes[row]?.[column] as number,
        km: table.km[row]?.[column] as number,
        way: table.ways[row]?.[column] as number[],
      }
    }),
  )
  return {
    minutes: cells.map((row) => row.map(({ minutes }) => minutes)),
    km: cells.map((row) => row.map((cell) => cell.km)),
    ways: cells.map((row) => row.map(({ way }) => way)),
  }
}
