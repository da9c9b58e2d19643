import {
  nextLamport,
  type Customer,
  type Entry,
  type EntryBodies,
  type EntryKind,
  type EntryOf,
  type Machine,
} from '../visit/entry'
import { machineOf } from '../visit/fold'
import { newestOf } from '../visit/of-kind'
import { liveEntries } from '../visit/supersession'

/** A line that is still to be written: in which journal, in the place of which line, and what it says. */
export interface LineDraft<K extends EntryKind = EntryKind> {
  /** null for the shop's own journal. */
  visitId: string | null
  lamport?: number
  supersedes?: string
  kind: K
  body: EntryBodies[K]
}

/**
 * A customer as they are from now on: in the register, and in every visit that is still open, whose sheet would
 * otherwise bear the old name. What was handed over stays as it was written.
 *
 * @param open the journals of the visits that are still open
 */
export function customerCorrected(customer: Customer, open: readonly (readonly Entry[])[]): LineDraft[] {
  return [
    { visitId: null, kind: 'customer-set', body: { customer } },
    ...open.flatMap((journal): LineDraft[] => {
      const { opened, at } = placeIn(journal)
      return opened && opened.body.customer.id === customer.id ? [at('visit-opened', { ...opened.body, customer })] : []
    }),
  ]
}

/**
 * A machine as it is from now on, in the register and in every visit that is still open: there only what was changed,
 * since what a visit has fitted is told by its own lines. With another owner its open visits are the new owner's.
 *
 * @param was the machine as the register had it
 * @param whose the owner from now on
 * @param open the journals of its visits that are still open
 */
export function machineCorrected(
  was: Machine,
  machine: Machine,
  whose: Customer,
  open: readonly (readonly Entry[])[],
): LineDraft[] {
  const corrected = { ...machine, customerId: whose.id }
  return [
    { visitId: null, kind: 'machine-set', body: { machine: corrected } },
    ...open.flatMap((journal): LineDraft[] => {
      const { opened, at } = placeIn(journal)
      const here = machineOf(liveEntries(journal))
      if (!opened || !here || here.id !== machine.id) return []
      const next = { ...withChanges(here, was, machine), customerId: whose.id }
      return [
        ...(opened.body.customer.id === whose.id
          ? []
          : [at('visit-opened', { ...opened.body, customer: whose, machine: next })]),
        at('machine-set', { machine: next }),
      ]
    }),
  ]
}

/**
 * A machine that is no longer there; what the bench found in it is written in its last visit, whose cause it settles.
 *
 * @param last the journal of that visit; absent where the machine had none
 */
export function machineRetired(
  retired: EntryBodies['machine-retired'],
  postMortem?: EntryBodies['post-mortem'],
  last?: readonly Entry[],
): LineDraft[] {
  return [
    { visitId: null, kind: 'machine-retired', body: retired },
    ...(postMortem && last && last.length > 0 ? [placeIn(last).at('post-mortem', postMortem)] : []),
  ]
}

/** A machine as a visit has it, with what was changed of it elsewhere; what was fitted stays the visit's own. */
function withChanges(here: Machine, was: Machine, now: Machine): Machine {
  const next: Record<string, unknown> = { ...here }
  const fields = new Set([...Object.keys(was), ...Object.keys(now)] as (keyof Machine)[])
  fields.delete('fitted')
  for (const field of fields) {
    if (JSON.stringify(was[field]) === JSON.stringify(now[field])) continue
    if (now[field] === undefined) Reflect.deleteProperty(next, field)
    else next[field] = now[field]
  }
  return next as unknown as Machine
}

interface PlaceIn {
  opened?: EntryOf<'visit-opened'>
  at: <K extends EntryKind>(kind: K, body: EntryBodies[K]) => LineDraft
}

/** Where the next lines of a journal stand; a correction of how it was opened takes that line's place. */
function placeIn(journal: readonly Entry[]): PlaceIn {
  const opened = newestOf(liveEntries(journal), 'visit-opened')
  let lamport = nextLamport(journal)
  return {
    ...(opened ? { opened } : {}),
    at: (kind, body) => ({
      visitId: journal[0]?.visitId ?? null,
      lamport: lamport++,
      ...(kind === 'visit-opened' && opened ? { supersedes: opened.id } : {}),
      kind,
      body,
    }),
  }
}
