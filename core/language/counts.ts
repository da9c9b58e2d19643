import type { Piece } from './phrases'

/** What is counted when a machine comes apart. */
const COUNTED: ReadonlySet<string> = new Set(
  (
    'scr scrs screw screws bolt bolts nut nuts stud studs washer washers wash dot dots shim shims crimp crimps hots ' +
    'wire wires spring springs stage stages sets pin pins clip clips key keys pic pics photo photos'
  ).split(' '),
)
/** What a number behind it is the number of, or its place in a row. */
const NUMBERED: ReadonlySet<string> = new Set(['stage', 'bond', 'bonds', 'bolt', 'screw', 'scr', 'dot'])
/** What was put back or taken out by the piece. */
const MOVED: readonly (readonly string[])[] = [['back', 'in'], ['in', 'bag'], ['out']]
const MOST = 40
/** `2w`, `3w`: a pump’s leads, and no watts. */
const MOST_WIRES = 3
const MOST_LEADS = 3
/** No more pieces than this hold a cover: a capacitor may well read twenty-five beside two screws. */
const MOST_HOLDING = 6
/** `2 blk + grn`: leads, as they are counted. */
const LEADS: ReadonlySet<string> = new Set(['blk', 'blks', 'black', 'blacks', 'red', 'reds', 'hots'])

const wordsOf = (piece: Piece | undefined) => piece?.words.map(({ text }) => text) ?? []

/**
 * Pieces that are counted while a machine comes apart: `6 diff scr`, `stage 3`, `7 back in`. Their figures are no
 * readings.
 */
export function countsIn(pieces: readonly Piece[]): Piece[] {
  const numbers = pieces.flatMap(({ kind }, at) => (kind === 'number' ? [at] : []))
  const hardware =
    numbers.some((at) => isCount(pieces, at)) ||
    // "rear cap 2, conduit 1": a list of nothing but parts, each with how many.
    (numbers.length > 1 &&
      numbers.every((at) => isPartCount(pieces, at)) &&
      numbers.some(
        (at) => !pieces[at - 1]?.senses.some((sense) => sense.is === 'check' && sense.check === 'capacitance'),
      ))
  return pieces.map((piece, at) =>
    isCount(pieces, at) || (hardware && isPartCount(pieces, at)) || isClock(pieces, at)
      ? { ...piece, kind: 'silent', used: true }
      : piece,
  )
}

/** `shut 9:40`: what a clock says, both its figures. */
function isClock(pieces: readonly Piece[], at: number): boolean {
  const starts = (from: number) => {
    const [hours, colon, minutes] = pieces.slice(from, from + 3)
    const [first, second] = [hours?.words[0], minutes?.words[0]]
    return (
      colon?.text === ':' &&
      first !== undefined &&
      second !== undefined &&
      /^\d{1,2}$/.test(first.raw) &&
      /^[0-5]\d$/.test(second.raw) &&
      second.start === first.end + 1
    )
  }
  return starts(at) || starts(at - 2)
}

function isSmallWhole(piece: Piece | undefined): boolean {
  const value = piece?.kind === 'number' ? piece.words[0]?.value : undefined
  return value !== undefined && Number.isInteger(value) && value > 0 && value <= MOST && !piece?.words[0]?.spoken
}

function isCount(pieces: readonly Piece[], at: number): boolean {
  const piece = pieces[at]
  if (!isSmallWhole(piece)) return false
  const behind = pieces[at + 1]
  const before = wordsOf(pieces[at - 1]).at(-1)
  // "meg 800 all 3": all of the leads.
  if (before === 'all' && (piece?.words[0]?.value ?? 0) <= MOST_LEADS && at > 1) return true
  if (before !== undefined && NUMBERED.has(before) && pieces[at - 1]?.clause === piece?.clause) return true
  if (behind === undefined || behind.kind === 'number' || behind.kind === 'mark') return false
  const words = wordsOf(behind)
  const last = wordsOf(pieces[at + 2])
  const [first = '', second = last[0] ?? ''] = words
  const isRead = (other: Piece | undefined) => other?.kind === 'number' && other.clause === piece?.clause
  const alone = !isRead(pieces[at + 2] ?? pieces[at + 1]) && !isRead(pieces[at + 3])
  return (
    (COUNTED.has(first) && alone) ||
    (LEADS.has(first) && last[0] === '+') ||
    (first === 'w' && (piece?.words[0]?.value ?? 0) <= MOST_WIRES) ||
    (COUNTED.has(second) &&
      words.length + last.length > 1 &&
      /^(?:diff|diffuser|vol|volute|side|thru|through|mtr|motor|bond)$/.test(first)) ||
    MOVED.some((moved) => at === 0 && moved.every((word, index) => [first, second][index] === word))
  )
}

/** `cap 2`, in a line that counts: how many hold it, not what it reads. */
function isPartCount(pieces: readonly Piece[], at: number): boolean {
  const before = pieces[at - 1]
  const behind = pieces[at + 1]
  return (
    isSmallWhole(pieces[at]) &&
    (pieces[at]?.words[0]?.value ?? 0) <= MOST_HOLDING &&
    before?.senses.some(({ is }) => is === 'part' || is === 'check') === true &&
    (behind === undefined || behind.kind === 'mark')
  )
}
