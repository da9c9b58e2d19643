import { CONSTRUCTIONS, KIND_CONSTRUCTIONS, KINDS, type Construction, type Kind } from '../knowledge/vocabulary'
import { PLATE_BOUNDS, within } from '../motor/plate-bounds'
import { readNumber } from '../quantity/read-number'
import type { FieldProblem } from '../validation/input-error'
import { isCalendarDay, isUuid } from '../validation/rules'
import type { Customer, Machine, Site } from '../visit/entry'
import { REGISTER_FIELDS, type RegisterFieldId, type RegisterLine } from './register-fields'
import { foldedText } from './words'

/** What one line says: of whom, of the place, and of a machine. Ids only where the line itself has them. */
export interface SaidLine {
  customer: Omit<Customer, 'id'> & { id?: string }
  /** What one must know of the customer's own place. */
  place: Partial<Omit<Site, 'id' | 'customerId' | 'address'>>
  machine?: Omit<Machine, 'id' | 'customerId' | 'siteId'> & { id?: string; stands?: string }
}

const SITE_FIELDS = ['gate', 'key', 'dog', 'breaker', 'shutOff', 'pit', 'wellLog', 'note'] as const
const PLATE_FIELDS = ['volts', 'horsepower', 'fullLoadAmps', 'runCapacitorMicrofarads'] as const
const PLATE_EXPECTED: Readonly<Record<(typeof PLATE_FIELDS)[number], string>> = {
  volts: 'the volts of the plate or the supply, such as 230',
  horsepower: 'horsepower, such as 1.5',
  fullLoadAmps: 'amperes, such as 8.4',
  runCapacitorMicrofarads: 'microfarads, such as 30',
}
const UNIT = /\s*(?:v|volts?|hp|a|amps?|[uμµ]f|mfd)\.?$/i
/** Words by which a kind is written, beside its own. */
const KIND_WORDS: readonly [RegExp, Kind][] = [
  [/\bboost/, 'booster'],
  [/\b(?:spa|hot tub|whirlpool)\b/, 'spa'],
  [/\bpool\b/, 'pool'],
  [/\bsump\b|\bcellar\b|\bdrain/, 'sump'],
  [/\bjet\b/, 'jet'],
  [/\b(?:three|3)[ -]?wire\b/, 'well-three-wire'],
  [/\b(?:two|2)[ -]?wire\b/, 'well-two-wire'],
  [/\b(?:circulation|circulator|pond|fountain)\b/, 'circulation'],
  [/\b(?:utility|vertical)\b/, 'utility'],
]

/**
 * Reads a line of a table.
 *
 * @returns what it says, or what is wrong with it, each problem by the head of its field
 */
export function readRegisterLine(line: RegisterLine): { said: SaidLine } | { problems: FieldProblem[] } {
  const problems: FieldProblem[] = []
  const wrong = (id: RegisterFieldId, expected: string): undefined => {
    problems.push({ field: REGISTER_FIELDS[id].label, value: line[id] ?? '', expected })
    return undefined
  }
  if (!line.customer) wrong('customer', 'a name: whose it is')
  for (const id of ['customerId', 'machineId'] as const)
    if (line[id] !== undefined && !isUuid(line[id])) wrong(id, 'a UUID in lower case, or nothing')
  const place = [line.place, line.town]
    .filter((part, index, all) => part && !all.slice(0, index).some((before) => before?.includes(part)))
    .join(', ')
  const said: SaidLine = {
    customer: {
      ...(line.customerId ? { id: line.customerId } : {}),
      name: line.customer ?? '',
      place,
      ...(line.phone ? { phone: line.phone } : {}),
      ...(line.mail ? { mail: line.mail } : {}),
    },
    place: Object.fromEntries(SITE_FIELDS.flatMap((id) => (line[id] ? [[id, line[id]]] : []))),
  }
  // Without a name there is no machine in it: a kind or volts may have been said for all lines alike.
  if (line.machine) {
    const kind = kindOf(line.kind ?? line.machine)
    if (!kind) wrong('kind', `one of ${Object.values(KINDS).join('; ')}`)
    const construction = kind && constructionOf(kind, line.construction)
    if (kind && !construction)
      wrong('construction', `one of ${KIND_CONSTRUCTIONS[kind].map((id) => CONSTRUCTIONS[id]).join('; ')}`)
    const plate: Partial<Record<(typeof PLATE_FIELDS)[number], number>> = {}
    for (const id of PLATE_FIELDS) {
      if (line[id] === undefined && id !== 'volts') continue
      const value = readNumber((line[id] ?? '').replace(UNIT, ''))
      if (value !== undefined && within(value, PLATE_BOUNDS[id])) plate[id] = value
      else wrong(id, PLATE_EXPECTED[id])
    }
    const installedOn = dayIn('installedOn')
    const warrantyUntil = dayIn('warrantyUntil')
    if (kind && construction)
      said.machine = {
        ...(line.machineId ? { id: line.machineId } : {}),
        name: line.machine,
        kind,
        construction,
        ...(installedOn ? { installedOn } : {}),
        ...(warrantyUntil ? { warrantyUntil } : {}),
        nameplate: { ...plate, volts: plate.volts ?? 0 },
        ...(line.stands ? { stands: line.stands } : {}),
      }
  }
  return problems.length > 0 ? { problems } : { said }

  function dayIn(id: 'installedOn' | 'warrantyUntil'): string | undefined {
    const written = line[id]
    if (written === undefined) return undefined
    return readDay(written) ?? wrong(id, 'a day as 2019-04-03; 03/04/2019 could be two')
  }
}

function kindOf(written: string): Kind | undefined {
  const asked = foldedText(written)
  const own = (Object.keys(KINDS) as Kind[]).find((id) => id === asked || foldedText(KINDS[id]) === asked)
  return own ?? KIND_WORDS.find(([words]) => words.test(asked))?.[1]
}

function constructionOf(kind: Kind, written: string | undefined): Construction | undefined {
  const [usual] = KIND_CONSTRUCTIONS[kind]
  if (written === undefined) return usual
  const asked = foldedText(written)
  const fits = KIND_CONSTRUCTIONS[kind]
  return fits.find((id) => id === asked || foldedText(CONSTRUCTIONS[id]) === asked)
}

const two = (value: string) => value.padStart(2, '0')

/**
 * A written day as an ISO date; a month or a year alone is its first day.
 *
 * @returns nothing where day and month cannot be told apart
 */
export function readDay(written: string): string | undefined {
  const text = written.trim()
  const iso = /^(\d{4})(?:[-/.](\d{1,2})(?:[-/.](\d{1,2}))?)?(?:T.*)?$/.exec(text)
  if (iso) return real(`${iso[1]}-${two(iso[2] ?? '1')}-${two(iso[3] ?? '1')}`)
  const dotted = /^(\d{1,2})\.\s*(\d{1,2})\.\s*(\d{4})$/.exec(text)
  if (dotted) return real(`${dotted[3]}-${two(dotted[2] as string)}-${two(dotted[1] as string)}`)
  const slashed = /^(\d{1,2})[/-](\d{1,2})[/-](\d{4})$/.exec(text)
  if (!slashed) return undefined
  const [, first = '', second = '', year = ''] = slashed
  if (Number(first) > 12) return real(`${year}-${two(second)}-${two(first)}`)
  if (Number(second) > 12 || first === second) return real(`${year}-${two(first)}-${two(second)}`)
  return undefined
}
const real = (day: string) => (isCalendarDay(day) ? day : undefined)
