import { paperOf } from '../../../utils/paper'
import { api } from '../../../utils/problem'

/** The workshop's record as PDF. */
export default api('look', (event) => paperOf(event, 'record'))
