import { v7 as uuidv7 } from 'uuid'
import type { Entry, EntryBodies, EntryKind } from '#core/visit/entry'

/** Entries for tests: a visit of its own, opened, and what is written in it. */
export interface TestVisit {
  visitId: string
  opened: Entry
  write: <K extends EntryKind>(kind: K, body: EntryBodies[K], supersedes?: string) => Entry
}

export function testVisit(machineId = uuidv7(), scheduledAt = '2026-05-12T10:20:00.000Z'): TestVisit {
  const visitId = uuidv7()
  const customerId = uuidv7()
  const write: TestVisit['write'] = (kind, body, supersedes) =>
    ({
      id: uuidv7(),
      visitId,
      kind,
      at: new Date().toISOString(),
      author: 'test',
      ...(supersedes ? { supersedes } : {}),
      body,
    }) as unknown as Entry
  const opened = write('visit-opened', {
    customer: { id: customerId, name: 'Millrace Lido', place: 'Weir Street 1' },
    scheduledAt,
    plannedMinutes: 45,
    callerSays: 'hums',
    machine: {
      id: machineId,
      customerId,
      name: 'filter pump 2',
      kind: 'pool',
      construction: 'band-clamp',
      nameplate: { volts: 230, motorType: 'permanent-split', horsepower: 1, runCapacitorMicrofarads: 30 },
    },
  })
  return { visitId, opened, write }
}

export const reading = (visit: TestVisit, value: number): Entry =>
  visit.write('finding', { check: 'supply-voltage', value, unit: 'V', stage: 'test' })

/** What no output and no refusal may repeat. */
export const SECRET = 'Household by the weir'
export const secretVisit = (): TestVisit => {
  const visit = testVisit()
  const body = visit.opened.body as { customer: object }
  return {
    ...visit,
    opened: { ...visit.opened, body: { ...body, customer: { ...body.customer, name: SECRET } } } as typeof visit.opened,
  }
}
