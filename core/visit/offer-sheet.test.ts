import { describe, expect, it } from 'vitest'
import { jobOf } from './job'
import { lifeText, monthsText, writeOffer } from './offer-sheet'
import { UNNAMED_SHOP, type Shop } from './shop'
import { entry, fold, opened, seen } from './test-journal'
import type { Entry } from './entry'

const SHOP: Shop = {
  ...UNNAMED_SHOP,
  name: 'Weir Lane Pumps',
  rates: { ...UNNAMED_SHOP.rates, chargesJourney: true, taxes: [{ name: 'VAT', percent: 20, on: 'all' }] },
}
const leaks = [
  entry('call', { complaints: ['leak-under-motor'], alreadyReplaced: [], callerSays: 'drips' }),
  seen('weep-hole-look', 'drips'),
]
const offerOf = (entries: Entry[], shop = SHOP) => {
  const state = fold([opened(), ...entries])
  const job = jobOf(state, shop, {}, {})
  return { ...writeOffer(state, shop, job), job }
}
const rowOf = (offer: ReturnType<typeof offerOf>, way: string, row: string) =>
  offer.ways.find(({ id }) => id === way)?.rows.find(({ id }) => id === row)

describe('the offer', () => {
  it('has one price with the plan and the account: that of the way that is chosen', () => {
    const offer = offerOf([...leaks, entry('decision', { option: 'replace-shaft-seal' })])
    const chosen = offer.ways.find(({ isChosen }) => isChosen)
    expect(chosen?.id).toBe('replace-shaft-seal')
    expect(chosen?.account).toEqual(offer.job.account)
    expect(rowOf(offer, 'replace-shaft-seal', 'all')).toEqual({
      id: 'all',
      label: 'with journey and tax',
      value: `$${offer.job.account.total.toFixed(2)}`,
    })
  })
  it('counts the second journey of what goes back', () => {
    const machine = { ...(opened().body as { machine: object }).machine, warrantyUntil: '2028-01-01' } as never
    const back = offerOf([
      ...leaks,
      entry('machine-set', { machine }),
      entry('decision', { option: 'return-under-warranty' }),
    ])
    const lines = back.ways.find(({ isChosen }) => isChosen)?.account.lines ?? []
    expect(lines.filter(({ kind }) => kind === 'journey').map(({ label }) => label)).toEqual([
      'Journey',
      'Second journey, to fit it again',
    ])
  })
  it('says once what power costs where it is the same, and of a usual warranty nothing for a shop that said nothing', () => {
    const shop = { ...SHOP, rates: { ...SHOP.rates, energyPrice: 0.2 } }
    const offer = offerOf([...leaks, entry('wish', { job: 'swap-pump' })], shop)
    expect(offer.notes.join()).toMatch(/Power costs about \$\d+ a year with each of them/)
    expect(rowOf(offer, 'swap-pump', 'power')).toBeUndefined()
    expect(rowOf(offer, 'swap-pump', 'warranty')?.value).toBe('1 year, as is usual')
    const unset = offerOf([...leaks, entry('wish', { job: 'swap-pump' })], { ...SHOP, unset: true })
    expect(rowOf(unset, 'swap-pump', 'warranty')).toBeUndefined()
  })
  it('says so while it is not certain yet, with what would be looked at first', () => {
    const early = offerOf(leaks.slice(0, 1))
    expect(early.notes[0]).toMatch(/^It is not certain yet what it is. We would first: /)
  })
  it('draws a block whose area is the price, the dark part as wide as the warranty', () => {
    const offer = offerOf([...leaks, entry('wish', { job: 'swap-pump' })])
    for (const { block, price } of offer.ways) if (block) expect(block.years * block.perYear).toBeCloseTo(price, 6)
    expect(offer.ways.find(({ id }) => id === 'swap-pump')?.block?.warrantyYears).toBe(1)
  })
  it.each([
    [{ years: 8.2, from: 6.1, to: 11.4 }, '8 years, 6 to 11'],
    [{ years: 1.4, from: 0.7, to: 2.4 }, '1½ years, ½ to 2½'],
    [{ years: 0.9, from: 0.4, to: 1.1 }, '1 year, ½ to 1'],
    [{ years: 0.1, from: 0.1, to: 0.2 }, '½ year'],
  ])('%o is %s', (life, words) => expect(lifeText(life)).toBe(words))
  it.each([
    [12, '1 year'],
    [24, '2 years'],
    [18, '18 months'],
    [1, '1 month'],
    [0, '0 months'],
  ])('%s months are %s', (months, words) => expect(monthsText(months)).toBe(words))
})
