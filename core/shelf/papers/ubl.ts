import { XMLBuilder, XMLParser, XMLValidator } from 'fast-xml-parser'
import { InputError } from '../../validation/input-error'
import type { DespatchPaper, OrderPaper } from './paper'

const CAC = 'urn:oasis:names:specification:ubl:schema:xsd:CommonAggregateComponents-2'
const CBC = 'urn:oasis:names:specification:ubl:schema:xsd:CommonBasicComponents-2'
const schema = (name: string) => `urn:oasis:names:specification:ubl:schema:xsd:${name}-2`
/** One piece, of UN/ECE Recommendation 20. */
const PIECE = 'C62'
/** A file longer than this is no delivery note, characters. */
const MOST_TEXT = 4_000_000
const MOST_LINES = 2_000

const builder = new XMLBuilder({
  ignoreAttributes: false,
  attributeNamePrefix: '@',
  format: true,
  suppressEmptyNode: true,
})
const parser = new XMLParser({
  ignoreAttributes: false,
  attributeNamePrefix: '@',
  removeNSPrefix: true,
  parseTagValue: false,
  parseAttributeValue: false,
  isArray: (name) => name === 'OrderLine' || name === 'DespatchLine',
})

const document = (root: string, body: object) =>
  builder.build({
    '?xml': { '@version': '1.0', '@encoding': 'UTF-8' },
    [root]: { '@xmlns': schema(root), '@xmlns:cac': CAC, '@xmlns:cbc': CBC, 'cbc:UBLVersionID': '2.1', ...body },
  }) as string
const party = (name: string) => ({ 'cac:Party': { 'cac:PartyName': { 'cbc:Name': name } } })
const item = ({ code, name }: { code: string; name: string }) => ({
  'cac:Item': { 'cbc:Name': name, 'cac:SellersItemIdentification': { 'cbc:ID': code } },
})
const pieces = (count: number) => ({ '@unitCode': PIECE, '#text': count })

/**
 * An order as UBL.
 *
 * @source OASIS Universal Business Language 2.1, Order
 */
export function toUblOrder({ number, issuedOn, currency, buyer, seller, lines }: OrderPaper): string {
  const money = (cents: number) => ({ '@currencyID': currency, '#text': (cents / 100).toFixed(2) })
  return document('Order', {
    'cbc:ID': number,
    'cbc:IssueDate': issuedOn,
    'cbc:DocumentCurrencyCode': currency,
    'cac:BuyerCustomerParty': party(buyer),
    'cac:SellerSupplierParty': party(seller),
    'cac:OrderLine': lines.map(({ line, count, price, ...of }) => ({
      'cac:LineItem': {
        'cbc:ID': line,
        'cbc:Quantity': pieces(count),
        ...(price === undefined
          ? {}
          : { 'cbc:LineExtensionAmount': money(price * count), 'cac:Price': { 'cbc:PriceAmount': money(price) } }),
        ...item(of),
      },
    })),
  })
}

/**
 * What was sent, as UBL.
 *
 * @source OASIS Universal Business Language 2.1, DespatchAdvice
 */
export function toUblDespatch({ id, issuedOn, order, lines }: DespatchPaper): string {
  return document('DespatchAdvice', {
    'cbc:ID': id,
    'cbc:IssueDate': issuedOn,
    'cac:OrderReference': { 'cbc:ID': order },
    'cac:DespatchLine': lines.map(({ line, count, ...of }, index) => ({
      'cbc:ID': index + 1,
      'cbc:DeliveredQuantity': pieces(count),
      ...(line === undefined ? {} : { 'cac:OrderLineReference': { 'cbc:LineID': line } }),
      ...item(of),
    })),
  })
}

const wrong = (field: string, value: unknown, expected: string) =>
  new InputError([{ field, value: typeof value === 'string' ? value.slice(0, 80) : value, expected }])

type Node = Record<string, unknown>
function rootOf(text: string, name: string): Node {
  if (text.length > MOST_TEXT)
    throw wrong('file', `${text.length} letters`, 'a UBL file of at most four million letters')
  // UBL has none, and entities of one’s own blow up.
  if (/<!DOCTYPE/i.test(text)) throw wrong('file', '<!DOCTYPE', 'a UBL file without a document type of its own')
  const valid = XMLValidator.validate(text)
  if (valid !== true) throw wrong('file', valid.err.msg, 'well-formed XML')
  const root = (parser.parse(text) as Node)[name]
  if (root === undefined || typeof root !== 'object') throw wrong('file', text, `a UBL 2.1 ${name}`)
  return root as Node
}
function at(node: unknown, ...path: string[]): unknown {
  let here = node
  for (const name of path) here = here !== null && typeof here === 'object' ? (here as Node)[name] : undefined
  return here
}
function textAt(node: unknown, ...path: string[]): string {
  const found = at(node, ...path)
  const text = found !== null && typeof found === 'object' ? (found as Node)['#text'] : found
  return typeof text === 'string' ? text.trim() : ''
}
function needed(field: string, text: string): string {
  if (!text || text.length > 200) throw wrong(field, text, 'a text of 1 to 200 letters')
  return text
}
function counted(field: string, text: string): number {
  const count = Number(text)
  if (text === '' || !Number.isFinite(count) || count <= 0) throw wrong(field, text, 'a number above 0')
  return count
}
function linesOf(root: Node, name: string): Node[] {
  const lines = (root[name] ?? []) as Node[]
  if (lines.length === 0) throw wrong('file', `no ${name}`, 'one line at least')
  if (lines.length > MOST_LINES) throw wrong('file', `${lines.length} lines`, `at most ${MOST_LINES} lines`)
  return lines
}

/** @throws InputError naming the line and what would be right */
export function fromUblOrder(text: string): OrderPaper {
  const root = rootOf(text, 'Order')
  const currency = needed('DocumentCurrencyCode', textAt(root, 'DocumentCurrencyCode'))
  return {
    number: needed('ID', textAt(root, 'ID')),
    issuedOn: needed('IssueDate', textAt(root, 'IssueDate')),
    currency,
    buyer: textAt(root, 'BuyerCustomerParty', 'Party', 'PartyName', 'Name'),
    seller: textAt(root, 'SellerSupplierParty', 'Party', 'PartyName', 'Name'),
    lines: linesOf(root, 'OrderLine').map((line, index) => {
      const of = at(line, 'LineItem')
      const field = (name: string) => `OrderLine.${index + 1}.${name}`
      const price = textAt(of, 'Price', 'PriceAmount')
      const priced = at(of, 'Price', 'PriceAmount') as Node | undefined
      if (price && priced?.['@currencyID'] !== currency)
        throw wrong(field('Price'), priced?.['@currencyID'], `prices in ${currency}`)
      return {
        line: counted(field('ID'), textAt(of, 'ID')),
        code: needed(field('SellersItemIdentification'), textAt(of, 'Item', 'SellersItemIdentification', 'ID')),
        name: textAt(of, 'Item', 'Name'),
        count: counted(field('Quantity'), textAt(of, 'Quantity')),
        ...(price ? { price: Math.round(Number(price) * 100) } : {}),
      }
    }),
  }
}

/** @throws InputError naming the line and what would be right */
export function fromUblDespatch(text: string): DespatchPaper {
  const root = rootOf(text, 'DespatchAdvice')
  return {
    id: needed('ID', textAt(root, 'ID')),
    issuedOn: needed('IssueDate', textAt(root, 'IssueDate')),
    order: needed('OrderReference', textAt(root, 'OrderReference', 'ID')),
    lines: linesOf(root, 'DespatchLine').map((of, index) => {
      const field = (name: string) => `DespatchLine.${index + 1}.${name}`
      const line = textAt(of, 'OrderLineReference', 'LineID')
      return {
        ...(line ? { line: counted(field('OrderLineReference'), line) } : {}),
        code: needed(field('SellersItemIdentification'), textAt(of, 'Item', 'SellersItemIdentification', 'ID')),
        name: textAt(of, 'Item', 'Name'),
        count: counted(field('DeliveredQuantity'), textAt(of, 'DeliveredQuantity')),
      }
    }),
  }
}
