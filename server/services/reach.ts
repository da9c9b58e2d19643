import { addDays } from 'date-fns'
import type { Reach } from '../../core/shelf/now-or-later'
import { vansOf } from '../../core/planning/day-plan'
import { ordersOf } from '../../core/visit/schedule'
import { liveEntries } from '../../core/visit/supersession'
import { shopOf } from '../../core/visit/visit-view'
import type { VisitRow } from '../../core/visit/visit-row'
import { Problem } from '../utils/problem'
import type { DaySpan } from './day-view'
import type { ShopApp } from './shop-app'

/**
 * How far the shop and the other vans are from a visit, driving. A van is where its tour stands: at the last visit of
 * it that was begun, else at the shop.
 */
export async function reachOf(app: ShopApp, visitId: string, span: DaySpan): Promise<Reach> {
  const rows = await app.repository.visitsBetween(span.from, addDays(new Date(span.from), 1).toISOString())
  const own = (await app.repository.journeyOf(visitId)).find(({ id }) => id === visitId)
  if (!own) throw new Problem(404, `There is no visit with the id ${visitId}.`)
  const shop = shopOf((await app.repository.shopEntries()).map(({ entry }) => entry))
  const orders = ordersOf(liveEntries(await app.repository.orderLines(span.on)), span.on)
  const ahead = await app.days.aheadOf(
    app,
    rows.map(({ id }) => id),
  )
  const addressOf = ({ site, customer }: VisitRow) => site?.address ?? customer.place
  const vans = vansOf(shop).map(({ id }) => {
    const tour = (orders[id] ?? []).flatMap((each) => rows.find((row) => row.id === each) ?? [])
    const begun = tour.findLast((row) => ahead.get(row.id)?.startedAt !== undefined && row.id !== visitId)
    return { id, at: begun ? begun.customer.name : 'the shop', address: begun ? addressOf(begun) : shop.place }
  })
  const located = await app.roads.locate([addressOf(own), shop.place, ...vans.map(({ address }) => address)])
  const [here] = located
  if (!here) return { vans: {} }
  const known = located.flatMap((place, index) => (place ? [{ place, index }] : []))
  const { minutes } = await app.roads.table(known.map(({ place }) => place))
  const from = (index: number) => {
    const column = known.findIndex((each) => each.index === index)
    return column < 0 ? undefined : minutes[0]?.[column]
  }
  const toShop = from(1)
  return {
    ...(toShop === undefined ? {} : { shop: Math.round(toShop) }),
    vans: Object.fromEntries(
      vans.flatMap(({ id, at }, index) => {
        const away = from(index + 2)
        return away === undefined ? [] : [[id, { minutes: Math.round(away), at }]]
      }),
    ),
  }
}
