import { getQuery } from 'h3'
import { orderDay, type DayVisit } from '../../core/planning/day'
import { badField } from '../../core/validation/input-error'
import { isInstant } from '../../core/validation/rules'
import { tellingReadings } from '../../core/visit/before-after'
import { foldVisit } from '../../core/visit/fold'
import { historyOf, type HistoryReading } from '../../core/visit/history'
import { serverNow, useShopApp } from '../utils/app'
import { api } from '../utils/problem'
import { shopOf } from '../services/visit-view'

const MOST_LAST_READINGS = 3

/** The visits of one day, given as the instants of its two midnights, with what was left over from before. */
export default api(async (event) => {
  const { from, to } = getQuery(event)
  for (const [field, value] of Object.entries({ from, to }))
    if (!isInstant(value)) throw badField(field, value, 'an ISO instant, such as 2026-05-12T00:00:00Z')
  const app = await useShopApp()
  const rows = await app.repository.visitsBetween(
    new Date(from as string).toISOString(),
    new Date(to as string).toISOString(),
  )
  const last = await app.repository.lastVisitOf(
    [...new Set(rows.map(({ machineId }) => machineId))],
    new Date(from as string).toISOString(),
  )
  const journals = await app.repository.entriesOfVisits([...last.values()])
  const visits = rows.map((row): DayVisit<HistoryReading> => {
    const lastVisit = last.get(row.machineId)
    const findings = lastVisit ? (foldVisit(journals.get(lastVisit) ?? [])?.findings ?? []) : []
    return {
      id: row.id,
      scheduledAt: row.scheduledAt,
      plannedMinutes: row.plannedMinutes,
      customer: row.customer,
      complaints: row.complaints,
      callerSays: row.callerSays,
      stage: row.stage,
      done: row.handedOver,
      machine: {
        id: row.machineId,
        name: row.machine.name,
        kind: row.machine.kind,
        construction: row.machine.construction,
      },
      lastReadings: tellingReadings(findings, MOST_LAST_READINGS).map((judged) =>
        historyOf(lastVisit as string, judged, row.machine),
      ),
    }
  })
  return {
    visits: orderDay(visits),
    shop: shopOf((await app.repository.shopEntries()).map(({ entry }) => entry)),
    now: serverNow(),
    empty: rows.length === 0 && (await app.repository.newestArrival()) === 0,
  }
})
