import type { Finding } from '../diagnosis/finding'
import { checkInfo, outcomeLabel } from '../knowledge/checks/checks'
import { type Part, PARTS } from '../knowledge/vocabulary'
import { missingThings, opposite } from './denials'
import { hasOutcome } from './clauses'
import { type Candidate, contested, readOutcome } from './outcome-candidates'
import { note } from './measuring'
import { detailsOf } from './outcome-details'
import { asTyped, type Piece } from './phrases'
import { capacitorsHere, type Scene } from './scene'
import { settled } from './settled'
import type { Answer, Doubt, Heard, Said } from './understanding'

/** What was seen, felt, heard and smelled: outcomes with the things they are said of. */
export function seenIn(pieces: readonly Piece[], scene: Scene): Heard {
  const said: Said[] = []
  const doubts: Doubt[] = []
  const outcomes = pieces.map((piece, at) => ({ piece, at })).filter(({ piece }) => !piece.used && hasOutcome(piece))
  const asTopics = new Set<Piece>()
  for (const { piece, at } of outcomes) {
    if (asTopics.has(piece) || isPreposition(pieces, at)) continue
    const read = readOutcome(pieces, at, scene)
    if (!read) continue
    const { candidates, denial, asked } = read
    const rests = candidates.flatMap(({ topic }) => (topic ? [topic] : []))
    for (const topic of rests) asTopics.add(topic)
    const own = [piece, ...rests.slice(0, 1), ...(denial ? [denial] : [])]
    const answers = unique(candidates.flatMap((candidate) => answersOf(candidate, pieces, at, denial, scene)))
    const details = answers.flatMap((answer) => answer.pieces)
    const used = [...own, ...details]
    const findings = answers.flatMap(({ answer }) => answer.findings ?? [])
    if (answers.length === 1 && findings.length === 1 && !asked && !contested(pieces, at, candidates))
      said.push({ finding: findings[0] as Finding, pieces: used })
    else if (answers.length > 0)
      doubts.push({
        question: questionOf(own, answers),
        // None of them may be meant.
        answers: [...answers.map(({ answer }) => answer), note(used)],
        pieces: used,
      })
  }
  said.push(...missingThings(pieces, scene, new Set(said.flatMap((item) => item.pieces))))
  return settled(said, doubts)
}

const PREPOSITIONS: ReadonlySet<string> = new Set(['on', 'off', 'up', 'in', 'out', 'to', 'there'])

/** `on` is an answer at the end of what is said, and a preposition before more of it. */
function isPreposition(pieces: readonly Piece[], at: number): boolean {
  const piece = pieces[at] as Piece
  const next = pieces[at + 1]
  return (
    PREPOSITIONS.has(piece.text) &&
    next !== undefined &&
    next.kind !== 'mark' &&
    next.text !== 'and' &&
    next.text !== 'but'
  )
}

function questionOf(pieces: readonly Piece[], answers: readonly { answer: Answer }[]): string {
  const words = asTyped(pieces)
  return answers.length > 1 ? `“${words}”: which is meant?` : `“${words}”: what was seen?`
}

interface Made {
  answer: Answer
  pieces: Piece[]
}

function answersOf(
  candidate: Candidate,
  pieces: readonly Piece[],
  at: number,
  denial: Piece | undefined,
  scene: Scene,
): Made[] {
  const { outcome, topic } = candidate
  // A motor that lies there without its pump is heard alone.
  const check =
    candidate.check === 'listen' && scene.construction === 'motor-bench' ? 'motor-alone-listen' : candidate.check
  const info = checkInfo(check)
  const details = detailsOf(check, pieces, at, topic, scene)
  const make = (result: string, more: Partial<Finding> = {}): Made => {
    const finding: Finding = { check, outcome: result, ...details.fields, ...more }
    return {
      answer: { label: `${aboutLabel(finding)}: ${outcomeLabel(result)}`, findings: [finding] },
      pieces: details.pieces,
    }
  }
  let outcomes = [outcome]
  if (denial) {
    const other = opposite(check, outcome)
    outcomes = other ? [other] : Object.keys(info?.outcomes ?? {}).filter((id) => id !== outcome)
  }
  if (check === 'capacitor-look' && details.fields.part === undefined) {
    const parts = capacitorsHere(scene)
    return outcomes.flatMap((result) => parts.map((part) => make(result, { part })))
  }
  return outcomes.map((result) => make(result))
}

function aboutLabel(finding: Finding): string {
  const part = finding.part && Object.hasOwn(PARTS, finding.part) ? PARTS[finding.part as Part] : undefined
  const half = finding.half && finding.half !== 'whole' ? `${finding.half.replace('-', ' ')}, ` : ''
  const at = finding.at ? `, ${finding.at.replace('-', ' ')}` : ''
  return `${half}${part ?? checkInfo(finding.check)?.label ?? finding.check}${at}`
}

/** The same answer twice is one. */
function unique(made: readonly Made[]): Made[] {
  const seen = new Set<string>()
  return made.filter(({ answer }) => {
    const key = JSON.stringify(answer.findings)
    if (seen.has(key)) return false
    seen.add(key)
    return true
  })
}
