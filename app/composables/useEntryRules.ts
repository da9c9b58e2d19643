import type { EntryBodies, EntryKind } from '#core/visit/entry'

let rules: typeof import('#core/visit/entry-rules') | undefined

/**
 * The journal's own rules for what a form is about to write. They are heavy and wanted by forms alone, so they come
 * after the form; until they are there, and without a signal, the server says the same later.
 */
export function useEntryRules() {
  if (!rules)
    void import('#core/visit/entry-rules').then(
      (loaded) => {
        rules = loaded
      },
      () => undefined,
    )

  /** What speaks against a line with this body, by the path of the field; empty where nothing does. */
  function problemsOf<K extends EntryKind>(kind: K, body: EntryBodies[K]): Record<string, string> {
    return Object.fromEntries((rules?.bodyProblems(kind, body) ?? []).map(({ field, expected }) => [field, expected]))
  }
  return { problemsOf }
}
