import { describe, expect, it } from 'vitest'
import type { Article } from '../../fits/article'
import { readSpec } from '../../fits/read-spec'
import type { InputError } from '../../validation/input-error'
import type { SupplierOffer } from '../../visit/buying'
import type { OrderState } from '../bought'
import { fromDespatchCsv, toDespatchCsv, toOrderCsv } from './csv'
import { checkedDelivery } from './delivery'
import type { DespatchPaper, OrderPaper } from './paper'
import { MOST_PRICE_LINES, pricePlan, readPriceList } from './price-list'
import { fromUblDespatch, fromUblOrder, toUblDespatch, toUblOrder } from './ubl'

const ORDER: OrderPaper = {
  number: '26-4',
  issuedOn: '2026-05-12',
  currency: 'USD',
  buyer: 'Tarrow Pump & Motor',
  seller: 'Wharf <Supplies>',
  lines: [
    { line: 1, code: 'BE-0141', name: '6203 2RS C3', count: 10, price: 610 },
    { line: 2, code: 'WI-0301', name: '12 awg 4 wires "submersible" & flat', count: 62.5 },
  ],
}
const SENT: DespatchPaper = {
  id: '26-4-1',
  issuedOn: '2026-05-14',
  order: '26-4',
  lines: [
    { line: 1, code: 'BE-0141', name: '6203 2RS C3', count: 10 },
    { code: 'OR-0999', name: '-242 nitrile', count: 5 },
  ],
}
function wrongIn(read: () => unknown): string[] {
  try {
    read()
    return []
  } catch (error) {
    return (error as InputError).problems.map(({ field, expected }) => `${field}: ${expected}`)
  }
}

describe('orders and delivery notes as UBL 2.1', () => {
  it('come back as they went out, whatever stands in a name', () => {
    expect(fromUblOrder(toUblOrder(ORDER))).toEqual(ORDER)
    expect(fromUblDespatch(toUblDespatch(SENT))).toEqual(SENT)
  })

  it('bear the names of the standard', () => {
    const xml = toUblOrder(ORDER)
    expect(xml).toContain('xmlns="urn:oasis:names:specification:ubl:schema:xsd:Order-2"')
    expect(xml).toContain('<cbc:UBLVersionID>2.1</cbc:UBLVersionID>')
    expect(xml).toContain('<cbc:Quantity unitCode="C62">10</cbc:Quantity>')
    expect(xml).toContain('<cbc:PriceAmount currencyID="USD">6.10</cbc:PriceAmount>')
    expect(xml).toContain('<cbc:LineExtensionAmount currencyID="USD">61.00</cbc:LineExtensionAmount>')
  })

  it('what is none, or is broken, is refused with the place and what would be right', () => {
    const xml = toUblDespatch(SENT)
    expect(wrongIn(() => fromUblDespatch('no xml at all'))).toEqual(['file: well-formed XML'])
    expect(wrongIn(() => fromUblDespatch(xml.slice(0, -20)))).toEqual(['file: well-formed XML'])
    expect(wrongIn(() => fromUblDespatch(toUblOrder(ORDER)))).toEqual(['file: a UBL 2.1 DespatchAdvice'])
    expect(wrongIn(() => fromUblDespatch(xml.replace('>10<', '>-10<')))).toEqual([
      'DespatchLine.1.DeliveredQuantity: a number above 0',
    ])
    expect(
      wrongIn(() =>
        fromUblOrder(toUblOrder(ORDER).replace('PriceAmount currencyID="USD"', 'PriceAmount currencyID="EUR"')),
      ),
    ).toEqual(['OrderLine.1.Price: prices in USD'])
    expect(wrongIn(() => fromUblDespatch(`<!DOCTYPE a [<!ENTITY b "c">]>${xml}`))).toEqual([
      'file: a UBL file without a document type of its own',
    ])
  })
})

describe('the same as tables', () => {
  it('an order has its lines, a delivery comes back', () => {
    expect(toOrderCsv(ORDER).split('\r\n')[1]).toBe('26-4,1,BE-0141,6203 2RS C3,10,6.10,USD')
    expect(fromDespatchCsv(toDespatchCsv(SENT), SENT.issuedOn)).toEqual({
      ...SENT,
      // A cell that begins like a formula is marked as text.
      lines: [SENT.lines[0], { ...SENT.lines[1], name: "'-242 nitrile" }],
    })
  })

  it('says which column or line is wrong', () => {
    expect(wrongIn(() => fromDespatchCsv('a,b\n1,2', '2026-05-14'))).toEqual(['file: a column delivery'])
    const table = toDespatchCsv(SENT)
    expect(wrongIn(() => fromDespatchCsv(table.replace(',10', ',none'), '2026-05-14'))).toEqual([
      'line 2, count: a number above 0',
    ])
    expect(wrongIn(() => fromDespatchCsv(`${table}\r\nD9,26-4,1,BE-1,x,1`, '2026-05-14'))).toEqual([
      'line 4: delivery 26-4-1 of order 26-4 alone',
    ])
  })
})

const article = (id: string, name: string, more: Partial<Article> = {}): Article => ({ id, name, spec: {}, ...more })
const BEARING = article('bearing', '6203 2RS C3', {
  family: 'bearing',
  part: 'bearings',
  spec: readSpec('bearing', '6203 2RS C3'),
})
const RING = article('ring', '-242 EPDM', { family: 'o-ring', spec: readSpec('o-ring', '-242 EPDM') })
const NITRILE = article('nitrile', '-242 nitrile', { family: 'o-ring', spec: readSpec('o-ring', '-242 nitrile') })
const offer = (of: string, code: string, price: number): SupplierOffer => ({
  article: of,
  supplier: 'wharf',
  code,
  prices: [{ from: 1, price }],
  pricedOn: '2026-01-01',
})

describe('a delivery held against its order', () => {
  const order = {
    order: 'o',
    supplier: 'wharf',
    number: '26-4',
    lines: [
      { line: 1, article: 'bearing', code: 'BE-0141', count: 10, promised: 10, received: 0, wrong: [], missing: 10 },
      { line: 2, article: 'ring', code: 'OR-0300', count: 5, promised: 5, received: 2, wrong: [], missing: 3 },
    ],
  } as unknown as OrderState
  const known = {
    offers: new Map([['bearing', [offer('bearing', 'BE-0141', 610)]]]),
    articles: new Map([BEARING, RING, NITRILE].map((each) => [each.id, each])),
    known: new Set<string>(),
  }
  const checked = (lines: DespatchPaper['lines'], of = known) => checkedDelivery({ ...SENT, lines }, order, of)

  it('each line is right, too many, something else, or nothing that is known', () => {
    const { lines } = checked([
      { line: 1, code: 'BE-0141', name: '6203 2RS C3', count: 10 },
      { line: 2, code: 'OR-0301', name: '-242 nitrile', count: 3 },
      { line: 2, code: 'OR-0300', name: '-242 EPDM', count: 4 },
      { code: 'XX-1', name: 'a thing', count: 1 },
    ])
    expect(lines.map(({ line, article: what, is }) => [line, what, is])).toEqual([
      [1, 'bearing', 'right'],
      [2, 'nitrile', 'wrong'],
      [2, 'ring', 'too-many'],
      [1, undefined, 'unknown'],
    ])
  })

  it('two lines of a note for one of the order are held against what is left of it', () => {
    const twice = checked([
      { code: 'BE-0141', name: 'b', count: 6 },
      { code: 'BE-0141', name: 'b', count: 6 },
    ])
    expect(twice.lines.map(({ is }) => is)).toEqual(['right', 'too-many'])
    expect(checked([], { ...known, known: new Set([SENT.id]) }).isKnown).toBe(true)
  })
})

describe('a price list', () => {
  const LIST = [
    'Number;Description;Net;Currency;From;Pack',
    'W-1;6203 2RS C3;5,90;USD;1;',
    'W-1;6203 2RS C3;5,10;USD;10;',
    'W-2;-242 EPDM, bag;2.40;USD;;5',
    'W-3;a hat;9;USD;;',
  ].join('\n')
  const plan = (offers: SupplierOffer[] = []) =>
    pricePlan(readPriceList(LIST, 'USD'), {
      articles: [BEARING, RING, NITRILE],
      offers: new Map(offers.map((each) => [each.article, [each]])),
      supplier: 'wharf',
      today: '2026-05-12',
    })

  it('is read by its heads, with its steps and packs', () => {
    expect(readPriceList(LIST, 'USD').lines.slice(0, 2)).toEqual([
      {
        code: 'W-1',
        name: '6203 2RS C3',
        prices: [
          { from: 1, price: 590 },
          { from: 10, price: 510 },
        ],
      },
      { code: 'W-2', name: '-242 EPDM, bag', prices: [{ from: 1, price: 240 }], pack: 5 },
    ])
  })

  it('changes only what the shop keeps: by its number, its name or the very same measures', () => {
    const first = plan()
    expect(first.changes.map(({ article: what, before }) => [what, before])).toEqual([
      ['bearing', undefined],
      ['ring', undefined],
    ])
    expect([first.lines, first.unknown, first.same]).toEqual([3, 1, 0])
    const again = plan([offer('bearing', 'W-1', 640), offer('nitrile', 'W-9', 100)])
    expect(again.changes[0]).toMatchObject({ before: 640, offer: { pricedOn: '2026-05-12' } })
    expect(again.missing).toEqual(['nitrile'])
    const [same] = first.changes.map(({ offer: known }) => known)
    expect(plan(same ? [same] : []).same).toBe(1)
  })

  it('in another currency, with a price that is none, or without an end it is refused whole', () => {
    expect(wrongIn(() => readPriceList(LIST.replace('5,90;USD', '5,90;EUR'), 'USD'))).toEqual([
      'line 2, currency: USD, as the shop reckons',
    ])
    expect(wrongIn(() => readPriceList(LIST.replace('2.40', 'ask us').replace(';9;', ';-9;'), 'USD'))).toEqual([
      'line 4, price of one: a price, such as 12.50',
      'line 5, price of one: a price, such as 12.50',
    ])
    expect(wrongIn(() => readPriceList('what;price\nhat;9', 'USD'))).toEqual(['mapping: a column for their number'])
    expect(wrongIn(() => readPriceList('code;price', 'USD'))).toEqual(['file: a table with a head and lines under it'])
    const rows = Array.from({ length: MOST_PRICE_LINES + 1 }, (_, index) => `W-${index},1`).join('\n')
    expect(wrongIn(() => readPriceList(`code,price\n${rows}`, 'USD'))[0]).toContain(`at most ${MOST_PRICE_LINES} lines`)
  })

  it('a hundred thousand lines are read, and only what is the shop’s is named', () => {
    const rows = Array.from({ length: 100_000 }, (_, index) => `X-${index},thing ${index},1.00`).join('\n')
    const list = readPriceList(`code,name,price\n${rows}\nW-1,6203 2RS C3,5.90`, 'USD')
    const { changes, unknown } = pricePlan(list, {
      articles: [BEARING],
      offers: new Map(),
      supplier: 'wharf',
      today: '2026-05-12',
    })
    expect([changes.length, unknown]).toEqual([1, 100_000])
  })
})
