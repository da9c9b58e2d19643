import type { Finding } from '../diagnosis/finding'
import type { Unit } from '../quantity/units'
import { asTyped, type Piece } from './phrases'
import { fits, type Quantity } from './quantities'
import { isHere, type Scene } from './scene'
import type { Topic } from './topics'
import type { Answer, Doubt, Said } from './understanding'

/** Everything the measured part of the line needs while it is taken apart. */
export interface Measuring {
  pieces: readonly Piece[]
  topics: Topic[]
  quantities: Quantity[]
  given: (Topic | undefined)[]
  scene: Scene
  said: Said[]
  doubts: Doubt[]
}

/** One answer is kept, several are asked. */
export function one(m: Measuring, pieces: readonly Piece[], question: string, answers: Answer[]): void {
  const only = answers[0]
  if (answers.length === 1 && only) {
    for (const finding of only.findings ?? []) m.said.push({ finding, pieces })
    for (const other of only.other ?? []) m.said.push({ other, pieces })
    if (!only.findings && !only.other) m.said.push({ pieces })
  } else m.doubts.push({ question, answers, pieces })
}

export const between = (at: number, a: number, b: number) => at > Math.min(a, b) && at < Math.max(a, b)

export type Guest = 'celsius' | 'testVolts' | 'clearance' | 'time'

/** The canonical unit that the figure’s own unit belongs to. */
export function unitOf(quantity: Quantity): Unit | undefined {
  if (quantity.unit === undefined || quantity.value === null) return undefined
  if (quantity.foreign || quantity.plate) return undefined
  const known = unitBySpelling.get(quantity.unit)
  if (known !== undefined || unitBySpelling.has(quantity.unit)) return known
  const found = UNITS.find(
    (unit) =>
      fits({ ...quantity, unit: quantity.unit === 'm' ? 'ft' : quantity.unit }, unit) &&
      natural(quantity.unit as string, unit),
  )
  unitBySpelling.set(quantity.unit, found)
  return found
}

const UNITS: readonly Unit[] = ['V', 'A', 'uF', 'Mohm', 'ohm', 'psi', 'inHg', 'in', 'ft', 'gpm', 's', 'celsius']
/** Spellings are few, and looked up often: only such as are units come here. */
const unitBySpelling = new Map<string, Unit | undefined>()

/** `k` and `ohm` fit megohms too, and `kPa` a vacuum; by themselves they are what they are. */
function natural(spelling: string, unit: Unit): boolean {
  const ohms = /^(?:k|kohms?|kilohms?|ohms?|ω|kω|Ω|kΩ)$/i.test(spelling)
  if (unit === 'Mohm') return !ohms
  if (unit === 'ohm') return ohms
  if (unit === 'inHg') return /hg|vacuum/i.test(spelling)
  if (unit === 'uF') return spelling.toLowerCase() !== 'm'
  if (unit === 'in') return !/^(?:ft|feet|foot|m|metres|meters|')$/i.test(spelling)
  if (unit === 'ft') return /^(?:ft|feet|foot|m|metres|meters|')$/i.test(spelling)
  return true
}

export function note(pieces: readonly Piece[]): Answer {
  return { label: 'only a note', note: asTyped(pieces) }
}

/** Something that is measured is named in the figure’s clause. */
export function besideNamed(m: Measuring, quantity: Quantity): boolean {
  const { clause } = m.pieces[quantity.at] as Piece
  return m.topics.some(({ thing, checks, pieces }) => !thing && checks.length > 0 && pieces[0]?.clause === clause)
}

export function besideForeign(m: Measuring, quantity: Quantity): boolean {
  const { clause } = m.pieces[quantity.at] as Piece
  return m.pieces.some((piece) => piece.clause === clause && piece.kind === 'foreign')
}

export type Make = (check: string, more?: Partial<Finding>) => Answer

/** The measured thing named before a lead, which its reading inherits: `meg y 0.2 b 0.2`. */
export function headBefore(m: Measuring, topic: Topic): string | undefined {
  const heads = m.topics.filter((other) => other.checks.length > 0 && !other.legs)
  const before = heads.filter((other) => other.at < topic.at).at(-1)
  return (before ?? heads[0])?.checks.find((check) => isHere(check, m.scene))
}
