/** A line of what was done, as the owner is told it. */
export interface AuditView {
  at: string
  what: keyof typeof DONE
  by?: string
  about?: string
}

/** What somebody did, and to whom. A try that failed was of somebody whose name was known, or of nobody. */
const DONE = {
  'first-owner': (by: string) => `${by} became the owner of the shop`,
  'signed-in': (by: string) => `${by} signed in`,
  'not-let-in': (_: string, about?: string) =>
    about ? `a wrong passphrase for ${about}` : 'a name that nobody has was tried',
  'signed-out': (by: string) => `${by} signed out`,
  invited: (by: string, about?: string) => `${by} invited ${about ? `another device of ${about}` : 'somebody new'}`,
  joined: (by: string) => `${by} came in by an invitation`,
  'key-given': (by: string) => `${by} took an address for a calendar`,
  'shut-out': (by: string, about?: string) => `${by} shut out a device of ${about}`,
  'role-changed': (by: string, about?: string) => `${by} changed the role of ${about}`,
  'passphrase-changed': (by: string) => `${by} took another passphrase`,
  removed: (by: string) => `${by} wrote that somebody works here no more`,
  exported: (by: string, about?: string) => `${by} took out a file: ${about}`,
  forgotten: (by: string, about?: string) => `${by} had data deleted: ${about}`,
} as const

const SOMEBODY_GONE = 'somebody who works here no more'
const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/

/** @param nameOf a person's name by their id, while they work here */
export function auditSentence({ what, by, about }: AuditView, nameOf: (id: string) => string | undefined): string {
  const whose = (id: string) => nameOf(id) ?? SOMEBODY_GONE
  const doer = by ? whose(by) : 'whoever sits at the server'
  return DONE[what](doer, about && UUID.test(about) ? whose(about) : about)
}
