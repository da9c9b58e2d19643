import { createHash } from 'node:crypto'
import { workTogether, type DayGrounds, type DayWork } from '../../core/planning/day-plan'
import type { MapPoint } from '../../core/planning/map'
import type { DayLoadOf } from '../../core/planning/morning'
import { firstOf, inJourneyOrder } from '../../core/planning/stops'
import { withUnknown } from '../../core/planning/travel'
import { groupedBy } from '../../core/quantity/grouped'
import type { Ahead } from '../../core/visit/ahead'
import type { VisitRow } from '../../core/visit/visit-row'
import { visitView } from '../utils/views'
import type { ShopApp } from './shop-app'
import { shopOf, type VisitView } from '../../core/visit/visit-view'

/** What is loaded for each visit of a day. */
export type DayLoad = Readonly<Record<string, DayLoadOf>>

const MOST_KEPT = 500

/** What visits ask of their day, worked out in threads and kept while nothing of it changes. */
export class DayBook {
  private readonly known = new Map<string, { stamp: string; ahead: Promise<Ahead & Worked> }>()

  /** Of each of these visits. */
  async aheadOf(app: ShopApp, ids: readonly string[]): Promise<Map<string, Ahead & Worked>> {
    const ahead = new Map<string, Ahead & Worked>()
    // One after the other: the other threads are for what somebody writes meanwhile.
    for (const id of ids) ahead.set(id, await this.aheadOfOne(app, id))
    return ahead
  }

  private async aheadOfOne(app: ShopApp, id: string): Promise<Ahead & Worked> {
    const view = await visitView(app, id)
    const newest = view.entries.at(-1)
    const grounds = [AHEAD_VERSION, newest?.id, view.entries.length, view.shop, view.pace, view.experience]
    const stamp = createHash('sha256').update(JSON.stringify(grounds)).digest('hex')
    const kept = this.known.get(id)
    if (kept?.stamp === stamp) return kept.ahead
    const ahead = this.workedOut(app, view, stamp)
    this.known.delete(id)
    this.known.set(id, { stamp, ahead })
    // One that failed is tried again, not kept.
    ahead.catch(() => this.known.delete(id))
    const [oldest] = this.known.keys()
    if (this.known.size > MOST_KEPT && oldest !== undefined) this.known.delete(oldest)
    return ahead
  }

  /** As it was kept before the last start, else anew: a day that was looked at once is there at once. */
  private async workedOut(app: ShopApp, view: VisitView, stamp: string): Promise<Ahead & Worked> {
    const key = `ahead:${view.visitId}`
    const kept = await app.repository.meta<{ stamp: string; ahead: Ahead & Worked }>(key)
    if (kept?.stamp === stamp) return kept.ahead
    const ahead = await app.work.run('ahead', { view })
    await app.repository.setMeta(key, { stamp, ahead })
    return ahead
  }
}

/** Bumped when what a visit asks of its day is worked out otherwise. */
const AHEAD_VERSION = 3

/** When the work on a visit began and ended. */
export interface Worked {
  startedAt?: string
  workedAt?: string
  doneAt?: string
}

/**
 * All that a day is planned from: work, places, driving, and what to load.
 *
 * @param lists of visits: those of one journey that stand in the same list are one stop
 */
export async function dayGrounds(
  app: ShopApp,
  ...lists: (readonly VisitRow[])[]
): Promise<{ grounds: DayGrounds; load: DayLoad }> {
  const rows = lists.flat()
  const ahead = await app.days.aheadOf(
    app,
    rows.map(({ id }) => id),
  )
  const shop = shopOf((await app.repository.shopEntries()).map(({ entry }) => entry))
  const addresses = [shop.place, ...rows.map(({ site, customer }) => site?.address ?? customer.place)]
  const located = await app.roads.locate(addresses)
  const found = located.filter((place) => place !== undefined)
  let next = 0
  const table = withUnknown(
    await app.roads.table(found),
    located.map((place) => (place ? next++ : undefined)),
  )
  const each = new Map(
    rows.map(({ id }, index): [string, DayWork] => {
      const { load: _, ...own } = ahead.get(id) as Ahead & Worked
      const place = located[index + 1]
      return [
        id,
        {
          ...own,
          place: index + 1,
          ...(place === undefined ? { isUnknown: true } : place.isRough ? { isRough: true } : {}),
        },
      ]
    }),
  )
  // What is one stop asks for one: under the first of its journey, and each of its visits for the list it stands in.
  const stops = lists.flatMap((list) => [...groupedBy(list, firstOf).values()].map((of) => inJourneyOrder(of)))
  const work = Object.fromEntries([
    ...each,
    ...stops.map((of) => [of[0]?.id, workTogether(of.map(({ id }) => each.get(id) as DayWork))]),
  ]) as Record<string, DayWork>
  const sketch = await app.roads.sketch()
  return {
    grounds: {
      work,
      travel: table,
      shop: 0,
      places: located.map((place): MapPoint | undefined => place && { x: place.x, y: place.y }),
      ...(sketch ? { sketch } : {}),
    },
    load: Object.fromEntries([...ahead].map(([id, { load }]) => [id, load])),
  }
}
