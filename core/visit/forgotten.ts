import { KINDS } from '../knowledge/vocabulary'
import type { Customer, Entry, EntryBodies, EntryKind, EntryOf, Machine, PriceLine, Site } from './entry'
import { liftEntry } from './lift'

/** What stands where somebody's words or name were. */
export const REMOVED = 'removed'
/** What a customer is called whose data were removed. */
export const FORMER_CUSTOMER = 'Former customer'
/** An address that is nobody's: RFC 2606 keeps the domain from ever being given away. */
const NO_ADDRESS = 'removed@example.invalid'

/** Whose data were removed: the records of the customer, the machines that were theirs, the visits that were made. */
export interface Forgotten {
  customers: ReadonlySet<string>
  machines: ReadonlySet<string>
  visits: ReadonlySet<string>
}

export const NOBODY: Forgotten = { customers: new Set(), machines: new Set(), visits: new Set() }

/** All that these lines of the shop's journal say was removed. */
export function forgottenIn(lines: readonly Entry[]): Forgotten {
  const bodies = lines.filter((entry) => entry.kind === 'customer-forgotten').map(({ body }) => body)
  const all = (field: keyof EntryBodies['customer-forgotten']) => new Set(bodies.flatMap((body) => body[field]))
  return { customers: all('customers'), machines: all('machines'), visits: all('visits') }
}

/** With more visits that were theirs. */
export function withVisits(forgotten: Forgotten, visits: readonly string[]): Forgotten {
  return { ...forgotten, visits: new Set([...forgotten.visits, ...visits]) }
}

/** Does a line speak of somebody whose data were removed? */
export function isOfForgotten({ kind, visitId, body }: Entry, { customers, machines, visits }: Forgotten): boolean {
  // What says that they were removed is no word of theirs.
  if (kind === 'customer-forgotten') return false
  if (visitId !== null && visits.has(visitId)) return true
  const { customer, machine, site, machineId, visit } = body as {
    customer?: Customer
    machine?: Machine
    site?: Site
    machineId?: string
    visit?: string
  }
  const isTheirs = (id: string | undefined) => id !== undefined && customers.has(id)
  return (
    isTheirs(customer?.id) ||
    isTheirs(machine?.customerId) ||
    isTheirs(site?.customerId) ||
    visits.has(visit ?? '') ||
    machines.has(machine?.id ?? machineId ?? '')
  )
}

/** A line as it is kept: of somebody whose data were removed without what was theirs, any other as it is. */
export function asKept(line: Entry, forgotten: Forgotten): Entry {
  if (forgotten.customers.size === 0) return line
  const entry = liftEntry(line) as Entry
  return isOfForgotten(entry, forgotten) ? withoutPerson(entry) : line
}

/**
 * A line without the person whom it speaks of: names, addresses, what was said, seen in words, drawn or photographed.
 * What was measured, done, fitted and charged stays, under the id and in the place that it had. Doing it twice changes
 * nothing more.
 */
export function withoutPerson(entry: Entry): Entry {
  const { said, ...line } = entry
  const rest = { ...line, ...(said ? { said: { act: said.act, line: REMOVED } } : {}) }
  // A line of a picture, or of a recording with voices in it, asks for it: what is left says that there was one.
  if (entry.kind === 'photo' || entry.kind === 'recording')
    return { ...rest, kind: 'note', body: { text: REMOVED, seenAndLeft: false } } as Entry
  const impersonal = IMPERSONAL[entry.kind] as (body: Entry['body']) => Entry['body']
  return { ...rest, body: impersonal(entry.body) } as EntryOf<EntryKind> as Entry
}

const wordsIn = <T extends object>(body: T, ...fields: (keyof T)[]): T => ({
  ...body,
  ...Object.fromEntries(fields.flatMap((field) => (body[field] ? [[field, REMOVED]] : []))),
})
const without = <T extends object>(body: T, ...fields: (keyof T)[]): T =>
  Object.fromEntries(Object.entries(body).filter(([field]) => !fields.includes(field as keyof T))) as T
const asItIs = <T>(body: T): T => body
const nobody = ({ id }: Customer): Customer => ({ id, name: FORMER_CUSTOMER, place: '' })
/** A machine is called what it is. */
const unnamed = (machine: Machine): Machine => ({ ...machine, name: KINDS[machine.kind] })
/** Labels that were typed; those of parts, work and journeys are the program's own. */
const unlabelled = (line: PriceLine): PriceLine =>
  line.kind === undefined || line.kind === 'change' ? { ...line, label: REMOVED } : line

/** What stays of each kind of line. */
const IMPERSONAL: {
  readonly [K in Exclude<EntryKind, 'photo' | 'recording'>]: (body: EntryBodies[K]) => EntryBodies[K]
} = {
  'visit-opened': (body) => ({
    ...body,
    callerSays: '',
    customer: nobody(body.customer),
    machine: unnamed(body.machine),
  }),
  call: (body) => ({ ...wordsIn(body, 'since'), callerSays: '' }),
  'machine-set': ({ machine }) => ({ machine: unnamed(machine) }),
  planned: (body) => wordsIn(body, 'why'),
  arranged: asItIs,
  cancelled: (body) => wordsIn(body, 'why'),
  together: asItIs,
  loaded: asItIs,
  gate: asItIs,
  finding: asItIs,
  note: (body) => wordsIn(body, 'text'),
  standing: asItIs,
  wish: asItIs,
  'check-skipped': asItIs,
  'cause-said': asItIs,
  'post-mortem': (body) => wordsIn(body, 'why', 'keeping'),
  'working-kept': asItIs,
  job: (body) => wordsIn(body, 'why'),
  decision: asItIs,
  'take-down-found': asItIs,
  'take-down-measured': asItIs,
  'new-part': asItIs,
  fitted: asItIs,
  step: (body) => wordsIn(body, 'reason', 'note'),
  'joint-done': asItIs,
  proof: (body) => wordsIn(body, 'why'),
  comeback: asItIs,
  'price-change': (body) => wordsIn(body, 'label'),
  'price-agreed': (body) => wordsIn(body, 'by'),
  'handed-over': (body) => ({
    ...without(wordsIn(body, 'watch', 'priceWhy'), 'nextDate', 'due'),
    ...(body.lines ? { lines: body.lines.map(unlabelled) } : {}),
  }),
  signed: (body) => ({ ...wordsIn(body, 'by'), width: 1, height: 1, strokes: [[0, 0]] }),
  mailed: (body) => ({ ...body, to: NO_ADDRESS }),
  paid: (body) => wordsIn(body, 'how'),
  claim: (body) => ({ ...without(wordsIn(body, 'complaint', 'openedWhy'), 'identity', 'to', 'reference') }),
  'claim-moved': (body) => wordsIn(body, 'note'),
  retracted: asItIs,
  'shop-forget': asItIs,
  'customer-set': ({ customer }) => ({ customer: nobody(customer) }),
  'site-set': ({ site: { id, customerId } }) => ({
    site: { id, customerId, ...(id === customerId ? {} : { address: REMOVED }) },
  }),
  'machine-retired': (body) => wordsIn(body, 'why'),
  merged: asItIs,
  'kept-apart': asItIs,
  'day-order': asItIs,
  'shop-set': asItIs,
  'practice-tried': asItIs,
  'course-set': asItIs,
  'article-set': asItIs,
  'stock-moved': (body) => without(body, 'note'),
  'stock-counted': asItIs,
  'bay-set': asItIs,
  'level-set': asItIs,
  'keeping-set': asItIs,
  'supplier-set': asItIs,
  'offer-set': asItIs,
  'order-placed': asItIs,
  'order-moved': (body) => without(body, 'note'),
  'customer-forgotten': asItIs,
}
