import type { Entry, EntryBodies, EntryKind } from '../../core/visit/entry'
import { ENTRY_VERSION } from '../../core/visit/entry'
import { KIND_CONSTRUCTIONS, KINDS, type Construction, type Kind } from '../../core/knowledge/vocabulary'

export interface RegisterSize {
  customers: number
  machines: number
  visits: number
}

const STREETS = [
  'Weir',
  'Alder',
  'Pippin',
  'Heddle',
  'Shuttle',
  'Garth',
  'Ferry',
  'Slate',
  'Hop',
  'Kiln',
  'Tenter',
  'Dye',
]
const ENDINGS = ['Street', 'Lane', 'Row', 'Hill', 'Court']
const TOWNS = ['Tarrow Mill', 'Upper Tarrow', 'Lower Tarrow', 'Tarrowside']
const HOUSES = ['House', 'Cottage', 'Farm', 'Orchard', 'Holt', 'Garth', 'Bank', 'Acre']
const CALLED = ['filter pump', 'garden pump', 'deep well', 'cellar sump', 'spa pump', 'raceway pump', 'booster']
const BEARINGS = ['6203-2RS', '6204-2RS', '6205-2RS', '6304-2RS']

/** A made-up shop of many customers and machines, each line as it would have been written. */
export function* registerJournal({ customers, machines, visits }: RegisterSize, today: Date): Generator<Entry> {
  let count = 0
  const hex = (number: number, digits: number) => number.toString(16).padStart(digits, '0')
  const id = (group: number, index: number) => `0197a000-000${group}-7000-8000-${hex(index, 12)}`
  const pick = <T>(list: readonly T[], index: number) => list[index % list.length] as T
  const entry = <K extends EntryKind>(visitId: string | null, kind: K, at: number, body: EntryBodies[K]): Entry => {
    const order = count++
    return {
      id: `0197a000-0100-7000-8000-${hex(order, 12)}`,
      v: ENTRY_VERSION,
      visitId,
      kind,
      at: new Date(at).toISOString(),
      author: 'bench',
      body,
    } as unknown as Entry
  }
  const long = today.getTime() - 5 * 365 * 86_400_000
  const customer = (index: number) => ({
    id: id(1, index),
    name: `${pick(STREETS, index * 7)} ${pick(HOUSES, Math.floor(index / 12))} ${index}`,
    place: [
      `${pick(STREETS, index)} ${pick(ENDINGS, Math.floor(index / 12))} ${(index % 90) + 1}`,
      pick(TOWNS, index),
    ].join(', '),
    phone: `0100 ${index.toString().padStart(6, '0')}`,
  })
  const kinds = Object.keys(KINDS) as Kind[]
  const machine = (index: number) => {
    const kind = pick(kinds, index)
    return {
      id: id(2, index),
      customerId: id(1, index % customers),
      name: `${pick(CALLED, index)} ${(index % 4) + 1}`,
      kind,
      construction: KIND_CONSTRUCTIONS[kind][0] as Construction,
      installedOn: new Date(long + (index % 1500) * 86_400_000).toISOString().slice(0, 10),
      nameplate: { volts: index % 3 ? 230 : 115, horsepower: 1, motorType: 'permanent-split' as const },
      fitted: [{ part: 'bearings' as const, identity: pick(BEARINGS, index), since: '2024-05-01' }],
    }
  }
  for (let index = 0; index < customers; index++)
    yield entry(null, 'customer-set', long + index, { customer: customer(index) })
  for (let index = 0; index < machines; index++)
    yield entry(null, 'machine-set', long + 1e8 + index, { machine: machine(index) })
  for (let index = 0; index < visits; index++) {
    const at = today.getTime() - ((visits - index) * 3 * 365 * 86_400_000) / visits
    const which = machine((index * 7) % machines)
    const visitId = id(3, index)
    const finding = (check: string, value: number, unit: string, more: object = {}) =>
      entry(visitId, 'finding', at, { check, value, unit, stage: 'test', ...more })
    yield entry(visitId, 'visit-opened', at, {
      customer: customer(((index * 7) % machines) % customers),
      machine: which,
      scheduledAt: new Date(at).toISOString(),
      plannedMinutes: 60,
      callerSays: `yearly look ${index}`,
    })
    yield finding('supply-voltage', 230 + (index % 9), 'V')
    yield finding('running-current', 5 + (index % 30) / 10, 'A')
    yield finding('insulation-resistance', index % 50 === 0 ? 0.2 : 100 + (index % 400), 'Mohm')
    yield finding('capacitance', 26 + (index % 50) / 10, 'uF', { part: 'run-capacitor' })
    yield entry(visitId, 'note', at, {
      text: `${pick(STREETS, index)} valve stiff, lid ${index % 97}`,
      seenAndLeft: true,
    })
    yield entry(visitId, 'handed-over', at, {
      watch: '',
      nextDate: new Date(at + 365 * 86_400_000).toISOString().slice(0, 10),
    })
  }
}
