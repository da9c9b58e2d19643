import type { Located, MapPoint, MapSketch, TravelTable } from '../../../core/planning/map'

/** Where addresses are and how long it takes between them. The shop asks one such service; a stand-in ships. */
export interface RoadService {
  /** Each address's place; undefined where it is on no map. */
  locate: (addresses: readonly string[]) => Promise<(Located | undefined)[]>
  /** Driving between all of these, each to each. */
  table: (places: readonly MapPoint[]) => Promise<TravelTable>
  /** What its map shows, where it has one. */
  sketch: () => Promise<MapSketch | undefined>
}
