import { emptyBook, readKept, type AuditLine, type Person } from './book'
import type { PeopleKeeper } from './people-keeper'

/** What a backup holds of people: who works here, and what was done. */
export interface KeptPeople {
  people: Person[]
  audit: AuditLine[]
}

/** Nothing where nobody was ever written down. */
export async function peopleToKeep(keeper: PeopleKeeper): Promise<KeptPeople | undefined> {
  const book = await keeper.read()
  if (!book || book.people.length === 0) return undefined
  return { people: book.people, audit: (await keeper.noted(Infinity)).toReversed() }
}

/**
 * Puts people back where there are none. Everybody signs in anew: a device that was shut out since the backup was made
 * would be in again.
 *
 * @throws Error where it is not what a backup holds of people
 */
export async function restorePeople(text: string, keeper: PeopleKeeper): Promise<void> {
  const { people, audit } = readKept(JSON.parse(text))
  await keeper.change((book = emptyBook()) => ({ book: { ...book, people }, said: undefined }))
  // A restore that was broken off and is done again has noted them.
  if ((await keeper.noted(1)).length === 0) await keeper.note(...audit)
}
