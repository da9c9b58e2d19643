import { setResponseHeader } from 'h3'
import { api } from '../utils/problem'
import { metrics } from '../utils/watch'

/** Numbers of this server in the open text format; none of them speaks of a customer. */
export default api('watch', (event) => {
  setResponseHeader(event, 'content-type', metrics.contentType as 'text/plain')
  return metrics.text()
})
