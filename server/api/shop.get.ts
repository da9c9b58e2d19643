import { learnFrom } from '../../core/diagnosis/experience'
import { KINDS, type Kind } from '../../core/knowledge/vocabulary'
import { learnSteps } from '../../core/takedown/own-times'
import { useShopApp } from '../utils/app'
import { api } from '../utils/problem'
import { countedSince, shopOf } from '../utils/views'

/** The shop: what it is called, what it charges, how far its own visits have moved the estimates, kind by kind, and its own times the printed minutes. */
export default api(async () => {
  const app = await useShopApp()
  const entries = await app.repository.shopEntries()
  const taught = await Promise.all((Object.keys(KINDS) as Kind[]).map(async (kind) => {
    const since = countedSince(entries, kind)
    const counts = await app.repository.causesOf(kind, { after: since })
    const visits = Object.values(counts).reduce((sum, times) => sum + times, 0)
    return { kind, since, visits, causes: learnFrom(kind, counts) }
  }))
  return { shop: shopOf(entries), taught, steps: learnSteps(await app.repository.tickedSteps()) }
})
