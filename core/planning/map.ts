/** A place on the map: kilometres east and south of its north-western corner. */
export interface MapPoint {
  x: number
  y: number
}

/** A place as a road service finds an address. */
export interface Located extends MapPoint {
  /** Its street is not known: it stands where its village does. */
  isRough?: true
}

/** Driving between places, and the way that each drive takes. */
export interface TravelTable {
  minutes: number[][]
  km: number[][]
  /** For each pair the line to draw, x and y by turns; empty where it is as the crow flies. */
  ways: number[][][]
}

/** What is drawn under the day's stops. */
export interface MapSketch {
  width: number
  height: number
  river: MapPoint[]
  bridges: [MapPoint, MapPoint][]
  roads: { line: MapPoint[]; isTrack: boolean }[]
  villages: (MapPoint & { name: string })[]
  /** For the hours of daylight, degrees. */
  latitude: number
}
