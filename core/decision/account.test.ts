import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Charges, TaxLine } from '../knowledge/shop/rates'
import { cents, sumOfCents } from '../quantity/money'
import { accountOf, type AccountChange } from './account'
import type { Bill } from './bill'

const bill = (labourPrice: number, ...prices: number[]) =>
  ({
    parts: prices.map((price, index) => ({
      part: index === 0 ? 'shaft-seal' : 'union',
      label: `part ${index}`,
      price,
    })),
    labourPrice,
    minutes: { p50: 90, p90: 110 },
  }) as Pick<Bill, 'parts' | 'labourPrice' | 'minutes'>
const lines = (
  of: ReturnType<typeof bill> | undefined,
  charges: Charges & { afterHours?: number } = {},
  changes: AccountChange[] = [],
  scene: { isAway?: boolean; comesAgain?: boolean } = {},
) =>
  accountOf(of, { trip: 55, hourly: 92, ...charges }, { isAway: true, changes, ...scene }).lines.map(
    ({ label, amount }) => [label, amount],
  )
const total = (...asked: Parameters<typeof lines>) => sumOfCents(lines(...asked).map(([, amount]) => amount as number))

describe('what a visit comes to', () => {
  it('is its parts and its work, and nothing that the shop did not enter', () =>
    expect(lines(bill(138, 40, 18.75))).toEqual([
      ['part 0', 40],
      ['part 1', 18.75],
      ['Work, 90 minutes', 138],
    ]))
  it('with the journey where the shop goes there, and the tax on its base, which it names', () => {
    const taxes: TaxLine[] = [{ name: 'Sales tax', percent: 6, on: 'parts' }]
    expect(lines(bill(151.8, 58.75, 40), { chargesJourney: true, taxes }).slice(2)).toEqual([
      ['Work, 90 minutes', 151.8],
      ['Journey', 55],
      ['Sales tax, 6 % of 98.75 for parts', 5.93],
    ])
    expect(total(bill(151.8, 58.75, 40), { chargesJourney: true, taxes })).toBe(311.48)
    expect(lines(bill(10), { chargesJourney: true }, [], { isAway: false })).toEqual([['Work, 90 minutes', 10]])
    expect(lines(bill(10, 20), { taxes: [{ name: 'VAT', percent: 20, on: 'all' }] }).at(-1)).toEqual([
      'VAT, 20 % of 30.00',
      6,
    ])
    expect(lines(bill(10, 20), { taxes: [{ name: 'T', percent: 10, on: 'work' }] }).at(-1)).toEqual([
      'T, 10 % of 10.00 for work',
      1,
    ])
  })
  it('a second journey where it goes back and is fitted again, and only where journeys are charged', () => {
    const back = (charges: Charges) => lines(bill(40), charges, [], { comesAgain: true }).slice(1)
    expect(back({ chargesJourney: true })).toEqual([
      ['Journey', 55],
      ['Second journey, to fit it again', 55],
    ])
    expect(back({})).toEqual([])
  })
  it('a part that went back as it was costs nothing, and says so', () =>
    expect(lines(bill(138, 40, 18.75), {}, [{ label: 'seal kept', kept: 'shaft-seal' }])).toEqual([
      ['part 0, the old one kept', 0],
      ['part 1', 18.75],
      ['Work, 90 minutes', 138],
    ]))
  it('hours after the day’s end cost what is beyond usual ones; no charge for work takes them off too', () => {
    const late: AccountChange = { label: '90 minutes after hours', afterHours: 90 }
    expect(lines(bill(138), { afterHours: 1.5 }, [late])[1]).toEqual(['90 minutes after hours', 69])
    expect(lines(bill(138), { afterHours: 2 }, [late])[1]).toEqual(['90 minutes after hours', 138])
    const waived = lines(bill(138), {}, [late, { label: 'No charge for the work', waives: 'work' }])
    expect(waived.at(-1)).toEqual(['No charge for the work', -207])
  })
  it('a journey without a repair, up to the least charge', () => {
    expect(lines(undefined)).toEqual([])
    expect(lines(undefined, { minimum: 80 })).toEqual([])
    expect(lines(undefined, { chargesJourney: true, minimum: 80 })).toEqual([
      ['Journey', 55],
      ['Up to the least charge', 25],
    ])
    expect(lines(bill(90), { minimum: 80 })).toEqual([['Work, 90 minutes', 90]])
  })
  it('what is put on or taken off by hand; a part of the customer’s own; work or all of it waived', () => {
    expect(lines(bill(100, 40), {}, [{ label: 'Old customer', amount: -10 }]).at(-1)).toEqual(['Old customer', -10])
    expect(lines(bill(100, 40), {}, [{ label: 'own', own: 'shaft-seal' }])[0]).toEqual(['part 0, brought by you', 0])
    expect(total(bill(100, 40), { minimum: 80 }, [{ label: 'Our own fault', waives: 'work' }])).toBe(40)
    expect(
      total(bill(100, 40), { chargesJourney: true, minimum: 80, taxes: [{ name: 'T', percent: 9, on: 'all' }] }, [
        { label: 'No charge', waives: 'all' },
      ]),
    ).toBe(0)
  })
})

describe('money', () => {
  it('adds up to the cent in 10,000 random visits', () => {
    const amount = fc.double({ min: 0, max: 5000, noNaN: true })
    const tax = fc.record({
      name: fc.constant('T'),
      percent: fc.double({ min: 0, max: 30, noNaN: true }),
      on: fc.constantFrom<TaxLine['on']>('parts', 'work', 'all'),
    })
    const change = fc.oneof(
      fc.double({ min: -200, max: 200, noNaN: true }).map((put): AccountChange => ({ label: 'x', amount: put })),
      fc.constantFrom<AccountChange>({ label: 'w', waives: 'work' }, { label: 'o', own: 'shaft-seal' }),
    )
    fc.assert(
      fc.property(
        fc.array(amount, { maxLength: 12 }),
        amount,
        fc.record({
          chargesJourney: fc.boolean(),
          hourly: amount,
          minimum: amount,
          trip: amount,
          taxes: fc.array(tax, { maxLength: 3 }),
        }),
        fc.array(change, { maxLength: 3 }),
        fc.boolean(),
        (prices, labour, charges, changes, isAway) => {
          const { lines: all, total: sum } = accountOf(bill(labour, ...prices), charges, { isAway, changes })
          for (const line of all) expect(line.amount).toBe(Number(line.amount.toFixed(2)))
          expect(all.reduce((so, line) => so + Math.round(line.amount * 100), 0)).toBe(Math.round(sum * 100))
          const net = all.filter(({ kind }) => kind !== 'tax').map((line) => line.amount)
          if (!changes.some(({ waives }) => waives))
            expect(sumOfCents(net)).toBeGreaterThanOrEqual(cents(charges.minimum))
        },
      ),
      { numRuns: 10_000 },
    )
  })
  it.each([
    [1.005, 1.01],
    [-1.005, -1.01],
    [2.675, 2.68],
    [0.1 + 0.2, 0.3],
    [5.925, 5.93],
    [1e7, 1e7],
  ])('%s is %s in whole cents', (given, whole) => expect(cents(given)).toBe(whole))
})
