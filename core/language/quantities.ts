import { convert } from 'convert'
import { checkInfo } from '../knowledge/checks/checks'
import { CALENDAR } from '../knowledge/said/roles-said'
import { PLATE_UNITS_SAID, UNITS_SAID, VOLUMES_SAID } from '../knowledge/said/units-said'
import { readUnit, type Unit } from '../quantity/units'
import { playsRole, type Piece } from './phrases'
import type { Word } from './words'

/** A figure of the line with its unit, as far as one was said. */
export interface Quantity {
  /** Index of its number among the pieces. */
  at: number
  /** Index of the last piece that belongs to it. */
  last: number
  /** Null is over range. */
  value: number | null
  unit?: string
  /** Upper end, where a range was said. */
  to?: number
  /** What is printed or wanted, not read. */
  role: 'read' | 'rated' | 'expected'
  /** Time by the calendar, weights and the like: never a reading. */
  foreign: boolean
  /** A unit of the plate: horsepower, hertz, speed, poles. */
  plate?: 'horsepower' | 'hertz' | 'rpm' | 'poles'
  /** One small number word without a unit: likely none at all. */
  small: boolean
  hedge?: string
  /** Said in a word and not read as a figure: `dead`. */
  said?: boolean
  pieces: Piece[]
}

const INCHES = /^(?:in|inch|inches|")$/

/** Does the quantity’s unit convert to this one? One without a unit fits all. */
export function fits(quantity: Quantity, wanted: Unit): boolean {
  if (quantity.foreign || quantity.plate) return false
  if (quantity.unit === undefined) return true
  if (quantity.value === null) return true
  if (wanted === 'Mohm' && quantity.unit === 'm') return true
  // A vacuum in inches is one of mercury: there is no other.
  if (wanted === 'inHg' && INCHES.test(quantity.unit)) return true
  if (wanted === 'celsius' && quantity.unit.toLowerCase() === 'f') return true
  return readUnit(quantity.unit, wanted)?.unit === wanted
}

/**
 * The quantity’s value in the canonical unit.
 *
 * @param wanted a unit that `fits` it
 */
export function canonical(quantity: Quantity, wanted: Unit): number | null {
  if (quantity.value === null) return null
  if (quantity.unit === undefined) return quantity.value
  if (wanted === 'inHg' && INCHES.test(quantity.unit)) return quantity.value
  const spelling =
    wanted === 'Mohm' && quantity.unit === 'm'
      ? 'M'
      : wanted === 'celsius' && quantity.unit.toLowerCase() === 'f'
        ? 'fahrenheit'
        : quantity.unit
  const unit = readUnit(spelling, wanted)
  return unit ? unit.toCanonical(quantity.value) : quantity.value
}

/** As a person would write it: for questions. */
export function written(quantity: Quantity): string {
  return quantity.pieces
    .flatMap(({ words }) => words)
    .map(({ raw, glued, joined }, at) => (at === 0 || glued ? raw : joined ? `-${raw}` : ` ${raw}`))
    .join('')
}

/** Words of the pieces behind `at`, up to the next number or mark. */
function wordsBehind(pieces: readonly Piece[], at: number): { word: Word; piece: number }[] {
  const words: { word: Word; piece: number }[] = []
  for (let index = at + 1; index < pieces.length && words.length < 5; index += 1) {
    const piece = pieces[index] as Piece
    if (piece.kind === 'number' || piece.kind === 'mark') break
    for (const word of piece.words) words.push({ word, piece: index })
  }
  return words
}

const ARTICLES: ReadonlySet<string> = new Set([
  'the',
  'a',
  'an',
  'its',
  'my',
  'this',
  'there',
  'at',
  'and',
  'with',
  'on',
])

interface UnitBehind {
  unit?: string
  volume?: 'gallon' | 'liter'
  plate?: Quantity['plate']
  foreign?: boolean
  last: number
  /** The pieces whose every word is the unit’s: a longer phrase stays free to mean more. */
  owned: number[]
}

/** Units of several words by their first. */
const UNITS_BY_FIRST = new Map<string, { parts: readonly string[]; unit: string }[]>()
for (const [said, unit] of UNITS_SAID) {
  const parts = said.split(' ')
  const first = parts[0] as string
  UNITS_BY_FIRST.set(first, [...(UNITS_BY_FIRST.get(first) ?? []), { parts, unit }])
}

function unitBehind(pieces: readonly Piece[], at: number): UnitBehind | undefined {
  const words = wordsBehind(pieces, at)
  const first = words[0]
  if (!first) return undefined
  const texts = words.map(({ word }) => word.text.replace(/\.$/, ''))
  const owned = (count: number) => {
    const taken = words.slice(0, count).map(({ piece }) => piece)
    return [...new Set(taken)].filter(
      (index) => (pieces[index] as Piece).words.length <= taken.filter((of) => of === index).length,
    )
  }
  // "30 in the well" and "38 a" differ by what follows: a unit of one letter is none before an article.
  const article = texts[1] !== undefined && ARTICLES.has(texts[1]) && texts[0] === 'in'
  for (const { parts, unit } of UNITS_BY_FIRST.get(texts[0] as string) ?? []) {
    if (parts.every((part, index) => texts[index] === part))
      return { unit, last: (words[parts.length - 1] as { piece: number }).piece, owned: owned(parts.length) }
  }
  const text = texts[0] as string
  const base = { last: first.piece, owned: owned(1) }
  if (VOLUMES_SAID[text]) return { volume: VOLUMES_SAID[text], ...base }
  if (PLATE_UNITS_SAID[text]) return { plate: PLATE_UNITS_SAID[text], ...base }
  if (
    CALENDAR.has(text) ||
    text === '%' ||
    text === 'th' ||
    text === 'st' ||
    text === 'nd' ||
    text === 'rd' ||
    text === 'wire'
  )
    return { foreign: true, ...base }
  if (article) return undefined
  return readUnit(first.word.raw) ? { unit: first.word.raw, ...base } : undefined
}

/** `volts 239 amps 7.1`: a unit that is the name of the figure behind it, as the one before was of its own. */
function namesNext(pieces: readonly Piece[], at: number): boolean {
  const [before, unit, after] = [pieces[at - 1], pieces[at + 1], pieces[at + 2]]
  if (before?.kind !== 'phrase' || unit?.kind !== 'phrase' || after?.kind !== 'number') return false
  const measures = (piece: Piece) =>
    piece.senses
      .flatMap((sense) => (sense.is === 'check' && !sense.thing ? [checkInfo(sense.check)?.unit] : []))
      .filter(Boolean)
  const named = measures(before)
  const next = measures(unit)
  return (
    named.length > 0 && next.length > 0 && !next.some((one) => named.includes(one)) && readUnit(unit.text) !== undefined
  )
}

/** Two figures that are one range: `161 to 193`, `59-71`. */
function rangeBehind(pieces: readonly Piece[], at: number): number | undefined {
  const next = pieces[at + 1]
  if (next?.kind === 'number' && (next.words[0] as Word).joined) return at + 1
  const beyond = pieces[at + 2]
  if (next && (next.text === 'to' || next.text === 'and') && beyond?.kind === 'number') {
    const low = pieces[at - 1]?.text
    const from = (pieces[at] as Piece).words[0]?.value ?? 0
    const to = beyond.words[0]?.value ?? 0
    if (next.text === 'to' ? to > from : low === 'between') return at + 2
  }
  return undefined
}

const isLeadNumber = (value: number | undefined) =>
  value !== undefined && Number.isInteger(value) && value >= 1 && value <= 5

/** All figures of a line, each with its unit, its range and whether it was read or printed. */
export function quantitiesOf(pieces: readonly Piece[]): Quantity[] {
  const found: Quantity[] = []
  for (let at = 0; at < pieces.length; at += 1) {
    const number = pieces[at] as Piece
    if (number.kind !== 'number') continue
    const word = number.words[0] as Word
    const pair = pieces[at + 1]
    const pairWord = pair?.words[0]
    // "1-2 4.1" names two terminals before their reading.
    if (
      pair?.kind === 'number' &&
      pairWord?.joined &&
      isLeadNumber(word.value) &&
      isLeadNumber(pairWord.value) &&
      pieces[at + 2]?.kind === 'number'
    ) {
      at += 1
      continue
    }
    const range = rangeBehind(pieces, at)
    const end = range ?? at
    const behind = namesNext(pieces, end) ? undefined : unitBehind(pieces, end)
    const volume = behind?.volume ? flowOf(pieces, word.value ?? 0, behind.volume, behind.last) : undefined
    if (volume) {
      found.push({
        at,
        last: volume.last,
        value: volume.gpm,
        unit: 'gpm',
        role: 'read',
        foreign: false,
        small: false,
        pieces: pieces.slice(at, volume.last + 1),
      })
      at = volume.last
      continue
    }
    const pieceIndexes = [at, ...(range === undefined ? [] : [range]), ...(behind?.owned ?? [])]
    found.push({
      at,
      last: Math.max(...pieceIndexes),
      value: word.value ?? 0,
      ...(behind?.unit ? { unit: behind.unit } : {}),
      ...(behind?.plate ? { plate: behind.plate } : {}),
      ...(range === undefined ? {} : { to: (pieces[range] as Piece).words[0]?.value }),
      role: range === undefined ? 'read' : 'expected',
      foreign: behind?.foreign === true || behind?.volume !== undefined,
      small: word.small === true && !behind?.unit && !behind?.plate,
      pieces: pieceIndexes.map((index) => pieces[index] as Piece),
    })
    at = Math.max(
      end,
      behind ? Math.min(behind.last, ...(behind.owned.length ? [Math.max(...behind.owned)] : [end])) : end,
    )
  }
  for (const quantity of found) tellRole(pieces, quantity, found)
  return found
}

/** `7 gallons in 20 seconds`: a volume and its time are one flow, in gallons a minute. */
function flowOf(
  pieces: readonly Piece[],
  volume: number,
  kind: 'gallon' | 'liter',
  at: number,
): { gpm: number; last: number } | undefined {
  const joint = pieces[at + 1]
  const time = pieces[at + 2]
  if (!joint || !['in', 'after', 'over', 'took', 'every', 'per'].includes(joint.text) || time?.kind !== 'number')
    return undefined
  const behind = unitBehind(pieces, at + 2)
  const seconds = behind?.unit ? readUnit(behind.unit, 's') : undefined
  if (seconds?.unit !== 's' || !behind) return undefined
  const minutes = seconds.toCanonical(time.words[0]?.value ?? 0) / 60
  return minutes > 0 ? { gpm: convert(volume, kind).to('gallon') / minutes, last: behind.last } : undefined
}

/** Printed and wanted figures stand behind their word, or right before it: `rated 40 uf`, `30 uf printed`. */
function tellRole(pieces: readonly Piece[], quantity: Quantity, all: readonly Quantity[]): void {
  const taken = new Set(all.filter((other) => other !== quantity).flatMap((other) => other.pieces))
  const clause = (pieces[quantity.at] as Piece).clause
  for (let index = quantity.at - 1; index >= 0; index -= 1) {
    const piece = pieces[index] as Piece
    if (piece.clause !== clause || (piece.kind === 'number' && taken.has(piece))) break
    if (playsRole(piece, 'measured')) {
      quantity.role = quantity.to === undefined ? 'read' : quantity.role
      break
    }
    const role = playsRole(piece, 'rated') ? 'rated' : playsRole(piece, 'expected') ? 'expected' : undefined
    if (role) {
      quantity.role = role
      break
    }
    if (playsRole(piece, 'hedge')) quantity.hedge ??= piece.text
  }
  const before = pieces[quantity.at - 1]
  // "9.1 of 10 uf": what it reads, of what is printed.
  if (before?.text === 'of' && all.some((other) => other.last === quantity.at - 2)) quantity.role = 'rated'
  const after = pieces[quantity.last + 1]
  if (after && quantity.role === 'read' && after.clause === clause) {
    if (playsRole(after, 'rated') && !followedByNumber(pieces, quantity.last + 1)) quantity.role = 'rated'
  }
}

function followedByNumber(pieces: readonly Piece[], at: number): boolean {
  const next = pieces[at + 1]
  return next?.kind === 'number'
}
