import type { Finding } from '../diagnosis/finding'
import { CHECKS, checkInfo, type CheckInfo, outcomeLabel, outcomeVerdict } from '../knowledge/checks/checks'
import { saidOf } from '../knowledge/said/said'
import { LEADS_SAID } from '../knowledge/said/electrics-said'
import { RING_OF_PLACE } from '../knowledge/said/parts-said'
import { PARTS, type Part } from '../knowledge/vocabulary'
import { playsRole, type Piece } from './phrases'
import { capacitorsHere, isHere, type Scene } from './scene'
import type { Needs } from './sense'
import type { Answer, Doubt, Heard, Said } from './understanding'

/** One way to read an outcome’s word: of this check, resting on this thing, or on none. */
interface Candidate {
  check: string
  outcome: string
  needs: Needs
  topic?: Piece
  /** Smaller is nearer and more exact. */
  cost: number
}

const NOUN_COST = { named: 0, part: 0.5, place: 0.4, thing: 0.9 }
const CROSSED_CLAUSE = 4
const BEHIND = 0.5
const FARTHEST = 9

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
      doubts.push({ question: questionOf(own, answers), answers: answers.map(({ answer }) => answer), pieces: used })
  }
  said.push(...missingThings(pieces, scene, new Set(said.flatMap((item) => item.pieces))))
  return settled(said, doubts)
}

/** `no lid o-ring in there`: a part denied is a part that is missing, where a look at it can say so. */
function missingThings(pieces: readonly Piece[], scene: Scene, taken: ReadonlySet<Piece>): Said[] {
  return pieces.flatMap((piece, at): Said[] => {
    if (!playsRole(piece, 'deny') || taken.has(piece) || piece.used || piece.text === 'not') return []
    const thing = pieces.slice(at + 1).find(({ kind }) => kind !== 'silent')
    if (!thing || taken.has(thing) || thing.used || thing.clause !== piece.clause || !plainClause(pieces, at)) return []
    const checks = thing.senses.flatMap((sense) =>
      sense.is === 'check' ? [sense.check] : sense.is === 'part' ? looksOf(sense.part) : [],
    )
    const check = checks.find((id) => isHere(id, scene) && Object.hasOwn(checkInfo(id)?.outcomes ?? {}, 'missing'))
    if (!check) return []
    const part = thing.senses.find(
      (sense) => sense.is === 'part' && checkInfo(check)?.parts?.includes(sense.part as Part),
    )
    return [
      {
        finding: { check, outcome: 'missing', ...(part?.is === 'part' ? { part: part.part } : {}) },
        pieces: [piece, thing],
      },
    ]
  })
}

/** The looks that are about a part. */
function looksOf(part: string): string[] {
  return Object.entries(CHECKS).flatMap(([check, info]: [string, CheckInfo]) =>
    info.outcomes && (info.part === part || info.parts?.includes(part as Part)) ? [check] : [],
  )
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

const hasOutcome = (piece: Piece) => piece.kind === 'phrase' && piece.senses.some(({ is }) => is === 'outcome')

function questionOf(pieces: readonly Piece[], answers: readonly { answer: Answer }[]): string {
  const words = pieces
    .flatMap((piece) => piece.words)
    .sort((a, b) => a.start - b.start)
    .map(({ raw }) => raw)
    .join(' ')
  return answers.length > 1 ? `“${words}”: which is meant?` : `“${words}”: what was seen?`
}

/** The distance in telling words between two pieces, with the clauses they cross. */
function distance(pieces: readonly Piece[], a: number, b: number): number {
  const [from, to] = a < b ? [a, b] : [b, a]
  let cost = 0
  for (let at = from + 1; at < to; at += 1) {
    const piece = pieces[at] as Piece
    if (piece.kind === 'foreign') cost += 1.5
    else if (piece.kind === 'number') cost += 1.5
    else if (piece.kind === 'phrase') cost += hasOutcome(piece) && !isTopicOnly(piece) ? 0.7 : 0.35
  }
  const crossed = Math.abs((pieces[a] as Piece).clause - (pieces[b] as Piece).clause)
  return cost + crossed * CROSSED_CLAUSE
}

const isTopicOnly = (piece: Piece) => piece.senses.some(({ is }) => is === 'check' || is === 'part')

/** How a piece can be the thing that an outcome of this check is said of. Undefined where it cannot. */
function topicCost(piece: Piece, check: string): number | undefined {
  const info = checkInfo(check)
  let best: number | undefined
  const take = (cost: number) => {
    best = best === undefined ? cost : Math.min(best, cost)
  }
  for (const sense of piece.senses) {
    if (sense.is === 'check' && sense.check === check) take(sense.thing ? NOUN_COST.thing : NOUN_COST.named)
    if (sense.is === 'part') {
      if (info?.parts?.includes(sense.part as Part)) take(NOUN_COST.named)
      else if (info?.part === sense.part && !NOT_BY_PART.has(check)) take(NOUN_COST.part)
    }
    if (sense.is === 'place' && (check === 'joint-look' || check === 'air-leak-test')) take(NOUN_COST.place)
    if (sense.is === 'half' && HALVED.has(check)) take(NOUN_COST.part)
  }
  return best
}

/** Checks whose part is too wide to name them: a word for the pump is none for its water. */
const NOT_BY_PART: ReadonlySet<string> = new Set([
  'pit-look',
  'water-look',
  'house-leak',
  'valve-position',
  'pot-look',
  'prime-hold',
  'winding-smell',
  'shaft-turn',
  'shaft-rock',
  'bearing-fit',
  'air-leak-test',
  'thread-look',
  'interlock',
  'motor-fill-look',
  'joint-look',
  'listen',
  'motor-alone-listen',
])
const HALVED: ReadonlySet<string> = new Set(['shaft-turn'])

/** Named, the narrower check is meant: with the wet end off it is the motor alone that is heard. */
const NARROWER: Readonly<Record<string, string>> = { 'motor-alone-listen': 'listen', 'float-bypass': 'listen' }

/**
 * A word that says its check by itself, beside one thing that it cannot be said of: the thing may have been meant.
 */
function contested(pieces: readonly Piece[], at: number, candidates: readonly Candidate[]): boolean {
  const [only] = candidates
  if (!only || only.topic) return false
  const { clause } = pieces[at] as Piece
  if (pieces.filter((piece) => piece.clause === clause && hasOutcome(piece) && !isTopicOnly(piece)).length !== 1)
    return false
  return pieces.some((piece, index) => index !== at && piece.clause === clause && !piece.used && isLookedAt(piece))
}

/** A piece that names a thing with a look of its own. */
const isLookedAt = (piece: Piece) =>
  piece.senses.some((sense) => sense.is === 'check' && !sense.thing && checkInfo(sense.check)?.outcomes !== undefined)

interface Read {
  candidates: Candidate[]
  denial?: Piece
  /** No thing was named: even a single candidate is asked. */
  asked?: boolean
}

/** All readings of one outcome’s word, the likeliest ones only. */
function readOutcome(pieces: readonly Piece[], at: number, scene: Scene): Read | undefined {
  const piece = pieces[at] as Piece
  const senses = piece.senses.flatMap((sense) => (sense.is === 'outcome' ? [sense] : []))
  const pool = senses
  const denial = denialBefore(pieces, at)
  const all: Candidate[] = []
  for (const { check, outcome, needs } of pool) {
    let best: { topic: Piece; cost: number } | undefined
    pieces.forEach((other, index) => {
      if (other.kind !== 'phrase' || index === at) return
      const cost = topicCost(other, check)
      if (cost === undefined) return
      // A word that is an outcome of something nearer is not a thing here.
      const total = cost + distance(pieces, index, at) + (index > at ? BEHIND : 0)
      if (total < FARTHEST && (!best || total < best.cost)) best = { topic: other, cost: total }
    })
    const found = best as { topic: Piece; cost: number } | undefined
    if (
      found &&
      (!checkInfo(check)?.historyOnly ||
        found.topic.senses.some((sense) => sense.is === 'check' && sense.check === check))
    )
      all.push({ check, outcome, needs, topic: found.topic, cost: found.cost })
    else if (checkInfo(check)?.historyOnly) continue
    else if (needs === 'nothing' && !hasForeign(pieces)) all.push({ check, outcome, needs, cost: 1.2 })
    else if (needs !== 'name' || scene.lit?.check === check) {
      if (scene.lit?.check === check && plainClause(pieces, at)) all.push({ check, outcome, needs, cost: 0.6 })
    }
  }
  const here = all.filter(({ check }) => isHere(check, scene))
  const candidates = here.length > 0 ? here : all.filter(({ topic }) => topic !== undefined)
  if (candidates.length === 0) {
    const open = pool.filter(
      ({ needs, check }) => needs === 'topic' && isHere(check, scene) && !checkInfo(check)?.historyOnly,
    )
    // The word says what was seen but not on what: asked, where the rest of the line is plain.
    if (open.length === 0 || !plainClause(pieces, at) || hasForeign(pieces)) return undefined
    return {
      candidates: open.slice(0, 6).map(({ check, outcome, needs }) => ({ check, outcome, needs, cost: 5 })),
      denial,
      asked: denial !== undefined || !onlyOne(pool, scene),
    }
  }
  const narrower = candidates.filter(({ check, topic }) => {
    const wider = NARROWER[check]
    return wider !== undefined && topic !== undefined && candidates.some((other) => other.check === wider)
  })
  if (narrower.length > 0) return { candidates: narrower, denial }
  // A word that says its check by itself is not pulled to another by a far thing.
  const least = Math.min(...candidates.map(({ cost, needs }) => cost - (needs === 'nothing' ? 0.3 : 0)))
  const near = candidates.filter(({ cost, needs }) => cost - (needs === 'nothing' ? 0.3 : 0) <= least + 0.25)
  return { candidates: near, denial }
}

/** A word that, on this machine, says the same of one thing only: `quiet`, `gritty`. */
function onlyOne(senses: readonly { check: string; outcome: string }[], scene: Scene): boolean {
  const here = senses.filter(({ check }) => isHere(check, scene))
  const wider = here.filter(
    ({ check }) => !(NARROWER[check] !== undefined && here.some((other) => other.check === NARROWER[check])),
  )
  return new Set(wider.map(({ check }) => check)).size === 1
}

const hasForeign = (pieces: readonly Piece[]) => pieces.some(({ kind }) => kind === 'foreign')

/** No word in this clause that the tables do not know. */
export function plainClause(pieces: readonly Piece[], at: number): boolean {
  const { clause } = pieces[at] as Piece
  return !pieces.some((piece) => piece.clause === clause && piece.kind === 'foreign')
}

/** A denial before the word, in its clause, that no other word of an outcome stands between. */
function denialBefore(pieces: readonly Piece[], at: number): Piece | undefined {
  const { clause } = pieces[at] as Piece
  for (let index = at - 1; index >= 0; index -= 1) {
    const piece = pieces[index] as Piece
    if (piece.clause !== clause) return undefined
    if (piece.kind === 'phrase' && playsRole(piece, 'deny')) return piece
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
function opposite(check: string, outcome: string): string | undefined {
  const outcomes = Object.keys(checkInfo(check)?.outcomes ?? {})
  const named = saidOf(check).denied?.[outcome]
  if (named) return named
  return outcomes.length === 2 ? outcomes.find((other) => other !== outcome) : undefined
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
  const { check, outcome, topic } = candidate
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
  return `${half}${part ?? checkInfo(finding.check)?.label ?? finding.check}${finding.at ? `, ${finding.at.replace('-', ' ')}` : ''}`
}

const SIDED: ReadonlySet<string> = new Set(['listen', 'motor-alone-listen'])
const PLACED: ReadonlySet<string> = new Set(['joint-look', 'air-leak-test'])

/** Part, place, half and side that belong to this outcome: on the thing itself, or near it. */
function detailsOf(
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
    .filter(({ piece }) => piece === topic || piece.clause === clause || piece === pieces[at])
    .sort((a, b) => Number(b.piece === topic) - Number(a.piece === topic) || a.far - b.far)
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
        (piece === topic || piece.text !== 'motor' || topic === undefined)
      ) {
        if (halfCounts(sense.half, scene, piece)) {
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
  if (check === 'wiring-look' && topic && /bond/.test(topic.text)) fields.part = 'bonding-lug'
  return { fields, pieces: used }
}

/** `motor` is a half where the machine comes apart in two, and the whole machine elsewhere. */
function halfCounts(half: 'motor' | 'pump-end', scene: Scene, piece: Piece): boolean {
  void scene
  return half === 'pump-end' || piece.text.startsWith('motor')
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

const mechanism = ({ check, part, half, at, side, lead }: Finding) => [check, part, half, at, side, lead].join('|')

/**
 * One thing said twice in a line: what agrees is one, the worse of two states stands, a denial beside a plain answer
 * agrees with it, and sound beside failed is asked.
 */
function settled(said: readonly Said[], doubts: readonly Doubt[]): Heard {
  const kept: Said[] = []
  const asked: Doubt[] = []
  const rank = (finding: Finding) => {
    const verdict = outcomeVerdict(finding.check, finding.outcome as string)
    return verdict === 'failed' ? 2 : verdict === 'sound' ? 0 : 1
  }
  for (const item of said) {
    const finding = item.finding as Finding
    const index = kept.findIndex((other) => mechanism(other.finding as Finding) === mechanism(finding))
    const before = kept[index]
    if (!before) kept.push(item)
    else {
      const earlier = before.finding as Finding
      const pieces = [...before.pieces, ...item.pieces]
      if (earlier.outcome === finding.outcome) kept[index] = { finding: earlier, pieces }
      else if (rank(earlier) > 0 && rank(finding) > 0)
        kept[index] = { finding: rank(finding) >= rank(earlier) ? finding : earlier, pieces }
      else {
        kept.splice(index, 1)
        asked.push({
          question: `${checkInfo(finding.check)?.label}: ${outcomeLabel(earlier.outcome as string)} or ${outcomeLabel(finding.outcome as string)}?`,
          answers: [earlier, finding].map((one) => ({ label: outcomeLabel(one.outcome as string), findings: [one] })),
          pieces,
        })
      }
    }
  }
  // A question that an answer elsewhere in the line has settled: "not humming any more, hisses a little".
  const open = doubts.filter((doubt) => {
    const checks = new Set(doubt.answers.flatMap(({ findings }) => (findings ?? []).map(({ check }) => check)))
    const settledBy = kept.find(({ finding }) => {
      if (!finding || !checks.has(finding.check)) return false
      return doubt.answers.some(({ findings }) =>
        findings?.some((one) => one.check === finding.check && one.outcome === finding.outcome),
      )
    })
    if (settledBy) for (const piece of doubt.pieces) piece.used = true
    return !settledBy
  })
  return { said: kept, doubts: [...open, ...asked] }
}
