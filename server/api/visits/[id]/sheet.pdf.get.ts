import { paperOf } from '../../../utils/paper'
import { api } from '../../../utils/problem'

/** The owner's sheet as PDF: as the visit stands, or as it was issued. */
export default api('look', (event) => paperOf(event, 'sheet'))
