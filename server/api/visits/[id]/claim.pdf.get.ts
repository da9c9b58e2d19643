import { paperOf } from '../../../utils/paper'
import { api } from '../../../utils/problem'

/** The claim of what goes back under its warranty as PDF. */
export default api('look', (event) => paperOf(event, 'claim'))
