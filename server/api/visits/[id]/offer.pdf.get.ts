import { paperOf } from '../../../utils/paper'
import { api } from '../../../utils/problem'

/** The offer before the work as PDF. */
export default api('look', (event) => paperOf(event, 'offer'))
