import { UndirectedGraph } from 'graphology'
import { singleSource } from 'graphology-shortest-path/dijkstra.js'
import type { Located, MapPoint, MapSketch, TravelTable } from '../../../core/planning/map'
import { asTheCrowFlies } from '../../../core/planning/travel'
import { addressKey } from '../../../core/pumps/words'
import type { RoadService } from './road-service'
import valley from './valley.json'

type Pair = [number, number]
interface ValleyMap {
  width: number
  height: number
  latitude: number
  nodes: Record<string, Pair>
  roads: { between: [string, string]; kmh: number; track?: boolean; via?: Pair[] }[]
  river: Pair[]
  bridges: [Pair, Pair][]
  villages: { name: string; node: string; at: Pair }[]
  streets: { name: string; village: string; from: string; to?: string; numbers?: number }[]
}
interface Stretch {
  minutes: number
  km: number
  line: MapPoint[]
}

const point = ([x, y]: Pair): MapPoint => ({ x, y })
/** Nearer than this to a road's end, kilometres, one stands on it. */
const ON_THE_ROAD = 0.6

/**
 * The roads of the made-up valley, which stand in for a road service: a graph with the shortest ways by time, and the
 * addresses of its streets.
 */
export class ValleyRoads implements RoadService {
  private readonly map = valley as unknown as ValleyMap
  private readonly graph = new UndirectedGraph<object, Stretch>()
  private readonly villages = this.map.villages.map(({ name, node }) => ({ key: addressKey(name), node }))
  private readonly streets = this.map.streets.map((street) => ({
    ...street,
    key: addressKey(street.name),
    villageKey: addressKey(street.village),
  }))

  constructor() {
    const { nodes, roads } = this.map
    for (const node of Object.keys(nodes)) this.graph.addNode(node)
    for (const {
      between: [a, b],
      kmh,
      via = [],
    } of roads) {
      const line = [nodes[a] as Pair, ...via, nodes[b] as Pair].map(point)
      const km = lengthOf(line)
      this.graph.addEdge(a, b, { km, minutes: (km / kmh) * 60, line })
    }
  }

  async locate(addresses: readonly string[]): Promise<(Located | undefined)[]> {
    return addresses.map((address) => this.locateOne(address))
  }

  async table(places: readonly MapPoint[]): Promise<TravelTable> {
    const nearest = places.map((place) => this.nearestNode(place))
    const ways = new Map([...new Set(nearest.map(({ node }) => node))].map((node) => [node, this.waysFrom(node)]))
    const legs = places.map((from, row) =>
      places.map((to, column) => {
        const [start, end] = [nearest[row], nearest[column]] as [Nearest, Nearest]
        if (row === column) return { minutes: 0, km: 0, way: [] }
        if (start.km > ON_THE_ROAD || end.km > ON_THE_ROAD) return { ...asTheCrowFlies(from, to), way: [] }
        const along = ways.get(start.node)?.get(end.node) as Stretch
        // From the door to the road and back to a door.
        const doors = asTheCrowFlies({ x: 0, y: 0 }, { x: start.km + end.km, y: 0 })
        return {
          minutes: along.minutes + doors.minutes,
          km: along.km + doors.km,
          way: [from, ...along.line, to].flatMap(({ x, y }) => [x, y]),
        }
      }),
    )
    return {
      minutes: legs.map((row) => row.map(({ minutes }) => minutes)),
      km: legs.map((row) => row.map(({ km }) => km)),
      ways: legs.map((row) => row.map(({ way }) => way)),
    }
  }

  async sketch(): Promise<MapSketch> {
    const { width, height, latitude, river, bridges, villages, roads, nodes } = this.map
    return {
      width,
      height,
      latitude,
      river: river.map(point),
      bridges: bridges.map(([a, b]) => [point(a), point(b)]),
      villages: villages.map(({ name, at }) => ({ name, ...point(at) })),
      roads: roads.map(({ between: [a, b], via = [], track }) => ({
        line: [nodes[a] as Pair, ...via, nodes[b] as Pair].map(point),
        isTrack: track === true,
      })),
    }
  }

  private locateOne(address: string): Located | undefined {
    const key = ` ${addressKey(address)} `
    const village = this.villages.find((each) => key.includes(` ${each.key} `))
    const street = this.streets.find(
      (each) => key.includes(` ${each.key} `) && (village === undefined || each.villageKey === village.key),
    )
    if (street) return this.along(street, Number(key.match(/ (\d{1,3})\p{L}? /u)?.[1] ?? 0))
    return village && { ...point(this.map.nodes[village.node] as Pair), isRough: true }
  }

  /** A house on its street: number one at its beginning, the last at its end. */
  private along({ from, to, numbers = 1 }: ValleyMap['streets'][number], number: number): MapPoint {
    const [start, end] = [this.map.nodes[from], this.map.nodes[to ?? from]].map((pair) => point(pair as Pair)) as [
      MapPoint,
      MapPoint,
    ]
    const share = Math.min(1, Math.max(0, number) / numbers) * STREET_SHARE
    return { x: start.x + (end.x - start.x) * share, y: start.y + (end.y - start.y) * share }
  }

  private nearestNode({ x, y }: MapPoint): Nearest {
    let nearest: Nearest = { node: '', km: Number.POSITIVE_INFINITY }
    for (const [node, [nx, ny]] of Object.entries(this.map.nodes)) {
      const km = Math.hypot(x - nx, y - ny)
      if (km < nearest.km) nearest = { node, km }
    }
    return nearest
  }

  /** The quickest ways from a node to every other. */
  private waysFrom(node: string): Map<string, Stretch> {
    const paths = singleSource(this.graph, node, 'minutes')
    return new Map(
      Object.entries(paths).map(([end, path]) => {
        const way: Stretch = { minutes: 0, km: 0, line: [point(this.map.nodes[node] as Pair)] }
        for (const [index, next] of path.slice(1).entries()) {
          const { minutes, km, line } = this.graph.getEdgeAttributes(this.graph.edge(path[index] as string, next))
          const isForward = line[0]?.x === way.line.at(-1)?.x && line[0]?.y === way.line.at(-1)?.y
          way.minutes += minutes
          way.km += km
          way.line.push(...(isForward ? line : line.toReversed()).slice(1))
        }
        return [end, way]
      }),
    )
  }
}

interface Nearest {
  node: string
  km: number
}
/** How much of the way to the next crossing a street's houses take up. */
const STREET_SHARE = 0.4

function lengthOf(line: readonly MapPoint[]): number {
  return line.slice(1).reduce((sum, { x, y }, index) => {
    const before = line[index] as MapPoint
    return sum + Math.hypot(x - before.x, y - before.y)
  }, 0)
}
