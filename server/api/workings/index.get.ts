import { WORKINGS } from '../../../core/workings/registry'
import { api } from '../../utils/problem'

/** The calculations there are. */
export default api('practice', () => ({
  workings: [...WORKINGS.values()].map(({ name, title, basis }) => ({ name, title, basis })),
}))
