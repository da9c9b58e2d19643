import type { Finding } from '../diagnosis/finding'
import { playsRole, type Piece } from './phrases'
import type { Quantity } from './quantities'

/** What else was said of a reading: its setup, its age, its speed, and what other figures qualify it. */
export interface Details {
  fields: Partial<Finding>
  pieces: Piece[]
}

const SPEED_NOUNS: ReadonlySet<string> = new Set([
  'high speed',
  'hi speed',
  'on high',
  'low speed',
  'lo speed',
  'on low',
  'slow speed',
  'high',
  'low',
  'hi',
  'lo',
])

/**
 * The details that stand near a reading: in its own clause, or anywhere in the line where no clause has another.
 *
 * @param guests the figures that qualify it, already read
 */
export function detailsNear(
  pieces: readonly Piece[],
  quantity: Quantity,
  guests: { celsius?: number; testVolts?: number; pieces: Piece[] },
): Details {
  const clause = (pieces[quantity.at] as Piece).clause
  const figures = pieces.filter(({ kind }) => kind === 'number')
  const near = figures.length === 1 ? pieces : pieces.filter((piece) => piece.clause === clause)
  const fields: Partial<Finding> = {}
  const used: Piece[] = [...guests.pieces]
  for (const piece of near) {
    for (const sense of piece.senses) {
      if (sense.is === 'setup' && fields.setup === undefined) {
        fields.setup = sense.setup
        used.push(piece)
      }
      if (sense.is === 'age' && fields.ageState === undefined) {
        fields.ageState = sense.age
        used.push(piece)
      }
    }
    const half = piece.senses.find((sense) => sense.is === 'half')
    // "motor" alone is said of every winding; "at the motor" says that no cable is in the way.
    if (half?.is === 'half' && piece.text !== 'motor' && fields.half === undefined) {
      fields.half = half.half
      if (half.half === 'motor') fields.throughCable = false
      used.push(piece)
    }
    if (playsRole(piece, 'new')) {
      fields.of = 'new'
      used.push(piece)
    }
  }
  if (fields.ageState === undefined && fields.setup === undefined) {
    const age = ageBefore(pieces, quantity)
    if (age) fields.ageState = age
  }
  const speed = speedBefore(pieces, quantity)
  if (speed) {
    fields.at = playsRole(speed, 'high') ? 'high speed' : 'low speed'
    used.push(speed)
  }
  if (guests.celsius !== undefined) fields.celsius = guests.celsius
  if (guests.testVolts !== undefined) fields.testVolts = guests.testVolts
  return { fields, pieces: used }
}

/** `new motor meg 640 blk, 630 red`: an age holds until another is said. */
function ageBefore(pieces: readonly Piece[], quantity: Quantity): 'new' | 'used' | undefined {
  const ages = pieces.slice(0, quantity.at).flatMap(({ senses }) => senses.filter((sense) => sense.is === 'age'))
  return ages.at(-1)?.age
}

/** `high speed 9.4 a low 3.1 a`: the speed named last before the figure, or right behind it. */
function speedBefore(pieces: readonly Piece[], quantity: Quantity): Piece | undefined {
  const isSpeed = (piece: Piece | undefined) => piece !== undefined && SPEED_NOUNS.has(piece.text)
  for (let at = quantity.at - 1; at >= 0; at -= 1) {
    const piece = pieces[at] as Piece
    if (piece.kind === 'number' || piece.clause !== (pieces[quantity.at] as Piece).clause) break
    if (isSpeed(piece)) return piece
  }
  const behind = pieces[quantity.last + 1]
  return isSpeed(behind) && pieces[quantity.last + 2]?.kind !== 'number' ? behind : undefined
}

const DETAILS: Readonly<Record<string, readonly (keyof Finding)[]>> = {
  'insulation-resistance': ['setup', 'celsius', 'testVolts', 'ageState'],
  'winding-resistance': ['celsius', 'half', 'throughCable', 'at'],
  'running-current': ['at'],
  capacitance: ['of'],
}

/** Only what belongs to a check is kept with it. */
export function allowedDetails(check: string, fields: Partial<Finding>): Partial<Finding> {
  const allowed = DETAILS[check] ?? []
  return Object.fromEntries(Object.entries(fields).filter(([field]) => allowed.includes(field as keyof Finding)))
}
