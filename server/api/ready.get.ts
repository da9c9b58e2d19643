import { setResponseStatus } from 'h3'
import { readinessOf } from '../services/watch/readiness'
import { openedApp } from '../utils/app'
import { api } from '../utils/problem'

/** Can requests be sent here: is the shop open, and do the database and the pictures answer? 503 where not. */
export default api('anyone', async (event) => {
  const app = openedApp()
  const readiness = app ? await readinessOf(app) : { ready: false, database: false, pictures: false }
  if (!readiness.ready) setResponseStatus(event, 503)
  return readiness
})
