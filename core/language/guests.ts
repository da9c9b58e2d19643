import { type Guest, type Measuring, unitOf } from './measuring'
import { type Piece, playsRole } from './phrases'
import { canonical, type Quantity } from './quantities'

export const MILLIMETRES_PER_INCH = 25.4

/** A clearance said beside a bearing: it belongs to how the bearing sits on its shaft. */
export interface Clearance {
  millimetres: number
  pieces: readonly Piece[]
}

const INSULATION_VOLTS = { least: 50 }

/** Figures that qualify another reading: its temperature, its test voltage, a clearance, a time that only says when. */
export function guestsOf(m: Measuring): Map<Quantity, Guest> {
  const guests = new Map<Quantity, Guest>()
  const names = (check: string) => m.topics.some(({ checks }) => checks.includes(check))
  const winding = names('winding-resistance') || m.topics.some(({ leads }) => leads !== undefined)
  const ohms = (quantity: Quantity) => unitOf(quantity) === 'Mohm' || (!winding && /^k/i.test(quantity.unit ?? ''))
  const insulation = names('insulation-resistance') || m.quantities.some(ohms)
  const bearing = m.pieces.some((piece) =>
    piece.senses.some((sense) => (sense.is === 'check' || sense.is === 'outcome') && sense.check === 'bearing-fit'),
  )
  m.quantities.forEach((quantity, index) => {
    const topic = m.given[index]
    const unit = unitOf(quantity)
    const others = m.quantities.filter((other) => other !== quantity && other.role === 'read')
    const warm = unit === 'celsius' || (quantity.unit?.toLowerCase() === 'f' && others.length > 0)
    const onlyUnit = topic?.pieces.every((piece) => quantity.pieces.includes(piece)) === true
    const tests = !topic || topic.thing || onlyUnit || topic.checks.includes('insulation-resistance')
    if (warm && (winding || insulation) && others.length > 0) guests.set(quantity, 'celsius')
    else if (
      unit === 'V' &&
      insulation &&
      tests &&
      (quantity.value ?? 0) >= INSULATION_VOLTS.least &&
      others.some((other) => ohms(other) || other.unit === undefined)
    )
      guests.set(quantity, 'testVolts')
    else if ((unit === 's' || quantity.foreign) && !topic && waits(m, quantity)) guests.set(quantity, 'time')
    else if (unit === 'in' && !topic && bearing) guests.set(quantity, 'clearance')
  })
  return guests
}

const BUMP_SECONDS = 2
const isBump = ({ text }: Piece) => /\b(?:bump|bumped|kicks?|dry)\b/.test(text)

/** A time that only says when: `after ten minutes`, `running for half an hour`. */
function waits({ pieces }: Measuring, quantity: Quantity): boolean {
  // A second of power is a bump: how it went is said beside it.
  if (unitOf(quantity) === 's' && (quantity.value ?? Infinity) <= BUMP_SECONDS && pieces.some(isBump)) return true
  const before = pieces.slice(Math.max(0, quantity.at - 2), quantity.at)
  return before.some((piece) => playsRole(piece, 'wait') || piece.text === 'for' || piece.text === 'in')
}

export function guestsNear(
  m: Measuring,
  quantity: Quantity,
  guests: Map<Quantity, string>,
): { celsius?: number; testVolts?: number; pieces: Piece[] } {
  const readings = m.quantities.filter((other) => !guests.has(other))
  const nearest = (guest: Quantity) =>
    readings.reduce<Quantity | undefined>(
      (best, reading) => (!best || Math.abs(reading.at - guest.at) < Math.abs(best.at - guest.at) ? reading : best),
      undefined,
    )
  const found: { celsius?: number; testVolts?: number; pieces: Piece[] } = { pieces: [] }
  for (const [guest, kind] of guests) {
    const shared = guest.at > (readings.at(-1)?.at ?? 0) || guest.at < (readings[0]?.at ?? 0)
    if (nearest(guest) !== quantity && !shared) continue
    if (kind === 'celsius') found.celsius = canonical(guest, 'celsius') ?? undefined
    if (kind === 'testVolts') found.testVolts = canonical(guest, 'V') ?? undefined
    if (kind !== 'clearance') found.pieces.push(...guest.pieces)
  }
  return found
}
