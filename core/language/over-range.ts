import { checkInfo } from '../knowledge/checks/checks'
import { type Piece, playsRole } from './phrases'
import type { Quantity } from './quantities'
import type { Scene } from './scene'
import type { Topic } from './topics'

/** Checks that may never come to a figure. */
const NEVER_REACHED: ReadonlySet<string> = new Set(['cut-in', 'cut-out', 'cycle-time'])

const OPEN_OF: ReadonlySet<string> = new Set([
  'winding-resistance',
  'insulation-resistance',
  'capacitance',
  ...NEVER_REACHED,
])

/** `ol`, `infinite`, and `open` where a winding or a lead is before it: a reading over range. */
export function overRange(
  pieces: readonly Piece[],
  topics: readonly Topic[],
  figures: readonly Quantity[],
  scene: Scene,
): Quantity[] {
  const taken = new Set(figures.flatMap((figure) => figure.pieces))
  return pieces.flatMap((piece, at): Quantity[] => {
    if (piece.kind !== 'phrase' || taken.has(piece)) return []
    const over = playsRole(piece, 'over')
    const open = piece.text === 'open' || piece.text === 'reads open'
    const never = piece.text === 'never' || piece.text === 'never reached'
    if (!over && !open && !never) return []
    const clause = piece.clause
    const lit = scene.lit?.check
    const answers =
      lit !== undefined &&
      (never ? NEVER_REACHED.has(lit) : OPEN_OF.has(lit)) &&
      topics.length === 0 &&
      pieces.every(({ kind }) => kind !== 'foreign')
    const fitting =
      answers ||
      topics.some(
        (topic) =>
          (topic.pieces[0] as Piece).clause === clause &&
          !topic.pieces.includes(piece) &&
          (topic.lead !== undefined ||
            topic.leads !== undefined ||
            topic.ground === true ||
            topic.checks.some((check) => (never ? NEVER_REACHED.has(check) : OPEN_OF.has(check)))),
      )
    const figureBeside = pieces[at + 1]?.kind === 'number' && !open && !over
    return fitting && !figureBeside
      ? [{ at, last: at, value: null, role: 'read', foreign: false, small: false, pieces: [piece] }]
      : []
  })
}

const NOTHING: ReadonlySet<string> = new Set([
  'dead',
  'nothing',
  'no power',
  'no voltage',
  'no volts',
  'zero volts',
  'no juice',
])

/** `outlet dead`, `l1 dead`: no volts, where something that has volts is named in the clause. */
export function zeroVolts(
  pieces: readonly Piece[],
  topics: readonly Topic[],
  figures: readonly Quantity[],
): Quantity[] {
  const taken = new Set(figures.flatMap((figure) => figure.pieces))
  return pieces.flatMap((piece, at): Quantity[] => {
    if (!NOTHING.has(piece.text) || taken.has(piece)) return []
    const named = topics.some(
      (topic) =>
        topic.pieces[0]?.clause === piece.clause &&
        !topic.thing &&
        !topic.pieces.includes(piece) &&
        (topic.lead === 'l1' || topic.lead === 'l2' || topic.checks.some((check) => checkInfo(check)?.unit === 'V')),
    )
    const figured = figures.some((figure) => (pieces[figure.at] as Piece).clause === piece.clause)
    return named && !figured
      ? [{ at, last: at, value: 0, unit: 'V', role: 'read', foreign: false, small: false, said: true, pieces: [piece] }]
      : []
  })
}
