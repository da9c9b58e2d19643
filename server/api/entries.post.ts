import { InputError } from '../../core/validation/input-error'
import { validEntry } from '../../core/visit/entry-rules'
import { useShopApp } from '../utils/app'
import { readJson } from '../utils/body'
import { api } from '../utils/problem'

const MOST_AT_ONCE = 500

/** Appends entries: `{ "entries": [...] }` in, which were accepted and which were known already out. All or none. */
export default api(async (event) => {
  const body = (await readJson(event)) as { entries?: unknown } | null
  const entries = body === null || typeof body !== 'object' ? undefined : body.entries
  if (!Array.isArray(entries) || entries.length === 0 || entries.length > MOST_AT_ONCE) {
    throw new InputError([{ field: 'entries', value: Array.isArray(entries) ? entries.length : entries, expected: `a list of 1 to ${MOST_AT_ONCE} entries` }])
  }
  return (await useShopApp()).journal.append(entries.map((entry, index) => validEntry(entry, `entries.${index}`)))
})
