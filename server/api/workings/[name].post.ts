import { getRouterParam } from 'h3'
import { WORKINGS } from '../../../core/workings/registry'
import { useShopApp } from '../../utils/app'
import { readJsonBytes, readLimited } from '../../utils/body'
import { api, Problem } from '../../utils/problem'

const MOST_BATCH_BYTES = 16 * 1024 * 1024

/** Runs a working: JSON in, JSON out. `batch` takes one JSON object a line and answers one line each, in order. */
export default api('practice', async (event) => {
  const name = getRouterParam(event, 'name') ?? ''
  if (name === 'batch') {
    const bytes = await readLimited(event, MOST_BATCH_BYTES)
    event.node.res.setHeader('content-type', 'application/x-ndjson')
    return (await useShopApp()).work.run('batch', { bytes })
  }
  if (!WORKINGS.has(name))
    throw new Problem(404, `There is no working called ${name.slice(0, 60)}.`, [
      { field: 'name', value: name, expected: `one of ${[...WORKINGS.keys()].join(', ')}` },
    ])
  const bytes = await readJsonBytes(event)
  const answer = await (await useShopApp()).work.run('working', { name, bytes })
  event.node.res.setHeader('content-type', 'application/json')
  return answer
})
