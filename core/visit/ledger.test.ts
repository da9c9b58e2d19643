import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ACCOUNT_LINES } from '../decision/account'
import { sumOfCents } from '../quantity/money'
import { accountNumber, ledgerRowOf, ledgerSums, settled, togetherInLedger, type LedgerRow } from './ledger'
import { entry, fold, opened, VISIT } from './test-journal'
import type { Entry } from './entry'

const over = (more: object) => entry('handed-over', { watch: '', ...more })
const rowOf = (...entries: Entry[]) => ledgerRowOf(fold([opened(), ...entries]))
const lines = [
  { label: 'Seal', amount: 40, kind: 'part' as const },
  { label: 'Work', amount: 138, kind: 'work' as const },
  { label: 'Journey', amount: 55, kind: 'journey' as const },
  { label: 'Old customer', amount: -10, kind: 'change' as const },
  { label: 'VAT', amount: 2.4, kind: 'tax' as const },
]

describe('the ledger', () => {
  it('has a line once it is handed over and something is charged, by what it is for', () => {
    expect(rowOf()).toBeUndefined()
    expect(rowOf(over({}))).toBeUndefined()
    expect(rowOf(over({ price: 225.4, lines }))).toMatchObject({
      number: accountNumber(VISIT, '2026-05-12'),
      on: '2026-05-12',
      customer: 'Millrace Lido',
      parts: 40,
      work: 138,
      journey: 55,
      other: -10,
      taxes: 2.4,
      total: 225.4,
      paid: 0,
      open: 225.4,
    })
  })
  it('puts what was agreed otherwise, and lines from before their kind was kept, under other', () => {
    expect(rowOf(over({ price: 200, lines }))).toMatchObject({ other: -35.4, total: 200 })
    expect(rowOf(over({ price: 96 }))).toMatchObject({ other: 96, work: 0, total: 96 })
  })
  it('takes off what was paid, and says the last day; what is taken back counts no more', () => {
    const paid = entry('paid', { amount: 100, on: '2026-05-20' })
    const more = entry('paid', { amount: 30, on: '2026-05-18', how: 'cash' })
    expect(rowOf(over({ price: 225.4, lines }), paid, more)).toMatchObject({
      paid: 130,
      open: 95.4,
      paidOn: '2026-05-20',
    })
    expect(rowOf(over({ price: 225.4, lines }), paid, entry('retracted', {}, paid.id))).toMatchObject({ open: 225.4 })
  })
  it('has one line for the machines of one journey, under the number of its first', () => {
    const second = '0197a000-0009-7000-8000-000000000002'
    const one = rowOf(over({ price: 225.4, lines }), entry('paid', { amount: 300, on: '2026-05-20' })) as LedgerRow
    const ridden = entry('together', { with: VISIT })
    const two = { ...(rowOf(ridden, over({ price: 96 })) as LedgerRow), visitId: second, machine: 'booster pump' }
    const three = { ...one, visitId: '0197a000-0009-7000-8000-000000000003', number: 'another' }
    expect(two.number).toBe(one.number)
    const [both, other, ...more] = togetherInLedger([two, three, one])
    expect(more).toEqual([])
    expect(other).toEqual(three)
    expect(both).toMatchObject({
      number: one.number,
      visitId: VISIT,
      machine: 'filter pump 2, booster pump',
      total: 321.4,
      other: 86,
      paid: 300,
      open: 21.4,
      paidOn: '2026-05-20',
    })
  })
  it('keeps what was paid in a visit that charges nothing: it is paid of its journey', () =>
    expect(rowOf(over({}), entry('paid', { amount: 40, on: '2026-05-12' }))).toMatchObject({ total: 0, open: -40 }))
  it('adds up: its columns to the total, and its rows to their sums', () => {
    const line = fc.record({
      label: fc.constant('x'),
      amount: fc.integer({ min: -50_000, max: 500_000 }).map((cents) => cents / 100),
      kind: fc.constantFrom(...ACCOUNT_LINES),
    })
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 8 }), (all) => {
        const row = rowOf(over({ price: sumOfCents(all.map(({ amount }) => amount)), lines: all }))!
        expect(sumOfCents([row.parts, row.work, row.journey, row.other, row.taxes])).toBe(row.total)
        expect(ledgerSums([row, row])).toMatchObject({ total: sumOfCents([row.total, row.total]), open: row.open * 2 })
      }),
      { numRuns: 200 },
    )
    expect(
      settled(0.3, [
        { amount: 0.1, on: '2026-05-12' },
        { amount: 0.2, on: '2026-05-12' },
      ]),
    ).toEqual({ paid: 0.3, open: 0 })
  })
})
