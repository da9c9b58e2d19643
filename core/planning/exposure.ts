import { faultsPossible, yearlyRate } from '../diagnosis/model'
import type { FaultRow } from '../knowledge/faults/model-types'
import { renewedParts } from '../knowledge/repairs/renews'
import type { SeasonDays } from '../knowledge/shop/seasons'
import type { Part } from '../knowledge/vocabulary'
import { completePlate, type Pump } from '../motor/nameplate'
import { MILLISECONDS_PER_YEAR } from '../quantity/conversions'
import { runningYears, type Stretch } from './season'

/** A machine of the shop with what its failing hangs on; instants in milliseconds. */
export interface FleetMachine {
  id: string
  pump: Pick<Pump, 'kind' | 'construction' | 'nameplate' | 'installation'>
  /** Absent where nobody knows. */
  installedAt?: number
  /** What was put in since, the oldest first. */
  fitted: readonly { part: Part; at: number }[]
  /** Since when this shop is called to it: what failed before, it did not hear of. */
  knownSince: number
  /** Since when it is no longer there. */
  goneAt?: number
}

/** What can fail in one machine, and how its duty and its age are reckoned where nobody said them. */
export interface Exposed {
  machine: FleetMachine
  rows: readonly FaultRow[]
  dutyHoursPerDay: number
  usualAge: number
  /** When each part that is not as old as the machine was put in, newest last, those inside others too. */
  renewed: ReadonlyMap<string, readonly number[]>
}

/** Longer stretches are gone through in steps of this: within one, an age is that of its middle. */
const STEP = MILLISECONDS_PER_YEAR / 2

/** What a fault counts as: the part it lives in, else itself. */
export const groupOf = ({ part, fault }: Pick<FaultRow, 'part' | 'fault'>): string => part ?? fault

/** A machine made ready to be reckoned with. */
export function exposed(machine: FleetMachine): Exposed {
  const { kind, construction } = machine.pump
  const { motorType, dutyHoursPerDay, ageYears } = completePlate(machine.pump)
  const renewed = new Map<string, number[]>()
  for (const { part, at } of machine.fitted)
    for (const inside of renewedParts([part], kind)) renewed.set(inside, [...(renewed.get(inside) ?? []), at])
  return { machine, rows: faultsPossible(kind, construction, motorType), dutyHoursPerDay, usualAge: ageYears, renewed }
}

/**
 * How many failures of each group a machine's kind, ages and duty lead to expect in a stretch of time, by the tables.
 *
 * @returns expected counts by `groupOf`
 */
export function expectedFailures(of: Exposed, stretch: Stretch, days: SeasonDays): Map<string, number> {
  const expected = new Map<string, number>()
  for (const { row, count } of expectedByFault(of, stretch, days))
    expected.set(groupOf(row), (expected.get(groupOf(row)) ?? 0) + count)
  return expected
}

/** The same, fault by fault. */
export function expectedByFault(
  of: Exposed,
  { from, to }: Stretch,
  days: SeasonDays,
): { row: FaultRow; count: number }[] {
  const counts = new Map<FaultRow, number>()
  const steps = Math.max(1, Math.ceil((to - from) / STEP))
  for (let step = 0; step < steps; step++) {
    const start = from + ((to - from) * step) / steps
    const end = from + ((to - from) * (step + 1)) / steps
    const years = runningYears(of.machine.pump.kind, { from: start, to: end }, days)
    if (years === 0) continue
    for (const row of of.rows) {
      const count = yearlyRate(row, ageAt(of, row.part, (start + end) / 2), of.dutyHoursPerDay) * years
      counts.set(row, (counts.get(row) ?? 0) + count)
    }
  }
  return [...counts].map(([row, count]) => ({ row, count }))
}

/** Years of a part at an instant: since it was put in, else since the machine was; the usual age where nobody knows. */
function ageAt({ machine, renewed, usualAge }: Exposed, part: string | undefined, at: number): number {
  const own = part === undefined ? undefined : renewed.get(part)?.findLast((since) => since <= at)
  const since = own ?? machine.installedAt
  return since === undefined ? usualAge : Math.max(0, at - since) / MILLISECONDS_PER_YEAR
}
