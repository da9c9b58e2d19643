import type { EntryBodies, EntryKind } from '#core/visit/entry'

type Rules = typeof import('#core/visit/entry-rules')
let rules: Rules | undefined
let loading: Promise<Rules | undefined> | undefined

/**
 * The journal's own rules for what a form is about to write. They are heavy and wanted by forms alone, so they come
 * after the form; until they are there, and without a signal, the server says the same later.
 */
export function useEntryRules() {
  loading ??= import('#core/visit/entry-rules').then(
    (loaded) => (rules = loaded),
    () => {
      // Asked for again by the next form.
      loading = undefined
      return undefined
    },
  )

  /** What speaks against a line with this body, by the path of the field; empty where nothing does. */
  function problemsOf<K extends EntryKind>(kind: K, body: EntryBodies[K]): Record<string, string> {
    return Object.fromEntries((rules?.bodyProblems(kind, body) ?? []).map(({ field, expected }) => [field, expected]))
  }
  /** The same, once the rules are there: for what is written by a button and not on the way. */
  async function checked<K extends EntryKind>(kind: K, body: EntryBodies[K]): Promise<Record<string, string>> {
    await loading
    return problemsOf(kind, body)
  }
  return { problemsOf, checked }
}
