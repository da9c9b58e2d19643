import { v7 as uuidv7 } from 'uuid'
import type { Machine } from '../../core/visit/entry'
import { post } from '../server/serve'
import { ANOTHER_DAY, expect, NOW } from './shop'

const MILL_ROW = { name: 'Mill Row', place: 'by the weir' }

export interface Call {
  machine: Pick<
    Machine,
    'name' | 'kind' | 'construction' | 'nameplate' | 'installation' | 'installedOn' | 'warrantyUntil'
  >
  complaints: string[]
  says: string
  standing?: 'bench'
  customer?: { name: string; place: string }
}

/** A visit of a machine of its own, its call taken; nothing else is written but on the screens. */
export async function called(
  url: string,
  { machine, complaints, says, standing, customer = MILL_ROW }: Call,
): Promise<string> {
  const [visitId, customerId, machineId] = [uuidv7(), uuidv7(), uuidv7()]
  const bodies: [kind: string, body: object][] = [
    [
      'visit-opened',
      {
        customer: { id: customerId, ...customer },
        machine: { ...machine, id: machineId, customerId },
        scheduledAt: ANOTHER_DAY.toISOString(),
        plannedMinutes: 120,
        callerSays: says,
      },
    ],
    ['call', { complaints, alreadyReplaced: [], callerSays: says }],
    ...(standing ? [['standing', { at: standing }] as [string, object]] : []),
  ]
  const entries = bodies.map(([kind, body], at) => ({
    id: uuidv7(),
    visitId,
    kind,
    at: new Date(NOW.getTime() + at).toISOString(),
    author: 'test',
    body,
  }))
  expect((await post(`${url}/api/entries`, { entries })).status).toBe(200)
  return visitId
}
