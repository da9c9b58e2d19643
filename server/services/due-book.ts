import { SEASONS, type SeasonDays } from '../../core/knowledge/shop/seasons'
import type { Fleet, Forecast } from '../../core/planning/forecast'
import { comingSeason, USUAL_SEASONS } from '../../core/planning/season'
import { byDay, leftDue, roadOf, roundDue, trendDue, type DueItem } from '../../core/pumps/due-list'
import type { UnitSystem } from '../../core/quantity/measures'
import { duesLeft } from '../../core/visit/claim'
import type { VisitState } from '../../core/visit/fold'
import type { Part } from '../../core/knowledge/vocabulary'
import type { FleetRow } from '../database/dues'
import type { ShopApp } from './shop-app'
import { shopOf } from '../../core/visit/visit-view'

/** Roads that driving is told of; whoever has more due at once sees the others without. */
const MOST_ROADS = 60
/** So much is shown at once. */
const MOST_ITEMS = 400

/** Driving between the roads of what is due: the shop is row 0; a road on no map has none. */
export interface RoadTable {
  roads: Readonly<Record<string, number>>
  minutes: readonly (readonly number[])[]
}

export interface ComingDue {
  items: DueItem[]
  /** All there are, where not all are sent. */
  count: number
  table: RoadTable
}

/** What a season brings, with the machines that are named in it. */
export interface ShopForecast extends Omit<Forecast, 'atRisk'> {
  atRisk: (Forecast['atRisk'][number] & Pick<DueItem, 'machine' | 'customer' | 'address'>)[]
}

const seasonsOf = async (
  app: Pick<ShopApp, 'repository'>,
): Promise<{ days: SeasonDays; place: string; units: UnitSystem }> => {
  const { seasons, place, units } = shopOf((await app.repository.shopEntries()).map(({ entry }) => entry))
  return { days: seasons ?? USUAL_SEASONS, place, units }
}

/** What one visit has left to come back for. */
export function visitDues(state: VisitState): DueItem[] {
  const { id, machine, customer } = state
  const of = { machineId: machine.id, machine, customer, address: customer.place }
  return duesLeft(state).map((due) => leftDue(of, id, due))
}

/** Kinds that have a round in the year. */
const ROUND_KINDS = [...new Set(Object.values(SEASONS).flatMap(({ kinds }) => kinds))]

/** Everything that comes due up to a day, the earliest first. */
export async function dueItems(
  app: Pick<ShopApp, 'repository' | 'dues' | 'index'>,
  { today, until }: { today: string; until: string },
): Promise<DueItem[]> {
  await app.index.caughtUpSoon()
  const { days, units } = await seasonsOf(app)
  const left = await app.dues.left(until)
  const watched = await app.dues.watched(ROUND_KINDS)
  const own = watched.flatMap(({ of, trends, visited }) => [
    ...trendDue(of, trends, today, { system: units }).filter(({ on }) => on <= until),
    ...roundDue(of, { today, until, ...(visited ? { visited } : {}) }, days),
  ])
  return [...left, ...own].sort(byDay)
}

/** The same, as much of it as is shown at once, with the driving between its roads. */
export async function comingDue(app: ShopApp, asked: { today: string; until: string }): Promise<ComingDue> {
  const all = await dueItems(app, asked)
  const items = all.slice(0, MOST_ITEMS)
  const { place } = await seasonsOf(app)
  const addresses = new Map(items.map(({ address }) => [roadOf(address), address]))
  const roads = [...addresses.keys()].slice(0, MOST_ROADS)
  const located = await app.roads.locate([place, ...roads.map((road) => addresses.get(road) as string)])
  // Without the shop's own place on the map nothing starts anywhere.
  if (!located[0]) return { items, count: all.length, table: { roads: {}, minutes: [] } }
  const found = located.flatMap((at, index) => (at ? [{ at, index }] : []))
  const table = await app.roads.table(found.map(({ at }) => at))
  return {
    items,
    count: all.length,
    table: {
      roads: Object.fromEntries(found.slice(1).map(({ index }, row) => [roads[index - 1] as string, row + 1])),
      minutes: table.minutes,
    },
  }
}

const MOST_NAMED = 24

/** What the coming season brings among the shop's machines, worked out in a thread and kept while nothing changes. */
export class ForecastBook {
  private known: { stamp: string; forecast: Promise<Forecast> } | undefined

  async of(app: Pick<ShopApp, 'repository' | 'dues' | 'work'>, today: string): Promise<ShopForecast> {
    const { days } = await seasonsOf(app)
    const stamp = JSON.stringify([await app.repository.newestArrival(), today, days])
    if (this.known?.stamp !== stamp) this.known = { stamp, forecast: this.workedOut(app, days, today) }
    const { forecast } = this.known
    // One that failed is tried again, not kept.
    forecast.catch(() => {
      if (this.known?.forecast === forecast) this.known = undefined
    })
    const { atRisk, ...whole } = await forecast
    // Where a visit is open somebody looks at it anyway.
    const open = await app.dues.withOpenVisit(atRisk.map(({ machineId }) => machineId))
    const named = atRisk.filter(({ machineId }) => !open.has(machineId)).slice(0, MOST_NAMED)
    const machines = await app.dues.machines(named.map(({ machineId }) => machineId))
    return {
      ...whole,
      atRisk: named.flatMap((each) => {
        const of = machines.get(each.machineId)
        return of ? [{ ...of, ...each }] : []
      }),
    }
  }

  private async workedOut(app: Pick<ShopApp, 'dues' | 'work'>, days: SeasonDays, today: string): Promise<Forecast> {
    const now = Date.parse(today)
    const { machines, failures } = await app.dues.fleet()
    const fleet: Fleet = { machines: machines.map((row) => fleetMachine(row, now)), failures }
    return app.work.run('forecast', { fleet, season: comingSeason(days, today), days, now })
  }
}

/** A machine as its failing is reckoned with. */
export function fleetMachine(
  { machine, first, retiredOn }: Omit<FleetRow, 'trends'>,
  now: number,
): Fleet['machines'][number] {
  const { id, kind, construction, nameplate, installation, installedOn, fitted = [] } = machine
  return {
    id,
    pump: { kind, construction, nameplate, ...(installation ? { installation } : {}) },
    ...(installedOn ? { installedAt: Date.parse(installedOn) } : {}),
    fitted: fitted
      .flatMap(({ part, since }) => (since ? [{ part: part as Part, at: Date.parse(since) }] : []))
      .sort((a, b) => a.at - b.at),
    knownSince: first ? Date.parse(first) : now,
    ...(retiredOn ? { goneAt: Date.parse(retiredOn) } : {}),
  }
}
