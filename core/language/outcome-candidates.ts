import { hasForeign, hasOutcome, isLeads, isTopicOnly, plainClause } from './clauses'
import { TRIALS } from '../knowledge/checks/trials'
import { lexicon } from './lexicon'
import { nearWords } from './slips'
import { checkInfo, CHECKS, type CheckInfo } from '../knowledge/checks/checks'
import type { Part } from '../knowledge/vocabulary'
import { denialBefore } from './denials'
import { type Piece, playsRole } from './phrases'
import { isHere, type Scene } from './scene'
import type { Needs } from './sense'

/** One way to read an outcome’s word: of this check, resting on this thing, or on none. */
export interface Candidate {
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

/** The distance in telling words between two pieces, with the clauses they cross. */
export function distance(pieces: readonly Piece[], a: number, b: number): number {
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

const costsOf = new WeakMap<Piece['senses'], ReadonlyMap<string, number>>()

/**
 * The checks whose outcomes can be said of a piece, each with how indirect that is. Phrases share their senses, so that
 * it is worked out once for each phrase.
 */
function topicCosts({ senses }: Piece): ReadonlyMap<string, number> {
  const known = costsOf.get(senses)
  if (known) return known
  const costs = new Map<string, number>()
  const take = (check: string, cost: number) => costs.set(check, Math.min(costs.get(check) ?? Infinity, cost))
  for (const sense of senses) {
    if (sense.is === 'check') take(sense.check, sense.thing ? NOUN_COST.thing : NOUN_COST.named)
    if (sense.is === 'part')
      for (const [check, info] of Object.entries<CheckInfo>(CHECKS)) {
        if (info.parts?.includes(sense.part as Part)) take(check, NOUN_COST.named)
        else if (info.part === sense.part && !NOT_BY_PART.has(check)) take(check, NOUN_COST.part)
      }
    if (sense.is === 'place') for (const check of PLACED) take(check, NOUN_COST.place)
    if (sense.is === 'half') for (const check of HALVED) take(check, NOUN_COST.part)
  }
  costsOf.set(senses, costs)
  return costs
}

const PLACED: readonly string[] = ['joint-look', 'air-leak-test']

/** Checks whose part is too wide to name them: a word for the pump is none for its water. */
const NOT_BY_PART: ReadonlySet<string> = new Set([
  ...Object.keys(TRIALS),
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

export const HALVED: ReadonlySet<string> = new Set(['shaft-turn'])

/** Named, the narrower check is meant: with the wet end off it is the motor alone that is heard. */
const NARROWER: Readonly<Record<string, string>> = { 'motor-alone-listen': 'listen', 'float-bypass': 'listen' }

/**
 * A word that says its check by itself, beside one thing that it cannot be said of: the thing may have been meant.
 */
export function contested(pieces: readonly Piece[], at: number, candidates: readonly Candidate[]): boolean {
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

/** The machine itself is a thing of every clause. */
const WHOLE: ReadonlySet<string> = new Set(['pump', 'motor'])

const isPumpEnd = ({ senses }: Piece) => senses.some((sense) => sense.is === 'half' && sense.half === 'pump-end')

/**
 * A plain clause answers what is lit. Beside a finding in another clause a word that wants its name does not: `hums,
 * jammed` is said of the pump, whatever is lit. Nor does what is said of a new part: `old bearing rocks, new tight`.
 */
const answersLit = (pieces: readonly Piece[], at: number, needs: Needs) => {
  const clause = pieces[at]?.clause
  const beside = pieces.some((other) => other.clause !== clause && hasOutcome(other))
  const ofNew = pieces.some((other) => other.clause === clause && playsRole(other, 'new'))
  return plainClause(pieces, at) && !(beside && (needs === 'name' || ofNew))
}

/** `leads sound` is no answer to a look at something else. */
const saidOfLeads = (pieces: readonly Piece[], piece: Piece, check: string) =>
  checkInfo(check)?.tool?.includes('meter') !== true &&
  pieces.some((other) => other.clause === piece.clause && isLeads(other))

interface Read {
  candidates: Candidate[]
  denial?: Piece
  /** No thing was named: even a single candidate is asked. */
  asked?: boolean
}

/** All readings of one outcome’s word, the likeliest ones only. */
export function readOutcome(pieces: readonly Piece[], at: number, scene: Scene): Read | undefined {
  const piece = pieces[at] as Piece
  const senses = piece.senses.flatMap((sense) => (sense.is === 'outcome' ? [sense] : []))
  const pool = senses
  const denial = denialBefore(pieces, at)
  // What a clause has a thing for, or that is a thing itself, is not said of the thing in another.
  const reaches =
    !isTopicOnly(piece) &&
    !pieces.some(
      (other) =>
        other !== piece && other.clause === piece.clause && isTopicOnly(other) && !WHOLE.has(other.text) && !other.used,
    )
  const all: Candidate[] = []
  for (const { check, outcome, needs } of pool) {
    let best: { topic: Piece; cost: number } | undefined
    pieces.forEach((other, index) => {
      if (other.kind !== 'phrase' || index === at || (other.clause !== piece.clause && !reaches)) return
      const cost = topicCosts(other).get(check)
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
    else if (scene.lit?.check === check && answersLit(pieces, at, needs) && !saidOfLeads(pieces, piece, check))
      all.push({ check, outcome, needs, cost: 0.6 })
  }
  const possible = all.filter(({ check }) => isHere(check, scene))
  const named = possible.length > 0 ? possible : all.filter(({ topic }) => topic !== undefined)
  // The pump end is turned by hand: a trial under power is one of the whole.
  const byHand = named.some(({ check, topic }) => HALVED.has(check) && topic && isPumpEnd(topic))
  const candidates = byHand ? named.filter(({ check }) => !Object.hasOwn(TRIALS, check)) : named
  if (candidates.length === 0) {
    const rest = withoutItsDenial(pieces, at, scene)
    if (rest) return rest
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
    return (
      wider !== undefined &&
      topic !== undefined &&
      candidates.some((other) => other.check === wider && (topic.clause === piece.clause || !other.topic))
    )
  })
  if (narrower.length > 0)
    return {
      candidates: narrower,
      denial,
      asked: besideSlip(pieces, at, narrower) || partedByStranger(pieces, at, narrower),
    }
  // A word that says its check by itself is not pulled to another by a far thing.
  const least = Math.min(...candidates.map(({ cost, needs }) => cost - (needs === 'nothing' ? 0.3 : 0)))
  const close = candidates.filter(({ cost, needs }) => cost - (needs === 'nothing' ? 0.3 : 0) <= least + 0.25)
  // What is named beside the word is meant, and not what is lit.
  const beside = close.filter(({ topic }) => topic?.clause === piece.clause)
  const near =
    beside.length > 0 ? close.filter(({ topic, needs }) => topic !== undefined || needs === 'nothing') : close
  return { candidates: near, denial, asked: besideSlip(pieces, at, near) || partedByStranger(pieces, at, near) }
}

/**
 * A word that nobody knows, but that is near to one of ours, right beside the thing or its state: `seal plae worn` may
 * be the seal, or its plate.
 */
function besideSlip(pieces: readonly Piece[], at: number, candidates: readonly Candidate[]): boolean {
  const spots = [at, ...candidates.flatMap(({ topic }) => (topic ? [pieces.indexOf(topic)] : []))]
  return spots.some((spot) =>
    [beside(pieces, spot, -1), beside(pieces, spot, 1)].some(
      (piece) =>
        piece?.kind === 'foreign' &&
        piece.clause === pieces[spot]?.clause &&
        nearWords(piece.text, lexicon().slips).length > 0,
    ),
  )
}

/** `wire fence loose`: a word that nobody knows between the thing and its state may be another thing. */
function partedByStranger(pieces: readonly Piece[], at: number, candidates: readonly Candidate[]): boolean {
  const [only] = candidates
  if (!only?.topic) return false
  const spot = pieces.indexOf(only.topic)
  const [from, to] = spot < at ? [spot, at] : [at, spot]
  return pieces.slice(from + 1, to).some(({ kind, text }) => kind === 'foreign' && !text.endsWith('ly'))
}

/** The next piece that carries something. */
function beside(pieces: readonly Piece[], at: number, step: 1 | -1): Piece | undefined {
  let index = at + step
  while (pieces[index]?.kind === 'silent' || pieces[index]?.kind === 'number') index += step
  return pieces[index]
}

/** `not open` is said of contacts; of a valve it is `open`, denied. */
function withoutItsDenial(pieces: readonly Piece[], at: number, scene: Scene): Read | undefined {
  const piece = pieces[at] as Piece
  const text = piece.text.replace(/^not /, '')
  const senses = text === piece.text ? undefined : lexicon().phrases.get(text)
  if (!senses?.some(({ is }) => is === 'outcome')) return undefined
  const read = readOutcome(
    pieces.map((each) => (each === piece ? { ...piece, text, senses } : each)),
    at,
    scene,
  )
  const named = read?.candidates.filter(({ topic }) => topic !== undefined) ?? []
  return named.length > 0 ? { candidates: named, denial: read?.denial ? undefined : piece } : undefined
}

/** A word that, on this machine, says the same of one thing only: `quiet`, `gritty`. */
function onlyOne(senses: readonly { check: string; outcome: string }[], scene: Scene): boolean {
  const here = senses.filter(({ check }) => isHere(check, scene))
  const wider = here.filter(
    ({ check }) => !(NARROWER[check] !== undefined && here.some((other) => other.check === NARROWER[check])),
  )
  return new Set(wider.map(({ check }) => check)).size === 1
}
