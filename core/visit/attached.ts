import type { Entry } from './entry'

/** Files that hang on lines of a journal, known by their content: pictures and recordings. */
export const ATTACHING = ['photo', 'recording'] as const satisfies readonly Entry['kind'][]

/** The hash of the file that a line speaks of, where it speaks of one. */
export function attachedTo(entry: Entry): string | undefined {
  return entry.kind === 'photo' || entry.kind === 'recording' ? entry.body.hash : undefined
}

/** The hashes of all files that lines speak of, each once. */
export function attachedIn(entries: readonly Entry[]): string[] {
  return [...new Set(entries.flatMap((entry) => attachedTo(entry) ?? []))]
}
