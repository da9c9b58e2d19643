import { KINDS } from '../knowledge/vocabulary'
import type { EntryBodies } from '../visit/entry'
import { pumpOfMachine } from './cases'
import type { PracticeCase } from './practice-case'

const YEAR = 365.25 * 86_400_000

/** How the visit of a case is opened, and what the caller said: what is known before anybody comes. */
export function openingOf(
  practice: PracticeCase,
  id: string,
  startsAt: string,
): { opened: EntryBodies['visit-opened']; call: EntryBodies['call'] } {
  const { machine, complaints, alreadyReplaced, callerSays } = practice
  const { kind, construction, nameplate, installation, ageYears = 0 } = pumpOfMachine(machine)
  const installed = new Date(Date.parse(startsAt) - ageYears * YEAR).toISOString().slice(0, 10)
  return {
    opened: {
      customer: { id: `${id}-nobody`, name: 'nobody', place: '' },
      machine: {
        id: `${id}-machine`,
        customerId: `${id}-nobody`,
        name: KINDS[kind],
        kind,
        construction: construction as EntryBodies['visit-opened']['machine']['construction'],
        installedOn: installed,
        nameplate,
        ...(installation ? { installation } : {}),
        ...(practice.pump.underWarranty
          ? { warrantyUntil: new Date(Date.parse(startsAt) + YEAR).toISOString().slice(0, 10) }
          : {}),
      },
      scheduledAt: startsAt,
      plannedMinutes: 60,
      callerSays,
    },
    call: { complaints, alreadyReplaced, callerSays },
  }
}
