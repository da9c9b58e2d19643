import { complaintWords, orderDay } from '../../core/planning/day'
import { splitDay } from '../../core/planning/day-plan'
import { walkDay } from '../../core/planning/order/day-order'
import { asStops, machinesOf } from '../../core/planning/stops'
import { ordersOf } from '../../core/visit/schedule'
import { liveEntries } from '../../core/visit/supersession'
import { dayVisits, type DaySpan } from './day-view'
import { dayGrounds } from './day-work'
import type { ShopApp } from './shop-app'
import { shopOf } from '../../core/visit/visit-view'

/** A visit with the hours that its day's order gives it. */
export interface PlannedVisit {
  id: string
  title: string
  place: string
  words: string
  begins: Date
  ends: Date
}

const MINUTE = 60_000

/** The visits of a day with their hours: as reckoned from the day's beginning, the done ones as they were. */
export async function plannedVisits(app: ShopApp, span: DaySpan): Promise<PlannedVisit[]> {
  const rows = await app.repository.visitsBetween(span.from, span.to)
  if (rows.length === 0) return []
  const orders = ordersOf(liveEntries(await app.repository.orderLines(span.on)), span.on)
  // What goes on on another day has its hours there.
  const visits = orderDay(asStops(await dayVisits(app, rows, span.from))).filter(
    ({ scheduledAt }) => scheduledAt < span.to,
  )
  const shop = shopOf((await app.repository.shopEntries()).map(({ entry }) => entry))
  const { grounds } = await dayGrounds(app, rows)
  const midnight = Date.parse(span.from)
  const { plan, routes } = splitDay(visits, orders, shop, grounds, { midnight })
  const hours = new Map(
    Object.values(walkDay(plan, routes).walks).flatMap(({ stops }) => stops.map((stop) => [stop.id, stop] as const)),
  )
  return visits.map((stop) => {
    const { id, customer, address, complaints, callerSays, wayIn, scheduledAt, plannedMinutes } = stop
    const reckoned = hours.get(id)
    const { startedAt, doneAt } = grounds.work[id] ?? {}
    const begins = doneAt
      ? Date.parse(startedAt ?? doneAt)
      : reckoned
        ? midnight + reckoned.begins.mean * MINUTE
        : Date.parse(scheduledAt)
    const ends = doneAt
      ? Date.parse(doneAt)
      : reckoned
        ? midnight + reckoned.ends.mean * MINUTE
        : begins + plannedMinutes * MINUTE
    return {
      id,
      title: `${customer.name}, ${machinesOf(stop)}`,
      place: address ?? customer.place,
      words: [complaintWords(complaints), callerSays, wayIn].filter(Boolean).join('\n'),
      begins: new Date(begins),
      ends: new Date(Math.max(ends, begins + MINUTE)),
    }
  })
}
