import { foldedText } from './words'

/** What a table of customers and machines can say of a line, and under which heads others write it. */
interface RegisterField {
  label: string
  of: 'customer' | 'site' | 'machine'
  /** Other heads it goes by. */
  also: readonly string[]
}

export const REGISTER_FIELDS = {
  customerId: { label: 'customer id', of: 'customer', also: [] },
  customer: {
    label: 'customer',
    of: 'customer',
    also: ['name', 'full name', 'owner', 'client', 'display name', 'household', 'fn'],
  },
  place: {
    label: 'address',
    of: 'customer',
    also: ['place', 'street', 'street address', 'home address', 'site', 'adr'],
  },
  town: { label: 'town', of: 'customer', also: ['city', 'locality', 'village', 'suburb'] },
  phone: {
    label: 'telephone',
    of: 'customer',
    also: ['phone', 'tel', 'mobile', 'cell', 'telephone number', 'phone number', 'mobile phone'],
  },
  mail: { label: 'mail', of: 'customer', also: ['email', 'e mail', 'mail address', 'email address'] },
  gate: { label: 'gate', of: 'site', also: ['gate code', 'access'] },
  key: { label: 'key', of: 'site', also: ['keys'] },
  dog: { label: 'dog', of: 'site', also: ['dogs', 'animals'] },
  breaker: { label: 'breaker', of: 'site', also: ['panel', 'fuse'] },
  shutOff: { label: 'shut-off', of: 'site', also: ['shutoff', 'shut off valve', 'stopcock'] },
  pit: { label: 'pit', of: 'site', also: ['sump pit'] },
  wellLog: { label: 'well log', of: 'site', also: ['well', 'drilling log'] },
  note: { label: 'note', of: 'site', also: ['notes', 'remarks', 'comment', 'comments'] },
  machineId: { label: 'machine id', of: 'machine', also: [] },
  machine: { label: 'machine', of: 'machine', also: ['pump', 'equipment', 'unit', 'machine name', 'pump name'] },
  kind: { label: 'kind', of: 'machine', also: ['type', 'pump type', 'kind of pump', 'category'] },
  construction: { label: 'construction', of: 'machine', also: ['build'] },
  stands: { label: 'stands at', of: 'machine', also: ['location', 'machine address', 'site address'] },
  installedOn: {
    label: 'installed on',
    of: 'machine',
    also: ['installed', 'install date', 'installation date', 'date installed', 'year', 'since'],
  },
  warrantyUntil: { label: 'warranty until', of: 'machine', also: ['warranty', 'warranty end', 'warranty ends'] },
  volts: { label: 'volts', of: 'machine', also: ['voltage', 'v'] },
  horsepower: { label: 'horsepower', of: 'machine', also: ['hp', 'power'] },
  fullLoadAmps: { label: 'full-load amps', of: 'machine', also: ['amps', 'fla', 'full load amps', 'current'] },
  runCapacitorMicrofarads: {
    label: 'run capacitor μF',
    of: 'machine',
    also: ['run capacitor', 'capacitor', 'uf', 'mfd'],
  },
} as const satisfies Record<string, RegisterField>
export type RegisterFieldId = keyof typeof REGISTER_FIELDS
export const REGISTER_FIELD_IDS = Object.keys(REGISTER_FIELDS) as RegisterFieldId[]

/** Where a field comes from: a column, or one text for all lines. */
export type FieldSource = { column: number } | { text: string }
export type FieldMapping = Partial<Record<RegisterFieldId, FieldSource>>

const key = (head: string) =>
  foldedText(head)
    .replaceAll(/[^a-z0-9μ]+/g, ' ')
    .trim()

/**
 * Which column says what, as far as the heads tell: each column is taken once, by its exact name first.
 *
 * @param heads the table's first line
 */
export function guessMapping(heads: readonly string[]): FieldMapping {
  const mapping: FieldMapping = {}
  const taken = new Set<number>()
  const keys = heads.map(key)
  const names = (id: RegisterFieldId): string[][] => [[REGISTER_FIELDS[id].label], [...REGISTER_FIELDS[id].also]]
  for (const turn of [0, 1])
    for (const id of REGISTER_FIELD_IDS) {
      if (mapping[id]) continue
      const wanted = (names(id)[turn] ?? []).map(key)
      const column = keys.findIndex((each, index) => !taken.has(index) && wanted.includes(each))
      if (column < 0) continue
      mapping[id] = { column }
      taken.add(column)
    }
  // What a machine is may be all that it is called by.
  return mapping.kind && !mapping.machine ? { ...mapping, machine: mapping.kind } : mapping
}

/** A line of a table as its fields, each trimmed; what is empty is left out. */
export type RegisterLine = Partial<Record<RegisterFieldId, string>>

/** A formula's sign that was made harmless by a mark before it, as tables are written. */
const ESCAPED = /^'(?=[=+\-@\t\r])/

export function lineOf(cells: readonly string[], mapping: FieldMapping): RegisterLine {
  return Object.fromEntries(
    Object.entries(mapping).flatMap(([id, source]) => {
      const text = ('column' in source ? (cells[source.column] ?? '') : source.text).replace(ESCAPED, '').trim()
      return text ? [[id, text]] : []
    }),
  )
}
