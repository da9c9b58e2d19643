import { describe, expect, it } from 'vitest'
import type { Customer, Entry, EntryBodies } from '../visit/entry'
import { foldVisit } from '../visit/fold'
import { machineAfter } from '../visit/fitted'
import { entry, opened } from '../visit/test-journal'
import { customerCorrected, machineCorrected, machineRetired, type LineDraft } from './corrections'

/** The journal with what was drafted for it written at its end. */
const written = (journal: Entry[], drafts: LineDraft[]): Entry[] => [
  ...journal,
  ...drafts
    .filter(({ visitId }) => visitId !== null)
    .map(({ kind, body, supersedes, lamport }) => ({ ...entry(kind, body as never, supersedes), lamport }) as Entry),
]
const body = () => opened().body as EntryBodies['visit-opened']

describe('a correction', () => {
  it('of a customer stands in the register and in what is still open', () => {
    const journal = [opened(), entry('note', { text: 'a', seenAndLeft: false })]
    const customer = { ...body().customer, name: 'Millrace Lido and Baths', phone: '0100 1001' }
    const drafts = customerCorrected(customer, [journal])
    expect(drafts[0]).toEqual({ visitId: null, kind: 'customer-set', body: { customer } })
    const state = foldVisit(written(journal, drafts))
    expect(state?.customer).toEqual(customer)
    expect(state?.machine.name).toBe('filter pump 2')
    expect(state?.notes).toHaveLength(1)
  })

  it('reaches no visit of somebody else', () => {
    const stranger: Customer = { id: '0197a000-0001-7000-8000-000000000099', name: 'x', place: '' }
    expect(customerCorrected(stranger, [[opened()]])).toHaveLength(1)
    expect(
      machineCorrected(body().machine, { ...body().machine, id: stranger.id }, body().customer, [[opened()]]),
    ).toHaveLength(1)
  })

  it('of a machine keeps what the open visit has fitted to it', () => {
    const journal = [opened(), entry('fitted', { part: 'run-capacitor', identity: '30 μF 440 V' })]
    const known = machineAfter(body().machine, journal)
    const drafts = machineCorrected(known, { ...known, name: 'paddling pool pump' }, body().customer, [journal])
    const all = written(journal, drafts)
    const after = machineAfter(foldVisit(all)?.machine ?? known, all)
    expect(after.name).toBe('paddling pool pump')
    expect(after.fitted?.map(({ part, identity }) => [part, identity])).toEqual([['run-capacitor', '30 μF 440 V']])
  })

  it('leaves the plate by which the old motor was read, where only the name was wrong', () => {
    const journal = [opened(), entry('fitted', { part: 'motor', nameplate: { volts: 230, horsepower: 2 } })]
    const known = machineAfter(body().machine, journal)
    const all = written(journal, machineCorrected(known, { ...known, name: 'x' }, body().customer, [journal]))
    expect(foldVisit(all)?.machine).toMatchObject({ name: 'x', nameplate: { horsepower: 1 } })
    const plate = { ...known.nameplate, runCapacitorMicrofarads: 40 }
    const more = written(journal, machineCorrected(known, { ...known, nameplate: plate }, body().customer, [journal]))
    expect(foldVisit(more)?.machine.nameplate).toEqual(plate)
  })

  it('to another owner makes its open visit the new owner’s, in lines that fit', () => {
    const journal = [opened(), entry('machine-set', { machine: { ...body().machine, name: 'as found' } })]
    const next: Customer = { id: '0197a000-0001-7000-8000-000000000002', name: 'the new owner', place: 'Hop Hill 1' }
    const asFound = { ...body().machine, name: 'as found' }
    const drafts = machineCorrected(asFound, asFound, next, [journal])
    expect(drafts.map(({ kind }) => kind)).toEqual(['machine-set', 'visit-opened', 'machine-set'])
    const state = foldVisit(written(journal, drafts))
    expect(state).toMatchObject({ customer: next, machine: { customerId: next.id, name: 'as found' } })
  })

  it('retires a machine with what the bench found written in its last visit', () => {
    const retired = { machineId: body().machine.id, on: '2026-05-12', why: 'replaced' }
    const found = { fault: 'bearings-worn', why: 'water ran down the shaft', keeping: '' }
    const journal = [opened()]
    const drafts = machineRetired(retired, found, journal)
    expect(drafts.map(({ visitId, kind }) => [visitId, kind])).toEqual([
      [null, 'machine-retired'],
      [journal[0]?.visitId, 'post-mortem'],
    ])
    expect(foldVisit(written(journal, drafts))?.postMortem).toMatchObject(found)
    expect(machineRetired(retired, found)).toHaveLength(1)
  })
})
