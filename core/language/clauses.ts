import type { Piece } from './phrases'

export const hasOutcome = (piece: Piece) => piece.kind === 'phrase' && piece.senses.some(({ is }) => is === 'outcome')

export const isTopicOnly = (piece: Piece) => piece.senses.some(({ is }) => is === 'check' || is === 'part')

export const hasForeign = (pieces: readonly Piece[]) => pieces.some(({ kind }) => kind === 'foreign')

/** Leads and wires: a thing of the line without a check of its own. */
export const isLeads = (piece: Piece) => /^(?:lead|leads|wire|wires)$/.test(piece.text)

/** No word in this clause that the tables do not know. */
export function plainClause(pieces: readonly Piece[], at: number): boolean {
  const { clause } = pieces[at] as Piece
  return !pieces.some((piece) => piece.clause === clause && piece.kind === 'foreign')
}
