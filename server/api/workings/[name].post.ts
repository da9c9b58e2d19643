import { getRouterParam } from 'h3'
import { runByName, runLine, WORKINGS } from '../../../core/workings/registry'
import { readJson, readLimited } from '../../utils/body'
import { api, Problem } from '../../utils/problem'

const MOST_BATCH_BYTES = 16 * 1024 * 1024

/** Runs a working: JSON in, JSON out. `batch` takes one JSON object a line and answers one line each, in order. */
export default api(async (event) => {
  const name = getRouterParam(event, 'name') ?? ''
  if (name === 'batch') {
    const text = (await readLimited(event, MOST_BATCH_BYTES)).toString('utf8')
    event.node.res.setHeader('content-type', 'application/x-ndjson')
    return text.split('\n').filter((line) => line.trim()).map((line) => JSON.stringify(runLine(line))).join('\n')
  }
  if (!WORKINGS.has(name)) throw new Problem(404, `There is no working called ${name.slice(0, 60)}.`, [{ field: 'name', value: name, expected: `one of ${[...WORKINGS.keys()].join(', ')}` }])
  return runByName(name, await readJson(event))
})
