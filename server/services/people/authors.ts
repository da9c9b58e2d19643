import type { Role } from '../../../core/people/roles'
import { mayWrite } from '../../../core/people/roles'
import type { FieldProblem } from '../../../core/validation/input-error'
import type { Entry, EntryKind } from '../../../core/visit/entry'

/** Whoever sends lines: themselves, and who else has written in the same browser. */
export interface Sender {
  person: { id: string; name: string; role: Role }
  /** Devices of this browser by their id, with whoever was signed in on each. */
  devices: ReadonlyMap<string, { id: string; name: string; role: Role }>
}

/**
 * What is wrong with who is said to have written lines: each is of somebody who is, or was, signed in where it comes
 * from, under their name, and of a kind that they may write.
 *
 * @param kindOf the kind of a line that is taken back or corrected, where it is known
 */
export function authorProblems(
  { person, devices }: Sender,
  entries: readonly Entry[],
  kindOf: (id: string) => EntryKind | undefined,
): FieldProblem[] {
  return entries.flatMap((entry, index): FieldProblem[] => {
    const at = (field: string) => `entries.${index}.${field}`
    const writer = entry.by ? devices.get(entry.by.device) : person
    if (!writer || (entry.by && entry.by.person !== writer.id))
      return [
        {
          field: at('by'),
          value: entry.by,
          expected: `somebody who is signed in on this device: ${entry.author} signs in here to send it`,
        },
      ]
    if (entry.author !== writer.name)
      return [{ field: at('author'), value: entry.author, expected: `${writer.name}, who is signed in` }]
    const kinds = [entry.kind, entry.supersedes ? kindOf(entry.supersedes) : undefined]
    const barred = kinds.find((kind) => kind !== undefined && !mayWrite(writer.role, kind))
    return barred
      ? [{ field: at('kind'), value: barred, expected: `a kind of line that the ${writer.role} of a shop writes` }]
      : []
  })
}
