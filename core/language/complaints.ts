import { complaintFits, COMPLAINTS, type Complaint } from '../knowledge/vocabulary'
import { lexicon } from './lexicon'
import { playsRole, type Piece } from './phrases'
import type { Scene } from './scene'
import type { Heard, Said } from './understanding'

/** Nothing but the word itself, and the pump it is said of. */
const aloneWithPump = (words: readonly string[]) =>
  words.filter((word) => word !== 'pump' && word !== 'motor').length === 1

/** The program’s own name of a complaint, typed as it stands: that complaint, whatever its words would say apart. */
export function labelledComplaint(text: string, pieces: readonly Piece[], { kind }: Scene): Heard | undefined {
  const id = (Object.keys(COMPLAINTS) as Complaint[]).find(
    (each) => COMPLAINTS[each].toLowerCase() === text.toLowerCase() && complaintFits(each, kind),
  )
  if (!id) return undefined
  for (const piece of pieces) piece.used = true
  return { said: [{ other: { is: 'complaint', id }, pieces }], doubts: [] }
}

/** "no water in the motor" is not "no water": what else is named in the clause was meant. */
const namesMore = (piece: Piece) =>
  piece.text !== 'pump' &&
  piece.text !== 'motor' &&
  piece.senses.some(({ is }) => is === 'check' || is === 'part' || is === 'side' || is === 'place')

/**
 * What an owner said is wrong: behind a word for saying (`customer says it loses prime`), or where the line says
 * nothing else.
 *
 * @param alone nothing else was understood, so that no such word is needed
 */
export function complaintsIn(text: string, pieces: readonly Piece[], scene: Scene, alone = false): Heard | undefined {
  const told = pieces.find((piece) => playsRole(piece, 'reported'))
  if (!told && !alone) return undefined
  if (pieces.some(({ kind }) => kind === 'number') && !told) return undefined
  const words = pieces
    .slice(told ? pieces.indexOf(told) + 1 : 0)
    .filter(({ kind }) => kind !== 'mark' && kind !== 'silent')
    .flatMap((piece) =>
      piece.kind === 'number' && !piece.words[0]?.spoken
        ? [{ word: '|', piece }]
        : piece.text.split(' ').map((word) => ({ word, piece })),
    )
  const said: Said[] = []
  const { complaints, longest } = lexicon()
  for (let at = 0; at < words.length; at += 1) {
    for (let end = Math.min(words.length, at + longest); end > at; end -= 1) {
      const span = words.slice(at, end)
      const ids = complaints.get(span.map(({ word }) => word).join(' '))
      const id = ids?.find((candidate) => complaintFits(candidate as Complaint, scene.kind))
      if (!id) continue
      // A single word is a complaint only where it is the whole of what was said.
      if (span.length === 1 && !told && !aloneWithPump(words.map(({ word }) => word))) continue
      const own = [...new Set(span.map(({ piece }) => piece))]
      if (
        !told &&
        pieces.some(
          (piece) =>
            !own.includes(piece) && piece.clause === own[0]?.clause && (piece.kind === 'foreign' || namesMore(piece)),
        )
      )
        continue
      said.push({ other: { is: 'complaint', id: id as Complaint }, pieces: told ? [told, ...own] : own })
      at = end - 1
      break
    }
  }
  if (said.length === 0) return undefined
  for (const item of said) for (const piece of item.pieces) piece.used = true
  return { said, doubts: [] }
}

/** `hums not turn` is what the motor does under power, and no shaft that was tried by hand. */
const HUMS_WORDS = 3

/**
 * `alarm on, main silent`: beside readings, what an owner would say is one where it is a clause of its own.
 *
 * @param least words that it must have
 */
export function clauseComplaints(pieces: readonly Piece[], { kind }: Scene, least: number): Said[] {
  const { complaints } = lexicon()
  return [...new Set(pieces.map(({ clause }) => clause))].flatMap((clause): Said[] => {
    const own = pieces.filter((piece) => piece.clause === clause && piece.kind !== 'mark' && piece.kind !== 'silent')
    if (own.some((piece) => piece.used || playsRole(piece, 'past'))) return []
    const words = own.map(({ text }) => text).join(' ')
    const ids = complaints.get(words)
    const id = ids?.find((each) => complaintFits(each as Complaint, kind)) as Complaint | undefined
    const length = words.split(' ').length
    if (!id || length < (id === 'hums-no-start' ? Math.min(least, HUMS_WORDS) : least)) return []
    for (const piece of own) piece.used = true
    return [{ other: { is: 'complaint', id }, pieces: own }]
  })
}
