import { checkInfo, type CheckInfo, CHECKS } from '../knowledge/checks/checks'
import { saidOf } from '../knowledge/said/said'
import type { Part } from '../knowledge/vocabulary'
import { hasOutcome, isTopicOnly, plainClause } from './clauses'
import { type Piece, playsRole } from './phrases'
import { isHere, type Scene } from './scene'
import type { Said } from './understanding'

/** `no lid o-ring in there`: a part denied is a part that is missing, where a look at it can say so. */
export function missingThings(pieces: readonly Piece[], scene: Scene, taken: ReadonlySet<Piece>): Said[] {
  return pieces.flatMap((piece, at): Said[] => {
    if (!playsRole(piece, 'deny') || taken.has(piece) || piece.used || piece.text === 'not') return []
    const thing = pieces.slice(at + 1).find(({ kind }) => kind !== 'silent')
    if (!thing || taken.has(thing) || thing.used || thing.clause !== piece.clause || !plainClause(pieces, at)) return []
    const checks = thing.senses.flatMap((sense) =>
      sense.is === 'check' ? [sense.check] : sense.is === 'part' ? looksOf(sense.part) : [],
    )
    const check = checks.find((id) => isHere(id, scene) && absenceOf(id) !== undefined)
    if (!check) return []
    const outcome = absenceOf(check ?? '')
    const part = thing.senses.find(
      (sense) => sense.is === 'part' && checkInfo(check)?.parts?.includes(sense.part as Part),
    )
    return [
      { finding: { check, outcome, ...(part?.is === 'part' ? { part: part.part } : {}) }, pieces: [piece, thing] },
    ]
  })
}

/** The outcome that says of a thing that there is none of it. */
const absenceOf = (check: string) =>
  ['missing', 'none'].find((outcome) => Object.hasOwn(checkInfo(check)?.outcomes ?? {}, outcome))

/** The looks that are about a part. */
function looksOf(part: string): string[] {
  return Object.entries(CHECKS).flatMap(([check, info]: [string, CheckInfo]) =>
    info.outcomes && (info.part === part || info.parts?.includes(part as Part)) ? [check] : [],
  )
}

/** A phrase that begins with its own denial (`not tight`) denies what follows, unless both are said of one check. */
function deniesAll(piece: Piece, next: Piece): boolean {
  const checksOf = (each: Piece) => each.senses.flatMap((sense) => (sense.is === 'outcome' ? [sense.check] : []))
  const own = checksOf(next)
  return piece.text.startsWith('not ') && !checksOf(piece).some((check) => own.includes(check))
}

/** A denial before the word, in its clause, that no other word of an outcome stands between. */
export function denialBefore(pieces: readonly Piece[], at: number): Piece | undefined {
  const { clause } = pieces[at] as Piece
  for (let index = at - 1; index >= 0; index -= 1) {
    const piece = pieces[index] as Piece
    if (piece.clause !== clause) return undefined
    if (
      piece.kind === 'phrase' &&
      (playsRole(piece, 'deny') || (index === at - 1 && deniesAll(piece, pieces[at] as Piece)))
    )
      return piece
    if (piece.kind === 'phrase' && (piece.text === 'but' || piece.text === 'and')) return undefined
    if (piece.kind === 'number') return undefined
    if (hasOutcome(piece) && !isTopicOnly(piece)) {
      // "no hum or buzz": one denial for both.
      const joint = pieces[index + 1]
      if (joint?.text !== 'or') return undefined
    }
  }
  return undefined
}

/** What a denied outcome means, or undefined where several are left. */
export function opposite(check: string, outcome: string): string | undefined {
  const outcomes = Object.keys(checkInfo(check)?.outcomes ?? {})
  const named = saidOf(check).denied?.[outcome]
  if (named) return named
  return outcomes.length === 2 ? outcomes.find((other) => other !== outcome) : undefined
}
