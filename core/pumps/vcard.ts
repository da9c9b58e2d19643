import ICAL from 'ical.js'
import { isUuid } from '../validation/rules'
import type { KnownCustomer } from './register-import'
import type { RegisterLine } from './register-fields'

const UID = 'urn:uuid:'
const CARD = /BEGIN:VCARD[\s\S]*?END:VCARD/gi

/**
 * Customers as a vCard file, each under its own id, its machines in the note.
 *
 * @source RFC 6350
 */
export function toVCards(customers: readonly KnownCustomer[]): string {
  return customers.map((each) => `${cardOf(each).toString()}\r\n`).join('')
}

function cardOf({ customer, machines }: KnownCustomer): ICAL.Component {
  const card = new ICAL.Component('vcard')
  card.addPropertyWithValue('version', '4.0')
  card.addPropertyWithValue('fn', customer.name)
  const [street = '', ...town] = customer.place.split(',').map((part) => part.trim())
  if (customer.place) {
    const address = new ICAL.Property('adr', card)
    // Post box, extended, street, town, region, code, country.
    address.setValue(['', '', street, town.join(', '), '', '', ''])
    card.addProperty(address)
  }
  if (customer.phone) card.addPropertyWithValue('tel', customer.phone)
  if (customer.mail) card.addPropertyWithValue('email', customer.mail)
  if (machines.length > 0) card.addPropertyWithValue('note', machines.map(({ name }) => name).join(', '))
  card.addPropertyWithValue('uid', `${UID}${customer.id}`)
  return card
}

/**
 * The cards of a vCard file as lines of customers, of any version; one that cannot be read has no name, and so stays
 * out by its number.
 */
export function readVCards(text: string): { line: number; fields: RegisterLine }[] {
  return [...text.matchAll(CARD)].map(([card], index) => ({ line: index + 1, fields: fieldsOf(card) }))
}

function fieldsOf(text: string): RegisterLine {
  let card: ICAL.Component
  try {
    card = new ICAL.Component(ICAL.parse(asNewer(text)) as unknown[])
  } catch {
    return {}
  }
  const first = (name: string) => {
    const value = card.getFirstPropertyValue(name)
    return typeof value === 'string' ? value.trim() : undefined
  }
  const name = first('fn') || parts(card, 'n').toReversed().join(' ') || parts(card, 'org').join(', ')
  const uid = first('uid')?.replace(UID, '')
  const fields: RegisterLine = {
    customer: name,
    place: parts(card, 'adr').join(', '),
    phone: first('tel')?.replace(/^tel:/i, ''),
    mail: first('email'),
    ...(isUuid(uid) ? { customerId: uid as string } : {}),
  }
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value))
}

/** The parts of a structured property that say something. */
function parts(card: ICAL.Component, name: string): string[] {
  const value: unknown = card.getFirstProperty(name)?.getFirstValue()
  return (Array.isArray(value) ? value : [value]).flat().flatMap((part) => {
    const said = typeof part === 'string' ? part.trim() : ''
    return said ? [said] : []
  })
}

/** A property of an older card names the kind of a telephone or an address without saying that it is one. */
const HEAD = /^[A-Z][\w.-]*(?:;[^:\r\n]*)?(?=:)/gim

/** A card as newer versions are written. */
function asNewer(text: string): string {
  if (!/^VERSION:2\.1\s*$/im.test(text)) return text
  return withoutQuotedPrintable(text).replaceAll(HEAD, (head) => {
    const [name, ...params] = head.split(';')
    return [name, ...params.map((param) => (param.includes('=') ? param : `TYPE=${param}`))].join(';')
  })
}

const QUOTED = /^([^:\r\n]*?);ENCODING=QUOTED-PRINTABLE([^:\r\n]*):((?:[^\r\n]*=\r?\n)*[^\r\n]*)$/gim
const CHARSET = /;CHARSET=([\w-]+)/i

/**
 * Older cards write their letters as quoted-printable, which newer ones no longer know.
 *
 * @source vCard 2.1; quoted-printable: RFC 2045, 6.7
 */
function withoutQuotedPrintable(text: string): string {
  return text.replaceAll(QUOTED, (_, before: string, after: string, value: string) => {
    const head = `${before}${after}`
    const bytes = value
      .replaceAll(/=\r?\n/g, '')
      .split(/(=[0-9A-F]{2})/i)
      .flatMap((piece) =>
        /^=[0-9A-F]{2}$/i.test(piece) ? [Number.parseInt(piece.slice(1), 16)] : [...new TextEncoder().encode(piece)],
      )
    const decoded = new TextDecoder(CHARSET.exec(head)?.[1] ?? 'utf-8').decode(Uint8Array.from(bytes))
    return `${head.replace(CHARSET, '')}:${decoded.replaceAll(/\r?\n/g, String.raw`\n`)}`
  })
}
