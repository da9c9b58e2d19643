import { api, nothingAnswers } from '../utils/problem'

/** An address under /api that nothing answers. */
export default api('anyone', (event) => {
  throw nothingAnswers(event)
})
