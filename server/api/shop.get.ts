import { learnFrom } from '../../core/diagnosis/experience'
import { KINDS, type Kind } from '../../core/knowledge/vocabulary'
import { forgottenAt, shopOf } from '../../core/visit/visit-view'
import { useShopApp } from '../utils/app'
import { api } from '../utils/problem'
import { countedAfter } from '../utils/views'

const MOST_SHOWN = 50

/**
 * The shop: what it is called, what it charges, how far its own visits have moved the estimates, kind by kind, and its
 * own times the printed
 * minutes; and how its journal was found at the start.
 */
export default api('look', async () => {
  const { repository, pace, report, outlet, kind: database } = await useShopApp()
  const shopEntries = await repository.shopEntries()
  const entries = shopEntries.map(({ entry }) => entry)
  const kinds = Object.keys(KINDS) as Kind[]
  const causes = await repository.causes({ after: countedAfter(shopEntries, kinds) })
  const taught = kinds.map((kind) => {
    const counts = causes.get(kind) ?? {}
    return {
      kind,
      since: forgottenAt(entries, kind)?.at,
      visits: Object.values(counts).reduce((sum, times) => sum + times, 0),
      causes: learnFrom(kind, counts),
    }
  })
  const journal = report && {
    filled: report.filled,
    takenIn: report.takenIn,
    setAside: report.setAside.slice(0, MOST_SHOWN).map(({ line, reason }) => ({ line, reason })),
    setAsideCount: report.setAside.length,
  }
  return {
    shop: shopOf(entries),
    taught,
    steps: await pace.steps(),
    database,
    journal,
    mail: { by: outlet.kind, host: outlet.host },
  }
})
