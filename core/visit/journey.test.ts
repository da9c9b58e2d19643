import { describe, expect, it } from 'vitest'
import { DEFAULT_RATES, type EnteredRates } from '../knowledge/shop/rates'
import { sumOfCents } from '../quantity/money'
import type { Entry } from './entry'
import { foldVisit } from './fold'
import { consideredTogether, journeySaid } from './journey'
import { leafText } from './leaf'
import { sheetLeaf } from './leaves'
import { UNNAMED_SHOP, type Shop } from './shop'
import { entry, opened, reading, VISIT } from './test-journal'
import { writeWholeSheet } from './whole-sheet'

const SECOND = '0197a000-0009-7000-8000-000000000002'
const shopOf = (rates: Partial<EnteredRates>): Shop => ({
  ...UNNAMED_SHOP,
  name: 'Weir Lane Pumps',
  place: 'Weir Lane 3',
  rates: { ...DEFAULT_RATES, ...rates },
})
const SHOP = shopOf({ chargesJourney: true, trip: 55, taxes: [{ name: 'Sales tax', percent: 6, on: 'all' }] })
const numbered = (entries: Entry[], visitId = VISIT) =>
  entries.map((each, index) => ({ ...each, visitId, lamport: index + 1 }) as Entry)
const first = (...more: Entry[]) =>
  numbered([opened(), entry('decision', { option: 'replace-run-capacitor' }), ...more])
/** The booster of the same customer, on the same journey. */
const second = (...more: Entry[]) => {
  const own = opened()
  const machine = { ...(own.kind === 'visit-opened' ? own.body.machine : (undefined as never)), name: 'booster pump' }
  const booster = { ...own, body: { ...own.body, machine: { ...machine, id: SECOND } } } as Entry
  return numbered(
    [booster, entry('together', { with: VISIT }), entry('decision', { option: 'replace-shaft-seal' }), ...more],
    SECOND,
  )
}
const together = (shop: Shop, ...journals: Entry[][]) =>
  consideredTogether(
    journals.map((entries) => ({ entries, earlier: {}, experience: {}, pace: {} })),
    shop,
  )
const kinds = (of: ReturnType<typeof together>, index: number) => of[index]?.job.account.lines.map(({ kind }) => kind)

describe('what a journey to several machines costs', () => {
  it('has the journey once, with the first; each machine pays its own parts, work and tax', () => {
    const both = together(SHOP, first(), second())
    expect(kinds(both, 0)).toContain('journey')
    expect(kinds(both, 1)).not.toContain('journey')
    expect(kinds(both, 1)).toEqual(expect.arrayContaining(['part', 'work', 'tax']))
    const [alone, other] = [together(SHOP, first())[0], together(SHOP, second())[0]]
    expect(both[0]?.job.account).toEqual(alone?.job.account)
    // By itself it would be one journey more, and the tax on it.
    expect(sumOfCents([other?.job.account.total ?? 0, -(both[1]?.job.account.total ?? 0)])).toBe(58.3)
    expect(both[1]?.job.price).toBe(both[1]?.job.account.total)
  })
  it('has the least charge once, and only where all of them together stay below it', () => {
    const least = (minimum: number) => {
      const both = together(shopOf({ minimum }), first(), second())
      const net = sumOfCents(both.flatMap(({ job }) => job.account.lines.map(({ amount }) => amount)))
      return { net, lines: both.map((_, index) => kinds(both, index)?.filter((kind) => kind === 'minimum').length) }
    }
    const { net } = least(0)
    const alone = together(shopOf({}), first())[0]?.job.account.total ?? 0
    expect(net).toBeGreaterThan(alone)
    expect(least(alone + 1)).toEqual({ net, lines: [0, 0] })
    expect(least(net + 10)).toEqual({ net: sumOfCents([net, 10]), lines: [1, 0] })
  })
  it('has no least charge where the work on one of them is given away', () => {
    const both = together(
      shopOf({ minimum: 5_000 }),
      first(),
      second(entry('price-change', { label: 'ours', waives: 'all' })),
    )
    expect(kinds(both, 0)).not.toContain('minimum')
  })
  it('where the others are not at hand, a visit that goes along charges no second journey', () => {
    const state = foldVisit(second())
    expect(state?.together).toBe(VISIT)
    expect(state?.journey).toEqual({ rides: true, beside: [] })
    expect(foldVisit(second(entry('together', {})))?.journey.rides).toBe(false)
  })
  it('is said by the newest line, and by nothing that was called off', () => {
    expect(journeySaid(SECOND, second())).toEqual({ id: SECOND, together: VISIT })
    expect(journeySaid(SECOND, second(entry('cancelled', { why: 'sold' })))).toMatchObject({ cancelled: 'sold' })
    expect(journeySaid(SECOND, second(entry('together', {})))).toEqual({ id: SECOND })
  })
})

describe('one sheet for several machines', () => {
  const over = (price: number, ...beside: { visit: string; issue: number }[]) =>
    entry('handed-over', { watch: '', price, ...(beside.length > 0 ? { beside } : {}) })
  const mended = [reading('running-current', 6.35, {}, 'prove')]
  const one = first(...mended, over(200, { visit: SECOND, issue: 1 }))
  const two = second(
    ...mended,
    over(120.5, { visit: VISIT, issue: 0 }),
    entry('paid', { amount: 300, on: '2026-05-12' }),
  )
  const both = together(SHOP, one, two)
  const whole = writeWholeSheet(both, SHOP, 'us', { hash: 'f'.repeat(64), issue: 1 })

  it('has a part for each, one sum to the cent, and each caution once', () => {
    expect(whole.title).toBe('filter pump 2 and booster pump')
    expect(whole.sheets.map(({ machine }) => machine.name)).toEqual(['filter pump 2', 'booster pump'])
    expect(whole.sum).toEqual({
      rows: [
        { label: 'filter pump 2', amount: 200 },
        { label: 'booster pump', amount: 120.5 },
      ],
      total: 320.5,
    })
    expect(whole.sheets.flatMap(({ cautions }) => cautions)).toEqual([])
    expect(whole.cautions.length).toBeGreaterThan(0)
    expect(new Set(whole.cautions).size).toBe(whole.cautions.length)
  })
  it('is one account: what was paid for one is paid of all', () => {
    expect(whole.settled).toMatchObject({ paid: 300, open: 20.5 })
    expect(whole.sheets.every(({ settled, account }) => settled === undefined && account === undefined)).toBe(true)
    expect(whole.account).toMatch(/^260512-/)
  })
  it('is issued when all of them are handed over', () => {
    expect([whole.isIssued, whole.issue]).toEqual([true, 1])
    expect(writeWholeSheet(together(SHOP, first(), two), SHOP).isIssued).toBe(false)
  })
  it('has the signature that was drawn under all of it, in whichever visit it was written', () => {
    const hash = 'a'.repeat(64)
    const signed = entry('signed', { by: 'N. Harrow', hash, width: 9, height: 9, strokes: [[1, 2]] })
    const parts = together(SHOP, one, numbered([...two, signed], SECOND))
    expect(writeWholeSheet(parts, SHOP, 'us', { hash }).signature?.by).toBe('N. Harrow')
    expect(writeWholeSheet(parts, SHOP, 'us', { hash: 'b'.repeat(64) }).signature).toBeUndefined()
  })
  it('reads in words as it stands: machine after machine, then what all come to', () => {
    const text = leafText(sheetLeaf(whole, 'f'.repeat(64)))
    const at = (words: string) => text.indexOf(words)
    expect(text.startsWith('Weir Lane Pumps\nWeir Lane 3\n\nFor Millrace Lido')).toBe(true)
    expect(at('FILTER PUMP 2')).toBeGreaterThan(0)
    expect(at('BOOSTER PUMP')).toBeGreaterThan(at('FILTER PUMP 2'))
    expect(text).toMatch(/All together\s+\$320\.50/)
    expect(text).toContain('Still to pay: $20.50.')
    expect(text.match(/Still to pay/g)).toHaveLength(1)
    expect(text).toContain('Sheet, issue 1')
  })
})
