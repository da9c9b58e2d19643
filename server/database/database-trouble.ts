/**
 * What can go wrong with a database, by the standard's own codes. Source: PostgreSQL documentation, appendix A, Error
 * Codes.
 */
const TROUBLES: readonly { codes: RegExp; sentence: (where: string) => string; status: number }[] = [
  {
    codes: /^(ECONNREFUSED|ENOTFOUND|EAI_AGAIN|ETIMEDOUT|ECONNRESET|EPIPE|EHOSTUNREACH|ENETUNREACH|08\w{3}|57P0\d)$/,
    sentence: (where) => `The database server${where} does not answer. Start it, or check the address in DATABASE_URL.`,
    status: 503,
  },
  {
    codes: /^(28\w{3})$/,
    sentence: (where) => `The database server${where} refuses the user or the password. Check both in DATABASE_URL.`,
    status: 503,
  },
  {
    codes: /^(3D000)$/,
    sentence: (where) =>
      `The database server${where} has no database of that name. Make it, or check the name in DATABASE_URL.`,
    status: 503,
  },
  {
    codes: /^(42501)$/,
    sentence: (where) =>
      `The database user${where} may not do what Pike Lamp needs. Make it the owner of its database.`,
    status: 503,
  },
  {
    codes: /^(53300)$/,
    sentence: (where) =>
      `The database server${where} takes no more connections. Stop something else that uses it, or allow more.`,
    status: 503,
  },
  {
    codes: /^(ENOSPC|EDQUOT|EFBIG|53100)$/,
    sentence: () => 'The disk is full: nothing of this was kept. Make room; what waits on the devices is sent then.',
    status: 507,
  },
  {
    codes: /^(EROFS|EACCES|EPERM|EIO)$/,
    sentence: () =>
      'The data folder cannot be written: nothing of this was kept. Make it writable, or put the data on a disk ' +
      'that works.',
    status: 507,
  },
]

/** Trouble of the database or the disk, as one sentence with what to do. It never carries what was to be stored. */
export class DatabaseTrouble extends Error {
  constructor(
    sentence: string,
    readonly status: number,
    readonly code: string,
  ) {
    super(sentence)
    this.name = 'DatabaseTrouble'
  }
}

/** What the driver says, without a code, of a connection that broke under it; and the standard's code for that. */
const BROKEN =
  /^(Connection terminated|timeout exceeded when trying|Client (has encountered a connection error|was closed))/
const CONNECTION_FAILURE = '08006'

/** The code that an error or one of its causes carries: SQLSTATE of the database, or the system’s own. */
export function codeOf(error: unknown): string | undefined {
  for (let each: unknown = error, depth = 0; each instanceof Error && depth < 8; each = each.cause, depth++) {
    if ('code' in each && typeof each.code === 'string') return each.code
    if (BROKEN.test(each.message)) return CONNECTION_FAILURE
    // A connection that was tried at several addresses failed at each of them.
    if (each instanceof AggregateError) return codeOf(each.errors[0])
  }
  return undefined
}

/**
 * The known trouble behind an error, if it is one.
 *
 * @param url of a database server, for its name; never its password
 */
export function troubleOf(error: unknown, url?: string): DatabaseTrouble | undefined {
  const code = codeOf(error)
  const trouble = code === undefined ? undefined : TROUBLES.find(({ codes }) => codes.test(code))
  return trouble && new DatabaseTrouble(trouble.sentence(hostOf(url)), trouble.status, code as string)
}

function hostOf(url: string | undefined): string {
  if (url === undefined) return ''
  try {
    return ` at ${new URL(url).host}`
  } catch {
    return ''
  }
}

/** Does the database refuse the data itself (class 22), or what it would become beside other data (class 23)? */
export function refusesData(error: unknown): boolean {
  return /^2[23]\w{3}$/.test(codeOf(error) ?? '')
}

/**
 * Why the shop did not open, in one sentence; an error of the database is told by its code alone, since its words carry
 * customers' own.
 */
export function startSentence(error: unknown): string {
  const trouble = error instanceof DatabaseTrouble ? error : troubleOf(error)
  if (trouble) return trouble.message
  const code = codeOf(error)
  if (code !== undefined)
    return (
      `The database does not do what the start needs (${code}). Move the folder "database" aside and start again: ` +
      'it is built anew from journal.jsonl.'
    )
  return error instanceof Error ? error.message : 'The shop did not open.'
}
