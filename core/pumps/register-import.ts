import type { FieldProblem } from '../validation/input-error'
import { bodyProblems } from '../visit/entry-rules'
import type { Customer, Machine, Site } from '../visit/entry'
import type { LineDraft } from './corrections'
import { REGISTER_FIELDS, REGISTER_FIELD_IDS, type RegisterLine } from './register-fields'
import { readRegisterLine, type SaidLine } from './register-line'
import { addressKey, foldedText, phoneKey } from './words'

/** A customer of the register with the places and machines that are known. */
export interface KnownCustomer {
  customer: Customer
  sites: readonly Site[]
  machines: readonly Machine[]
}

/** What becomes of a line: it makes something known, adds what was not known, says nothing new, or stays out. */
export type LineFate = 'new' | 'fills' | 'known' | 'bad'

export interface PlannedLine {
  /** Of the file, its head counted as the first. */
  line: number
  is: LineFate
  /** Whose and what it speaks of. */
  words: string
  problems: FieldProblem[]
  /** Somebody of another name has the same telephone or address. */
  like?: string
}

/** What a file would write, and what becomes of each of its lines. */
export interface ImportPlan {
  lines: PlannedLine[]
  drafts: { line: number; draft: LineDraft }[]
  customers: number
  machines: number
}

/** By what a line's customer is looked for among those that are known. */
export interface CustomerKeys {
  id?: string
  phone?: string
  address?: string
  /** Where a line has nothing but a name. */
  name?: string
}

/** The keys of a line; nothing where it cannot be read. */
export function keysOf(fields: RegisterLine): CustomerKeys {
  const read = readRegisterLine(fields)
  return 'said' in read ? keysOfCustomer(read.said.customer) : {}
}

function keysOfCustomer({ id, name, place, phone }: SaidLine['customer']): CustomerKeys {
  const [byPhone, address] = [phoneKey(phone), addressKey(place)]
  return {
    ...(id ? { id } : {}),
    ...(byPhone ? { phone: byPhone } : {}),
    ...(address ? { address } : {}),
    ...(byPhone || address ? {} : { name }),
  }
}

interface Whole {
  customer: Customer
  sites: Map<string, Site>
  machines: Machine[]
}

/**
 * What a file of customers and machines would write. Somebody is known by id, or by the name with the same telephone or
 * address; of what is known nothing is overwritten, gaps are filled. A line that cannot be read stays out.
 *
 * @param lines of the file in their order, with their numbers
 * @param known whoever may be meant
 * @param idOf makes an id
 * @param given ids that records of the register have, those that were merged or retired too: none is written over
 */
export function planImport(
  lines: readonly { line: number; fields: RegisterLine }[],
  known: readonly KnownCustomer[],
  idOf: () => string,
  given: ReadonlySet<string> = new Set(),
): ImportPlan {
  const register = new Whereabouts(known)
  const plan: ImportPlan = { lines: [], drafts: [], customers: 0, machines: 0 }
  for (const { line, fields } of lines) {
    const words = [fields.customer, fields.machine].filter(Boolean).join(', ')
    const read = readRegisterLine(fields)
    if ('problems' in read) {
      plan.lines.push({ line, is: 'bad', words, problems: read.problems })
      continue
    }
    const { said } = read
    const found = register.find(said)
    const like = found ? undefined : register.like(said)?.customer.name
    const whole: Whole = found ?? { customer: newCustomer(said, idOf), sites: new Map(), machines: [] }
    const drafts = draftsOf(said, whole, found !== undefined, idOf)
    const problems = [
      ...drafts.flatMap((draft) => problemsOf(draft)),
      ...overwritten(said, drafts, given, found !== undefined),
    ]
    if (problems.length > 0) {
      plan.lines.push({ line, is: 'bad', words, problems })
      continue
    }
    register.keep(whole, drafts)
    for (const draft of drafts) plan.drafts.push({ line, draft })
    const isNewMachine = said.machine !== undefined && drafts.some(({ kind }) => kind === 'machine-set')
    if (!found) plan.customers++
    if (isNewMachine) plan.machines++
    const is = !found || isNewMachine ? 'new' : drafts.length > 0 ? 'fills' : 'known'
    plan.lines.push({ line, is, words, problems: [], ...(like ? { like } : {}) })
  }
  return plan
}

/** A record that is known as somebody else's, was merged or is gone would be written over by its own id. */
function overwritten(
  { customer, machine }: SaidLine,
  drafts: readonly LineDraft[],
  given: ReadonlySet<string>,
  isKnown: boolean,
): FieldProblem[] {
  const isGiven = (id: string | undefined): id is string => id !== undefined && given.has(id)
  const problem = (field: 'customerId' | 'machineId', value: string): FieldProblem => ({
    field: REGISTER_FIELDS[field].label,
    value,
    expected: 'nothing, or one that no other record has: this one is another’s, was merged or is retired',
  })
  return [
    ...(!isKnown && isGiven(customer.id) ? [problem('customerId', customer.id)] : []),
    ...(isGiven(machine?.id) && drafts.some(({ kind }) => kind === 'machine-set')
      ? [problem('machineId', machine?.id as string)]
      : []),
  ]
}

function newCustomer({ customer: { id, ...said } }: SaidLine, idOf: () => string): Customer {
  return { id: id ?? idOf(), ...said }
}

/** What a line adds to what is known: the customer, what is known of the place, another place, the machine. */
function draftsOf(said: SaidLine, whole: Whole, isKnown: boolean, idOf: () => string): LineDraft[] {
  const drafts: LineDraft[] = []
  const add = (draft: Pick<LineDraft, 'kind' | 'body'>) => drafts.push({ visitId: null, ...draft } as LineDraft)
  const { customer } = whole
  const filled = isKnown ? withGaps(customer, said.customer) : customer
  if (!isKnown || filled !== customer) add({ kind: 'customer-set', body: { customer: filled } })
  const own: Site = whole.sites.get(customer.id) ?? { id: customer.id, customerId: customer.id }
  const ownSite = withGaps(own, said.place)
  if (ownSite !== own) add({ kind: 'site-set', body: { site: ownSite } })
  if (!said.machine) return drafts
  const { stands, id, ...machine } = said.machine
  const isHere = whole.machines.some(
    (each) => each.id === id || (each.kind === machine.kind && foldedText(each.name) === foldedText(machine.name)),
  )
  if (isHere) return drafts
  const elsewhere = stands !== undefined && addressKey(stands) !== addressKey(filled.place) ? stands : undefined
  const stood =
    elsewhere === undefined
      ? undefined
      : [...whole.sites.values()].find(({ address }) => addressKey(address ?? '') === addressKey(elsewhere))
  const site =
    stood ?? (elsewhere === undefined ? undefined : { id: idOf(), customerId: customer.id, address: elsewhere })
  if (site && !stood) add({ kind: 'site-set', body: { site } })
  add({
    kind: 'machine-set',
    body: { machine: { id: id ?? idOf(), customerId: customer.id, ...(site ? { siteId: site.id } : {}), ...machine } },
  })
  return drafts
}

/** What is known, with what was not known of it; the same again where nothing is added. */
function withGaps<T extends object>(known: T, said: Partial<Record<keyof T, unknown>>): T {
  const gaps = Object.entries(said).filter(([field, value]) => field !== 'id' && value && !known[field as keyof T])
  return gaps.length === 0 ? known : { ...known, ...Object.fromEntries(gaps) }
}

/** The journal's own rules on what would be written, told by the heads of the file. */
function problemsOf({ kind, body }: LineDraft): FieldProblem[] {
  return bodyProblems(kind, body).map((problem) => {
    const last = problem.field.split('.').at(-1) as string
    const field = FIELD_BY_PATH[problem.field] ?? REGISTER_FIELD_IDS.find((id) => id === last)
    return { ...problem, field: field ? REGISTER_FIELDS[field].label : problem.field }
  })
}
const FIELD_BY_PATH: Readonly<Record<string, keyof typeof REGISTER_FIELDS>> = {
  'customer.name': 'customer',
  'machine.name': 'machine',
  'site.address': 'stands',
}

/** Whoever is known, from the register and from the lines before, by what a line says of them. */
class Whereabouts {
  private readonly byId = new Map<string, Whole>()
  private readonly byPhone = new Map<string, Whole[]>()
  private readonly byAddress = new Map<string, Whole[]>()
  private readonly byName = new Map<string, Whole[]>()

  constructor(known: readonly KnownCustomer[]) {
    for (const { customer, sites, machines } of known)
      this.put({ customer, sites: new Map(sites.map((site) => [site.id, site])), machines: [...machines] })
  }

  find(said: SaidLine): Whole | undefined {
    const { id, name: only } = keysOfCustomer(said.customer)
    const own = id === undefined ? undefined : this.byId.get(id)
    if (own) return own
    if (only !== undefined) {
      // A name alone means somebody only where nobody else has it.
      const named = this.byName.get(foldedText(only)) ?? []
      return named.length === 1 ? named[0] : undefined
    }
    const name = foldedText(said.customer.name)
    return this.near(said).find(({ customer }) => foldedText(customer.name) === name)
  }

  /** Somebody of another name at the same telephone or address. */
  like(said: SaidLine): Whole | undefined {
    return this.near(said)[0]
  }

  /** What was written is known to the lines after. */
  keep(whole: Whole, drafts: readonly LineDraft[]): void {
    for (const { kind, body } of drafts) {
      if (kind === 'customer-set') whole.customer = (body as { customer: Customer }).customer
      if (kind === 'site-set') {
        const { site } = body as { site: Site }
        whole.sites.set(site.id, site)
      }
      if (kind === 'machine-set') whole.machines.push((body as { machine: Machine }).machine)
    }
    this.put(whole)
  }

  private near({ customer }: SaidLine): Whole[] {
    const phone = phoneKey(customer.phone)
    const address = addressKey(customer.place)
    return [
      ...(phone === undefined ? [] : (this.byPhone.get(phone) ?? [])),
      ...(address === '' ? [] : (this.byAddress.get(address) ?? [])),
    ]
  }

  private put(whole: Whole): void {
    const { id, name, phone, place } = whole.customer
    this.byId.set(id, whole)
    add(this.byPhone, phoneKey(phone), whole)
    add(this.byAddress, addressKey(place) || undefined, whole)
    add(this.byName, foldedText(name), whole)
  }
}

function add(index: Map<string, Whole[]>, key: string | undefined, whole: Whole): void {
  if (key === undefined) return
  const there = index.get(key)
  if (!there) index.set(key, [whole])
  else if (!there.includes(whole)) there.push(whole)
}
