import { v7 as uuidv7 } from 'uuid'
import { customerCorrected, machineCorrected, machineRetired, type LineDraft } from '#core/pumps/corrections'
import type { Customer, Entry, EntryBodies, Machine, Registered, Site } from '#core/visit/entry'
import { useOutbox } from '~/stores/outbox'
import { writeLine } from '~/utils/write-line'
import { useWriter } from './useWriter'

/** Writes the shop's register: customers, their places and machines, and what becomes of them. */
export function useRegister() {
  const outbox = useOutbox()
  const writer = useWriter()
  const { checked } = useEntryRules()

  /** @returns the lines, when the outbox has tried to send them */
  async function write(drafts: readonly LineDraft[]): Promise<Entry[]> {
    const lines = drafts.map(({ kind, body, ...place }) => writeLine({ ...place, ...writer.value }, kind, body))
    await outbox.add(lines)
    return lines
  }

  /** The journals of visits that are still open; what cannot be read now is not corrected blindly. */
  async function journalsOf(ids: readonly string[]): Promise<Entry[][]> {
    return Promise.all(
      ids.map(async (id) => {
        const response = await ask(`/api/visits/${id}`)
        if (!response.ok) throw new Error(response.statusText)
        return ((await response.json()) as { entries: Entry[] }).entries
      }),
    )
  }

  const one = <K extends LineDraft['kind']>(kind: K, body: EntryBodies[K]): LineDraft[] => [
    { visitId: null, kind, body },
  ]

  return {
    checked,
    write,
    correctCustomer: async (customer: Customer, open: readonly string[]) =>
      write(customerCorrected(customer, await journalsOf(open))),
    correctMachine: async (was: Machine, machine: Machine, whose: Customer, open: readonly string[]) =>
      write(machineCorrected(was, machine, whose, await journalsOf(open))),
    addCustomer: (customer: Omit<Customer, 'id'>) =>
      write(one('customer-set', { customer: { id: uuidv7(), ...customer } })),
    setSite: (site: Site) => write(one('site-set', { site })),
    retire: async (body: EntryBodies['machine-retired'], found?: EntryBodies['post-mortem'], lastVisit?: string) =>
      write(machineRetired(body, found, found && lastVisit ? (await journalsOf([lastVisit]))[0] : undefined)),
    /** Two records become one; what only the other one knows is kept. */
    merge: (what: Registered, gone: string, into: string, whole?: Customer) =>
      write([...(whole ? one('customer-set', { customer: whole }) : []), ...one('merged', { what, gone, into })]),
    keepApart: (what: Registered, these: [string, string]) => write(one('kept-apart', { what, these })),
    /** Takes lines of the register back, the last first. */
    takeBack: (ids: readonly string[]) =>
      write(
        ids.toReversed().map((supersedes): LineDraft => ({ visitId: null, supersedes, kind: 'retracted', body: {} })),
      ),
  }
}
