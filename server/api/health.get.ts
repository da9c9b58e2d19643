import { setResponseStatus } from 'h3'
import { openingProgress, openingWords, serverNow, useShopApp } from '../utils/app'
import { api } from '../utils/problem'

/** Is the shop open? Answers at once, whatever else is going on: it asks no database. */
export default api('anyone', async (event) => {
  const opening = openingProgress()
  if (opening) {
    setResponseStatus(event, 503)
    return { ok: false, opening, title: openingWords(), now: serverNow() }
  }
  const app = await useShopApp()
  return { ok: true, database: app.kind, entries: app.journal.count, now: serverNow() }
})
