import { checkInfo } from '../knowledge/checks/checks'
import { GROUND_SAID, LEADS_SAID } from '../knowledge/said/electrics-said'
import type { NameplateField } from '../knowledge/said/plate-said'
import { playsRole, type Piece } from './phrases'
import type { Quantity } from './quantities'

/** Something in the line that a figure can be the reading of. */
export interface Topic {
  /** First and last piece of it. */
  at: number
  last: number
  pieces: Piece[]
  /** Measured checks that it names. */
  checks: string[]
  /** It only suggests them: `terminals`, `to ground`. */
  thing: boolean
  part?: string
  /** One lead, or one leg of the supply. */
  lead?: string
  /** Two leads, `black-yellow`. */
  leads?: string
  /** The reading goes to ground. */
  ground?: boolean
  /** Both legs, each to ground. */
  legs?: boolean
  plate?: NameplateField | 'amps'
}

const TO_GROUND: ReadonlySet<string> = new Set([
  'to ground',
  'to earth',
  'to frame',
  'to housing',
  'to shell',
  'to case',
  'to casing',
])
/** Words between two leads that make them a pair. */
const BETWEEN: ReadonlySet<string> = new Set(['to', 'and', 'across'])
const LEAD_NOUNS: ReadonlySet<string> = new Set(['lead', 'leads', 'wire', 'leg', 'line', 'terminal'])
const MOTOR_ROLES: ReadonlySet<string> = new Set(['run', 'start', 'common'])

const lastWord = (piece: Piece | undefined) => piece?.words.at(-1)?.text

/** The lead that a piece names, by its whole text: `red`, `yel`, `l1`, `run`. */
function leadOf(piece: Piece | undefined): string | undefined {
  if (!piece || (piece.kind !== 'phrase' && piece.kind !== 'foreign')) return undefined
  const text = piece.text.replace(/ (?:lead|leads|wire|leg|line|terminal)$/, '').replace(/^(?:lead|leg|terminal) /, '')
  return Object.hasOwn(LEADS_SAID, text) ? LEADS_SAID[text] : undefined
}

const isGround = (piece: Piece | undefined) => piece !== undefined && GROUND_SAID.has(piece.text)

/** Skips pieces that carry nothing. */
function next(pieces: readonly Piece[], at: number): number {
  let index = at + 1
  while (pieces[index]?.kind === 'silent') index += 1
  return index
}

/** A lead, a pair of them, or a lead to ground, that begins at this piece. */
function leadsAt(pieces: readonly Piece[], at: number): Topic | undefined {
  const first = pieces[at] as Piece
  const base = { at, checks: [], thing: false }
  const topic = (last: number, more: Partial<Topic>): Topic => ({
    ...base,
    last,
    pieces: pieces.slice(at, last + 1),
    ...more,
  })
  if (first.kind === 'number') {
    const second = pieces[at + 1]
    const [a, b] = [first.words[0]?.value, second?.words[0]?.value]
    if (
      second?.kind === 'number' &&
      second.words[0]?.joined &&
      a !== undefined &&
      b !== undefined &&
      a <= 5 &&
      b <= 5 &&
      pieces[at + 2]?.kind === 'number'
    )
      return topic(at + 1, { leads: `${a}-${b}` })
    return undefined
  }
  // A hyphenated pair may have been read as one phrase: `l1-l2`, `run-common`.
  if (first.words.length === 2 && first.words[1]?.joined) {
    const [a, b] = first.words.map(({ text }) => LEADS_SAID[text])
    if (a && b) return topic(at, { leads: `${a}-${b}` })
  }
  const a = leadOf(first)
  if (a === undefined && !(first.text === 'lead' || first.text === 'leads' || first.text === 'either lead'))
    return undefined
  let after = next(pieces, at)
  if (LEAD_NOUNS.has(pieces[after]?.text ?? '')) after = next(pieces, after)
  const second = pieces[after]
  if (second && TO_GROUND.has(second.text)) return topic(after, { ...(a ? { lead: a } : {}), ground: true })
  // "winding to ground" and the like hold the ground in a longer phrase.
  if (a === undefined) return undefined
  const joinedSecond = second?.words[0]?.joined === true
  if (second && joinedSecond && isGround(second)) return topic(after, { lead: a, ground: true })
  if (second && joinedSecond && leadOf(second)) return topic(after, { leads: `${a}-${leadOf(second)}` })
  if (second && BETWEEN.has(second.text)) {
    const beyond = next(pieces, after)
    const third = pieces[beyond]
    if (second.text === 'to' && isGround(third)) return topic(beyond, { lead: a, ground: true })
    const other = leadOf(third)
    const between = second.text === 'to' || pieces[at - 1]?.text === 'between' || pieces[at - 1]?.text === 'across'
    if (other !== undefined && between) return topic(beyond, { leads: `${a}-${other}` })
  }
  // A letter alone, or `run` and `start`, are leads only right before their reading.
  const bare = first.text.length <= 2 || MOTOR_ROLES.has(a)
  const following = pieces[after]
  const read =
    following?.kind === 'number' ||
    (following !== undefined &&
      (playsRole(following, 'over') ||
        playsRole(following, 'measured') ||
        following.text === 'open' ||
        following.text === 'dead'))
  if (bare && !read) return undefined
  return topic(
    LEAD_NOUNS.has(lastWord(pieces[next(pieces, at)]) ?? '') && after > next(pieces, at) ? next(pieces, at) : at,
    { lead: a },
  )
}

/** Parts that are measured: what is read on each. */
const MEASURED_PARTS: Readonly<Record<string, string>> = {
  'run-capacitor': 'capacitance',
  'start-capacitor': 'capacitance',
  'run-winding': 'winding-resistance',
  'start-winding': 'winding-resistance',
}

/** All that the figures of the line can be readings of, in its order. */
export function topicsOf(pieces: readonly Piece[], quantities: readonly Quantity[]): Topic[] {
  const figures = new Set(quantities.flatMap((quantity) => quantity.pieces).filter((piece) => piece.kind === 'number'))
  const topics: Topic[] = []
  for (let at = 0; at < pieces.length; at += 1) {
    const piece = pieces[at] as Piece
    if (piece.kind === 'number' && figures.has(piece)) continue
    const leads = leadsAt(pieces, at)
    if (leads) {
      topics.push(leads)
      at = leads.last
      continue
    }
    const named = namedAt(piece, at)
    if (named) topics.push(named)
  }
  return topics
}

function namedAt(piece: Piece, at: number): Topic | undefined {
  const base = { at, last: at, pieces: [piece] }
  if (piece.senses.some(({ is }) => is === 'legs'))
    return { ...base, checks: ['supply-voltage'], thing: false, legs: true, ground: true }
  const field = piece.senses.find((sense) => sense.is === 'plate')
  const measured = (thing: boolean) =>
    piece.senses.flatMap((sense) =>
      sense.is === 'check' && sense.thing === thing && checkInfo(sense.check)?.unit !== undefined ? [sense.check] : [],
    )
  const part = piece.senses.find((sense) => sense.is === 'part' && MEASURED_PARTS[sense.part] !== undefined)
  if (part?.is === 'part')
    return { ...base, checks: [MEASURED_PARTS[part.part] as string], part: part.part, thing: false }
  const named = measured(false)
  if (field?.is === 'plate' && named.length === 0) return { ...base, checks: [], thing: false, plate: field.field }
  if (playsRole(piece, 'plate')) return { ...base, checks: [], thing: false, plate: 'amps' }
  if (named.length > 0) return { ...base, checks: named, thing: false }
  const things = measured(true)
  if (things.length > 0)
    return { ...base, checks: things, thing: true, ...(TO_GROUND.has(piece.text) ? { ground: true } : {}) }
  return undefined
}
