import { postedEntries } from '../services/posted-entries'
import { jsonOf } from '../services/json'
import { useShopApp } from '../utils/app'
import { readJsonBytes } from '../utils/body'
import { api } from '../utils/problem'

/** A few lines are validated at once; many are, where nobody waits for them. */
const FEW_BYTES = 32 * 1024

/** Appends entries: `{ "entries": [...] }` in, which were accepted and which were known already out. All or none. */
export default api(async (event) => {
  const bytes = await readJsonBytes(event)
  const app = await useShopApp()
  const entries = bytes.length > FEW_BYTES ? await app.work.run('entries', { bytes }) : postedEntries(jsonOf(bytes))
  return app.journal.append(entries)
})
