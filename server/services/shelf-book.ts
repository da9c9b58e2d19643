import { LEAD, VAN_ROOM } from '../../core/knowledge/shelf/keeping'
import { vansOf } from '../../core/planning/day-plan'
import { USUAL_SEASONS } from '../../core/planning/season'
import { leadSeen, onOrderOf } from '../../core/shelf/bought'
import type { ShelfPlan } from '../../core/shelf/levels/plan'
import type { PlannedVisit } from '../../core/shelf/levels/van-plan'
import { ordersOf } from '../../core/visit/schedule'
import { liveEntries } from '../../core/visit/supersession'
import type { VisitRow } from '../../core/visit/visit-row'
import { wholeRates } from '../../core/knowledge/shop/rates'
import { shelfKnown } from './buying'
import type { DaySpan } from './day-view'
import { fleetMachine } from './due-book'
import type { ShopApp } from './shop-app'

const DAY = 86_400_000

/** How much to keep and what to load, worked out in a thread and kept while nothing changes. */
export class ShelfBook {
  private known: { stamp: string; plan: Promise<ShelfPlan> } | undefined

  /** @param span from today's midnight on, over the days whose visits count */
  async of(app: ShopApp, span: DaySpan): Promise<ShelfPlan> {
    const stamp = JSON.stringify([await app.repository.newestArrival(), span])
    if (this.known?.stamp !== stamp) this.known = { stamp, plan: workedOut(app, span) }
    const { plan } = this.known
    // One that failed is tried again, not kept.
    plan.catch(() => {
      if (this.known?.plan === plan) this.known = undefined
    })
    return plan
  }
}

async function workedOut(app: ShopApp, span: DaySpan): Promise<ShelfPlan> {
  const { stock, bought, shop } = await shelfKnown(app)
  const now = Date.parse(span.on)
  const { machines, failures } = await app.dues.fleet()
  const vans = vansOf(shop).map(({ id, litres = VAN_ROOM.litres }) => ({ id, litres }))
  const { trip, downtime, hourly } = wholeRates(shop.rates)
  return app.work.run('shelf', {
    today: span.on,
    now,
    failures,
    machines: machines.map((row) => {
      const { kind, nameplate, installation, fitted = [] } = row.machine
      return {
        ...fleetMachine(row, now),
        ends: row.trends.map(({ last: { check }, part, on, earliest, latest }) => ({
          check,
          part,
          on,
          earliest,
          latest,
        })),
        known: { kind, nameplate, fitted, ...(installation ? { installation } : {}) },
      }
    }),
    days: shop.seasons ?? USUAL_SEASONS,
    articles: [...stock.articles.values()],
    lying: [...stock.at.values()].map(({ place, article, count }) => ({ place, article, count })),
    fixed: bought.fixed,
    onOrder: onOrderOf(bought.orders),
    ...(bought.most === undefined ? {} : { most: bought.most / 100 }),
    visits: await plannedVisits(
      app,
      span,
      vans.map(({ id }) => id),
    ),
    rates: { trip, downtime, hourly },
    vans,
    lead: leadSeen(bought.orders) ?? LEAD,
  })
}

/** The visits of these days with the vans that go there, and those that wait for a day: these with no van. */
async function plannedVisits(
  app: ShopApp,
  { from, to, on }: DaySpan,
  vans: readonly string[],
): Promise<PlannedVisit[]> {
  const { repository } = app
  const planned = (await repository.visitsBetween(from, to)).filter(isAhead)
  const waiting = (await repository.waiting()).filter(isAhead)
  const orders = liveEntries(await repository.orderLinesBetween(from, to))
  const ahead = await app.days.aheadOf(
    app,
    [...planned, ...waiting].map(({ id }) => id),
  )
  const visit = (row: VisitRow, day: string, van: string): PlannedVisit => ({
    visitId: row.id,
    name: `${row.customer.name}, ${row.machine.name}`,
    on: day,
    van,
    repairs: ahead.get(row.id)?.load.repairs ?? [],
  })
  return [
    ...planned.map((row) => {
      const first = row.together ?? row.id
      const day = dayOf(row.scheduledAt, from, on)
      const ordered = ordersOf(orders, day)
      const van = Object.entries(ordered).find(([, ids]) => ids.includes(first))?.[0] ?? vans[0] ?? ''
      return visit(row, day, van)
    }),
    ...waiting.map((row) => visit(row, on, '')),
  ]
}

function isAhead({ handedOver, cancelled }: VisitRow): boolean {
  return !handedOver && cancelled === undefined
}

/** The day of an instant, counted from the midnight that the first day begins with. */
function dayOf(instant: string, from: string, on: string): string {
  const days = Math.floor((Date.parse(instant) - Date.parse(from)) / DAY)
  return new Date(Date.parse(on) + days * DAY).toISOString().slice(0, 10)
}
