import type { AuditLine, PeopleBook } from './book'

/** Where the list of people is kept: a file of the shop's data, or the database that several servers share. */
export interface PeopleKeeper {
  /** The book as it stands; nothing where nobody was ever written down. */
  read: () => Promise<PeopleBook | undefined>
  /**
   * Changes the book, one change after the other over all servers.
   *
   * @param change of the book as it stands; what it returns is answered, and the book as it left it is kept
   */
  change: <T>(change: (book: PeopleBook | undefined) => { book: PeopleBook; said: T }) => Promise<T>
  /** Adds lines to the list of what was done. */
  note: (...lines: readonly AuditLine[]) => Promise<void>
  /** The newest lines of it, the newest first. */
  noted: (most: number) => Promise<AuditLine[]>
}
