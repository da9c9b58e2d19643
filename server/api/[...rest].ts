import { api, Problem } from '../utils/problem'

/** An address under /api that nothing answers. */
export default api('anyone', (event) => {
  throw new Problem(404, `Nothing answers ${event.method} ${event.path.slice(0, 100)}.`)
})
