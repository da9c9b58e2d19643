import type { Finding } from '../diagnosis/finding'
import { checkInfo } from '../knowledge/checks/checks'
import { LEADS_SAID } from '../knowledge/said/electrics-said'
import { ENDS_SAID, RING_OF_PLACE } from '../knowledge/said/parts-said'
import type { Part } from '../knowledge/vocabulary'
import { distance, HALVED } from './outcome-candidates'
import { playsRole, type Piece } from './phrases'
import type { Scene } from './scene'

const SIDED: ReadonlySet<string> = new Set(['listen', 'motor-alone-listen'])

const PLACED: ReadonlySet<string> = new Set(['joint-look', 'air-leak-test'])

/** `gravel, mtr side`: a side that is a clause of its own belongs to what was said before it. */
function isSideBehind(pieces: readonly Piece[], piece: Piece, clause: number): boolean {
  if (piece.clause !== clause + 1 || !piece.senses.some(({ is }) => is === 'side')) return false
  return pieces.every((other) => other.clause !== piece.clause || other === piece || other.kind === 'mark')
}

/** Each end of a shaft by the words that name it: they name nothing where no bearing is spoken of. */
const ENDS = Object.entries(ENDS_SAID).flatMap(([at, said]) => said.map((words) => ({ at, words: words.split(' ') })))
const MOST_END_WORDS = Math.max(...ENDS.map(({ words }) => words.length))

/** `loose top, tight bottom`: which end of the shaft a clause is about. */
export function endIn(pieces: readonly Piece[], clause: number): { at: string; pieces: Piece[] } | undefined {
  const words = pieces
    .filter((piece) => piece.clause === clause && piece.kind !== 'mark')
    .flatMap((piece) => piece.words.map(({ text }) => ({ text, piece })))
  for (let length = MOST_END_WORDS; length > 0; length -= 1)
    for (const { at, words: named } of ENDS.filter((end) => end.words.length === length)) {
      const start = words.findIndex((_, index) => named.every((word, next) => words[index + next]?.text === word))
      if (start >= 0) return { at, pieces: words.slice(start, start + length).map(({ piece }) => piece) }
    }
  return undefined
}

/** Part, place, half and side that belong to this outcome: on the thing itself, or near it. */
export function detailsOf(
  check: string,
  pieces: readonly Piece[],
  at: number,
  topic: Piece | undefined,
  scene: Scene,
): { fields: Partial<Finding>; pieces: Piece[] } {
  const info = checkInfo(check)
  const fields: Partial<Finding> = {}
  const used: Piece[] = []
  const { clause } = pieces[at] as Piece
  const sensesNear = pieces
    .map((piece, index) => ({ piece, index, far: distance(pieces, index, at) }))
    .filter(
      ({ piece }) =>
        piece === topic || piece.clause === clause || piece === pieces[at] || isSideBehind(pieces, piece, clause),
    )
    .sort((a, b) => Number(b.piece === topic) - Number(a.piece === topic) || a.far - b.far)
  // Beside the pump end, "motor" is the other half.
  const contrasted = pieces.some((piece) => piece.senses.some((sense) => sense.is === 'half' && sense.half !== 'motor'))
  for (const { piece } of sensesNear) {
    for (const sense of piece.senses) {
      if (sense.is === 'part' && fields.part === undefined && info?.parts?.includes(sense.part as Part)) {
        fields.part = sense.part
        used.push(piece)
      }
      if (
        sense.is === 'place' &&
        fields.at === undefined &&
        PLACED.has(check) &&
        !(check === 'air-leak-test' && piece === topic && sense.at === undefined)
      ) {
        fields.at = sense.at
        used.push(piece)
      }
      if (
        sense.is === 'half' &&
        fields.half === undefined &&
        HALVED.has(check) &&
        (piece === topic || piece.text !== 'motor' || topic === undefined || contrasted)
      ) {
        // `motor` is a half where it stands at the head of what is said; inside a longer phrase it is a place.
        if (sense.half === 'pump-end' || piece.text.startsWith('motor')) {
          fields.half = sense.half
          used.push(piece)
        }
      }
      if (sense.is === 'side' && fields.side === undefined && SIDED.has(check)) {
        fields.side = sense.side
        used.push(piece)
      }
    }
  }
  if (check === 'ground-ohmmeter') {
    const lead = pieces.find(
      (piece) =>
        piece.clause === clause &&
        piece !== pieces[at] &&
        piece.text.length > 2 &&
        LEADS_SAID[piece.text] !== undefined &&
        LEADS_SAID[piece.text] !== 'common',
    )
    if (lead) {
      fields.lead = LEADS_SAID[lead.text]
      used.push(lead)
    }
  }
  if (check === 'bearing-fit') {
    const end = endIn(pieces, clause)
    if (end) {
      fields.at = end.at
      used.push(...end.pieces)
    }
  }
  const hedge = pieces.find((piece) => piece.clause === clause && piece.kind === 'phrase' && playsRole(piece, 'hedge'))
  if (hedge) {
    fields.hedge = hedge.text
    used.push(hedge)
  }
  if (info?.parts && fields.part === undefined && scene.lit?.check === check && scene.lit.part)
    fields.part = scene.lit.part
  if (HALVED.has(check) && fields.half === undefined && scene.lit?.check === check && scene.lit.half)
    fields.half = scene.lit.half
  if (
    info?.parts?.length &&
    fields.part === undefined &&
    check !== 'capacitor-look' &&
    check !== 'o-ring-look' &&
    info.parts.length === 1
  )
    fields.part = info.parts[0]
  const placed = sensesNear.flatMap(({ piece }) =>
    piece.senses.flatMap((sense) => (sense.is === 'place' ? [sense.at] : [])),
  )
  const ring = placed.map((at) => RING_OF_PLACE[at]).find((part) => part !== undefined)
  if (check === 'o-ring-look' && fields.part === undefined && ring) fields.part = ring
  if (check === 'plate-look' && topic && /^diffuser/.test(topic.text)) fields.part = 'diffuser'
  if (check === 'wiring-look' && topic && /bond/.test(topic.text)) fields.part = 'bonding-lug'
  return { fields, pieces: used }
}
