import { badField } from '../../core/validation/input-error'
import type { Entry } from '../../core/visit/entry'
import { validEntry } from '../../core/visit/entry-rules'

const MOST_AT_ONCE = 500

/**
 * The entries of a request: `{ "entries": [...] }`, each validated.
 *
 * @throws InputError naming the field
 */
export function postedEntries(body: unknown): Entry[] {
  const entries = body === null || typeof body !== 'object' ? undefined : (body as { entries?: unknown }).entries
  if (!Array.isArray(entries) || entries.length === 0 || entries.length > MOST_AT_ONCE) {
    throw badField(
      'entries',
      Array.isArray(entries) ? entries.length : entries,
      `a list of 1 to ${MOST_AT_ONCE} entries`,
    )
  }
  return entries.map((entry, index) => validEntry(entry, `entries.${index}`))
}
