import { describe, expect, it } from 'vitest'
import { dayWords } from '../quantity/day'
import { formatAboutMoney, formatMoney, inNumberStyle } from '../quantity/number-style'
import { US_READER } from '../quantity/sentence'
import { claimOf } from './claim'
import { journalHash } from './issue'
import { jobOf } from './job'
import { leafText } from './leaf'
import { claimLeaf, moneyLines, offerLeaf, sheetLeaf } from './leaves'
import { writeOffer } from './offer-sheet'
import { writeSheet } from './sheet'
import { signaturePath } from './signature'
import { UNNAMED_SHOP, type Shop } from './shop'
import { entry, fold, opened, reading } from './test-journal'
import { wholeOf } from './whole-sheet'
import type { Entry } from './entry'

const SHOP: Shop = { ...UNNAMED_SHOP, name: 'Weir Lane Pumps', place: 'Weir Lane 3' }
const done = [
  entry('decision', { option: 'replace-run-capacitor' }),
  entry('price-agreed', { by: 'N. Harrow', price: 53.75 }),
  reading('running-current', 6.35, {}, 'prove'),
]
const over = entry('handed-over', { watch: 'The lid ring', nextDate: '2027-05-12', price: 53.75 })
const of = (entries: Entry[], shop = SHOP) => {
  const state = fold([opened(), ...entries].map((each, index) => ({ ...each, lamport: index + 1 }) as Entry))
  const job = jobOf(state, shop, {}, {})
  return { state, job, sheet: writeSheet(state, shop, job) }
}

describe('papers in words', () => {
  it('the sheet’s has each of its lines, and the sum at the foot of its prices', () => {
    const { sheet } = of([...done, over])
    const text = leafText(sheetLeaf(wholeOf([sheet]), journalHash([])))
    for (const words of [
      sheet.headline,
      ...sheet.done.map((each) => each.text),
      ...sheet.watch,
      ...(sheet.price?.lines ?? []).map(({ label }) => label),
      'Wednesday 12 May 2027',
      'Sheet, issue 1',
      'journal e3b0 c442 98fc',
    ])
      expect(text).toContain(words)
    expect(text).toMatch(/In all +\$53\.75/)
    expect(text).not.toMatch(/\n{3}/)
  })
  it('under the sum: who agreed, each payment, what is left, the number and the warranty', () => {
    const paid = (amount: number) => entry('paid', { amount, on: '2026-05-13', how: 'cash' })
    const lines = (...entries: Entry[]) => moneyLines(of([...done, over, ...entries]).sheet)
    expect(lines()).toEqual(['N. Harrow agreed to $53.75 before the work.', 'Account 260512-000001.'])
    expect(lines(paid(20)).slice(1, 3)).toEqual([
      'Paid $20.00 on Wednesday 13 May 2026, cash.',
      'Still to pay: $33.75.',
    ])
    expect(lines(paid(60), paid(-6.25)).slice(1, 4)).toEqual([
      'Paid $60.00 on Wednesday 13 May 2026, cash.',
      'Paid back $6.25 on Wednesday 13 May 2026, cash.',
      'Paid in full.',
    ])
  })
  it('the offer’s has a column for each way', () => {
    const { state, job } = of([reading('capacitance', 12, { part: 'run-capacitor', unit: 'uF' })])
    const offer = writeOffer(state, SHOP, job)
    const table = offerLeaf(offer).sections[0]?.table
    expect(table?.columns).toEqual(['', ...offer.ways.map(({ label }) => label)])
    expect(table?.rows[0]).toEqual(['costs', ...offer.ways.map(({ price }) => formatMoney(price, 'USD'))])
    for (const row of table?.rows ?? []) expect(row).toHaveLength(offer.ways.length + 1)
  })
  it('the claim’s has what it is, its dates, what it reads and its parcel', () => {
    const { state } = of([
      reading('running-current', 9.9),
      entry('claim', { part: 'motor', identity: 'M 12', complaint: 'grinds', opened: true, openedWhy: 'to dry it' }),
      entry('claim-moved', { to: 'sent', on: '2026-05-14', note: 'parcel 7' }),
    ])
    const told = claimOf(state, SHOP.rates, US_READER)!
    const text = leafText(claimLeaf(told, { shop: SHOP, date: '2026-05-12', name: 'filter pump 2' }))
    for (const words of [
      'Motor back under warranty',
      'M 12',
      'Yes: to dry it',
      '9.9 A, failed',
      'grinds',
      'IN THE PARCEL',
    ])
      expect(text).toContain(words)
    expect(text).toContain('Thursday 14 May 2026: sent off, parcel 7')
  })
})

describe('as the shop writes numbers', () => {
  it('on what is composed of figures, and never on what a person typed', () => {
    const comma = { ...SHOP, numbers: 'comma' as const, rates: { ...SHOP.rates, currency: 'EUR' } }
    const note = entry('note', { text: 'ring 3.5 mm', seenAndLeft: true })
    const { sheet } = of([...done, note, over], comma)
    expect(sheet.proved.find(({ label }) => label === 'Current')).toMatchObject({
      after: '6,35 A',
      limit: '4,67 to 8,2 A',
    })
    expect(sheet.left).toEqual(['Ring 3.5 mm'])
    expect(moneyLines(sheet)[0]).toMatch(/^N. Harrow agreed to 53,75\s€/)
  })
  it.each([
    ['point', '$1,234.50'],
    ['comma', '1.234,50 $'],
    ['space-comma', '1 234,50 $US'],
    ['quote-point', '$ 1’234.50'],
  ] as const)('%s: %s', (style, words) =>
    // Which blank and which apostrophe it is hangs on the tables that the browser or the server has.
    expect(
      formatMoney(1234.5, 'USD', style)
        .replace(/[\u00a0\u202f]/g, ' ')
        .replace("'", '’'),
    ).toBe(words),
  )
  it('about, without cents; a fraction between figures only', () => {
    expect(formatAboutMoney(17.4, 'USD')).toBe('$17')
    expect(inNumberStyle('4.06 A. At most 8.2 A', 'comma')).toBe('4,06 A. At most 8,2 A')
  })
  it('a day is said the same wherever it is read', () => expect(dayWords('2026-05-12')).toBe('Tuesday 12 May 2026'))
})

describe('a signature', () => {
  const strokes = {
    width: 600,
    height: 160,
    strokes: [
      [1, 2, 3, 4, 5, 6],
      [9, 9],
    ],
  }
  it('is drawn stroke by stroke, a dot as a dot', () => expect(signaturePath(strokes)).toBe('M1 2L3 4 5 6M9 9L9 9'))
  it('stands under the sheet whose fingerprint it has, and under no later issue', () => {
    const hash = journalHash([])
    const signed = entry('signed', { by: 'N. Harrow', hash, ...strokes })
    const { state, job } = of([...done, over, signed])
    expect(state.isIssued).toBe(true)
    expect(writeSheet(state, SHOP, job, 'us', hash).signature?.by).toBe('N. Harrow')
    expect(writeSheet(state, SHOP, job, 'us', 'f'.repeat(64)).signature).toBeUndefined()
    expect(writeSheet(state, SHOP, job).signature).toBeUndefined()
    const later = of([...done, over, signed, entry('note', { text: 'more', seenAndLeft: true })])
    expect(writeSheet(later.state, SHOP, later.job, 'us', hash).signature).toBeUndefined()
  })
})
