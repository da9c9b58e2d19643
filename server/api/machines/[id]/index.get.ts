import { getRouterParam } from 'h3'
import { serverNow, useShopApp } from '../../../utils/app'
import { api, Problem } from '../../../utils/problem'
import { machineHistory, pathId } from '../../../utils/views'

/** One machine and every reading it ever gave. */
export default api('look', async (event) => {
  const id = pathId(getRouterParam(event, 'id'), 'machine')
  const app = await useShopApp()
  const machine = await app.repository.machine(id)
  if (!machine) throw new Problem(404, `There is no machine with the id ${id}.`)
  return { machine, history: await machineHistory(app, id, serverNow()) }
})
