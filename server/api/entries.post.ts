import { InputError } from '../../core/validation/input-error'
import { authorProblems } from '../services/people/authors'
import { postedEntries } from '../services/posted-entries'
import { jsonOf } from '../services/json'
import { useShopApp } from '../utils/app'
import { readJsonBytes } from '../utils/body'
import { api } from '../utils/problem'
import { senderOf, whoAsks } from '../utils/signed-in'

/** A few lines are validated at once; many are, where nobody waits for them. */
const FEW_BYTES = 32 * 1024

/**
 * Appends entries: `{ "entries": [...] }` in, which were accepted and which were known already out. All or none. Each
 * is of a kind that whoever sends it may write: of a learner the outcome of a try alone.
 */
export default api('practice', async (event) => {
  const bytes = await readJsonBytes(event)
  const app = await useShopApp()
  const entries = bytes.length > FEW_BYTES ? await app.work.run('entries', { bytes }) : postedEntries(jsonOf(bytes))
  const who = await whoAsks(event)
  if (who && !who.isAlone) {
    const replaced = await app.repository.entriesById(entries.flatMap(({ supersedes }) => supersedes ?? []))
    const beside = new Map(entries.map((entry) => [entry.id, entry]))
    const kindOf = (id: string) => (replaced.get(id) ?? beside.get(id))?.kind
    const problems = authorProblems(await senderOf(who), entries, kindOf)
    if (problems.length > 0) throw new InputError(problems)
  }
  return app.journal.append(entries)
})
