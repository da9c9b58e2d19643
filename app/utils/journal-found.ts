/**
 * How the journal file was found when the server started: lines put into the database, lines written to the file, lines
 * set aside.
 */
export interface JournalFound {
  filled: number
  takenIn: number
  setAside: { line: number; reason: string }[]
  setAsideCount: number
}
