import { ACTIONS_HOUSE_WATER } from '../knowledge/repairs/actions-house-water'
import { ACTIONS_PIT } from '../knowledge/repairs/actions-pit'
import { ACTIONS_SUPPLY } from '../knowledge/repairs/actions-supply'
import { ACTIONS_SURFACE } from '../knowledge/repairs/actions-surface'
import { JOBS } from '../knowledge/repairs/jobs'
import { WELLS, type Part } from '../knowledge/vocabulary'
import { LEADS_SAID } from '../knowledge/said/electrics-said'
import { readUnit } from '../quantity/units'
import { lexicon } from './lexicon'
import { asTyped, playsRole, type Piece } from './phrases'
import { capacitorsHere, type Scene } from './scene'
import { hasOutcome, plainClause } from './clauses'
import type { Doubt, Heard, Other, Said } from './understanding'

/** What a line says besides readings: gates, where the machine stands, what was replaced, wished for, left. */
export function besidesIn(line: string, pieces: readonly Piece[], scene: Scene): Heard {
  const heard: Heard = { said: [], doubts: [] }
  leftIn(line, pieces, heard)
  unreadIn(pieces, heard)
  bearingNumbersIn(pieces, heard)
  gatesIn(line, pieces, scene, heard)
  deadIn(pieces, scene, heard)
  standingIn(pieces, scene, heard)
  partsIn(line, pieces, scene, heard)
  return heard
}

function add(heard: Heard, said: Said): void {
  for (const piece of said.pieces) piece.used = true
  heard.said.push(said)
}

function doubt(heard: Heard, asked: Doubt): void {
  for (const piece of asked.pieces) piece.used = true
  heard.doubts.push(asked)
}

/** The words of a span as they were typed. */
function textOf(line: string, pieces: readonly Piece[]): string {
  const words = pieces.flatMap((piece) => piece.words)
  const start = Math.min(...words.map((word) => word.start))
  const end = Math.max(...words.map((word) => word.end))
  return line.slice(start, end).replace(/^[\s:,;.]+|[\s:,;.]+$/g, '')
}

/** `left: cracked lid`, `foot cracked, left alone`: seen, and not touched. */
function leftIn(line: string, pieces: readonly Piece[], heard: Heard): void {
  const at = pieces.findIndex((piece) => playsRole(piece, 'left') && !playsRole(piece, 'replaced'))
  const left = pieces[at]
  if (!left) return
  const before = pieces.slice(0, at).filter(({ kind }) => kind !== 'silent')
  const bare = left.text === 'left'
  // "on the left" is a side.
  if (bare && pieces[at - 1]?.text === 'the') return
  const leads = before.length === 0
  const unit = before.at(-1)
  const ofFigure =
    unit?.kind === 'number' ||
    (before.at(-2)?.kind === 'number' && unit !== undefined && readUnit(unit.words[0]?.raw ?? '') !== undefined)
  const closes = pieces.slice(at + 1).every(({ kind }) => kind === 'mark' || kind === 'silent')
  if (bare && !(leads && pieces[at + 1]) && !(closes && !ofFigure)) return
  if (leads && left.text !== 'next time') {
    const rest = pieces.slice(at + 1)
    if (rest.length > 0) add(heard, { other: { is: 'left', text: textOf(line, rest) }, pieces: [left, ...rest] })
    return
  }
  // What was left stands in the same clause, or in the one before where this one says no more than that.
  const own = pieces.filter(
    (piece) => piece.clause === left.clause && piece !== left && piece.kind !== 'mark' && piece.kind !== 'silent',
  )
  const telling = own.some(
    (piece) =>
      piece.senses.some(({ is }) => is === 'part' || is === 'outcome' || is === 'place') || piece.kind === 'foreign',
  )
  const subject = telling ? own : pieces.filter((piece) => piece.clause === left.clause - 1 && piece.kind !== 'mark')
  if (subject.length > 0)
    add(heard, { other: { is: 'left', text: textOf(line, subject) }, pieces: [left, ...subject, ...own] })
}

/** `top brg 6204`: a bearing’s number is what it is ordered by, and no reading. ISO 15. */
const BEARING_NUMBER = /^6[0-3]\d{2}$/

function bearingNumbersIn(pieces: readonly Piece[], heard: Heard): void {
  const isNumber = (piece: Piece) => piece.kind === 'number' && BEARING_NUMBER.test(piece.words[0]?.raw ?? '')
  for (const number of pieces.filter(isNumber)) {
    const own = pieces.filter((piece) => piece.clause <= number.clause && !piece.used && piece.kind !== 'mark')
    if (!own.some(({ text }) => /bearing/.test(text))) continue
    add(heard, { pieces: own.some(hasOutcome) ? [number] : own.filter(({ clause }) => clause >= number.clause - 1) })
  }
}

const UNREAD =
  /\b(?:not|never|couldn'?t|cannot|can'?t|didn'?t|wasn'?t) (?:been |be )?(?:measured|checked|read|tested|opened|megged|taken|looked at)\b/i
/** Words that are left of a clause that says no more than that. */
const UNREAD_ONLY = new RegExp(`^${UNREAD.source}(?: up| yet| today| now)*$`, 'i')

/** `cap not measured today`: a thing that nobody read says nothing of it, and neither does its clause. */
function unreadIn(pieces: readonly Piece[], heard: Heard): void {
  const clauseOf = (clause: number) => pieces.filter((piece) => piece.clause === clause && piece.kind !== 'mark')
  for (const clause of new Set(pieces.map((piece) => piece.clause))) {
    const own = clauseOf(clause)
    const words = asTyped(own)
    if (own.some(({ used, kind }) => used && kind !== 'silent') || !UNREAD.test(words)) continue
    const before = UNREAD_ONLY.test(words) ? clauseOf(clause - 1) : []
    const isRead = before.some((piece) => piece.kind === 'number' || hasOutcome(piece) || piece.used)
    add(heard, { pieces: isRead ? own : [...before, ...own] })
  }
}

function gatesIn(line: string, pieces: readonly Piece[], scene: Scene, heard: Heard): void {
  pieces.forEach((piece, at) => {
    if (piece.used) return
    const senses = piece.senses.flatMap((sense) => (sense.is === 'gate' ? [sense] : []))
    const sense = senses[0]
    if (!sense) return
    const short = !piece.text.includes(' ')
    if (short && !plainClause(pieces, at)) return
    const before = pieces[at - 1]
    const denied =
      before !== undefined && before.clause === piece.clause && playsRole(before, 'deny') && before.kind === 'phrase'
    const shut = denied ? !sense.shut : sense.shut
    const next = pieces[at + 1]
    // "not dead short" says nothing of the line.
    if (!sense.shut && next?.clause === piece.clause && next.senses.some(({ is }) => is === 'outcome')) return
    const { gate } = sense
    const all = denied ? [piece, before] : [piece]
    if (gate === 'valves-shut' && shut && !scene.gates.has('power-off') && !scene.gates.has('valves-shut')) {
      // Standing still with the power on, shut valves are a finding; on the way into the machine they are a gate.
      doubt(heard, {
        question: 'Shut by you for the work, or found shut?',
        answers: [
          { label: 'shut for the work', other: [{ is: 'gate', gate, shut }] },
          { label: 'found shut', findings: [{ check: 'valve-position', outcome: 'shut' }] },
        ],
        pieces: all,
      })
      return
    }
    if (gate === 'power-off' && /\bplug\b/.test(piece.text) && scene.kind === 'circulation') {
      // A tank's overflow is plugged while its pump is away: that plug pulled leaves the power on.
      doubt(heard, {
        question: 'Which plug: the cord’s, or the one in the overflow?',
        answers: [
          { label: 'the cord’s', other: [{ is: 'gate', gate, shut }] },
          { label: 'the one in the overflow', note: textOf(line, all) },
        ],
        pieces: all,
      })
      return
    }
    add(heard, { other: { is: 'gate', gate, shut }, pieces: all })
    // The figure that proves a capacitor empty belongs to its gate.
    if (gate === 'discharged' && shut) proofOfDischarge(pieces, at, heard)
  })
}

/** `breaker locked, black dead, red dead`: behind the lock a line that is dead was proved so, each for itself. */
function deadIn(pieces: readonly Piece[], scene: Scene, heard: Heard): void {
  const isOff = heard.said.some(({ other }) => other?.is === 'gate' && other.gate === 'power-off' && other.shut)
  if (!isOff && !scene.gates.has('power-off')) return
  for (const clause of new Set(pieces.map((piece) => piece.clause))) {
    const own = pieces.filter((piece) => piece.clause === clause && piece.kind !== 'mark' && piece.kind !== 'silent')
    const words = own.flatMap((piece) => piece.text.split(' '))
    if (own.some(({ used }) => used) || !words.every((word) => Object.hasOwn(LEADS_SAID, word) || DEAD_WORDS.has(word)))
      continue
    if (words.includes('dead')) add(heard, { other: { is: 'gate', gate: 'proved-dead', shut: true }, pieces: own })
    // The lock, said once more.
    else if (isOff && words.join(' ') === 'locked') add(heard, { pieces: own })
  }
}

/** Words that may stand in a clause that says no more than which line is dead. */
const DEAD_WORDS: ReadonlySet<string> = new Set(['dead', 'locked', 'and', 'both', 'lead', 'line', 'leg', 'wire', 'hot'])

const EMPTY_VOLTS = 10

function proofOfDischarge(pieces: readonly Piece[], at: number, heard: Heard): void {
  for (let index = at + 1; index < pieces.length; index += 1) {
    const piece = pieces[index] as Piece
    if (piece.kind !== 'number') continue
    const unit = pieces[index + 1]
    if (unit?.words[0] === undefined || !/^v(?:olts?)?$/i.test(unit.words[0].text)) return
    const value = piece.words[0]?.value ?? 0
    if (value >= EMPTY_VOLTS) {
      heard.said.pop()
      doubt(heard, {
        question: `${value} V left is not discharged. Bleed it again?`,
        answers: [{ label: 'not discharged yet', other: [{ is: 'gate', gate: 'discharged', shut: false }] }],
        pieces: [pieces[at] as Piece, piece, unit],
      })
      return
    }
    piece.used = true
    unit.used = true
    const rest = pieces[index + 2]
    if (rest && rest.kind === 'phrase') rest.used = true
    return
  }
}

function standingIn(pieces: readonly Piece[], scene: Scene, heard: Heard): void {
  for (const piece of pieces) {
    const sense = piece.used ? undefined : piece.senses.find(({ is }) => is === 'standing')
    if (sense?.is !== 'standing') continue
    // "cable not in box" is none of the machine's.
    if (pieces.some((other) => other.clause === piece.clause && playsRole(other, 'deny'))) continue
    add(
      heard,
      sense.at === scene.standing ? { pieces: [piece] } : { other: { is: 'standing', at: sense.at }, pieces: [piece] },
    )
  }
}

const FITTED_WORDS: ReadonlySet<string> = new Set(['fitted', 'installed', 'put in', 'went in'])

/** `bearings replaced last year`, `wants a new motor`: parts that were changed, or are asked for. */
function partsIn(line: string, pieces: readonly Piece[], scene: Scene, heard: Heard): void {
  if (LISTED.test(line)) {
    listedIn(pieces, scene, heard)
    return
  }
  onlyIn(pieces, scene, heard)
  const clauses = new Set(pieces.map(({ clause }) => clause))
  for (const clause of clauses) {
    const own = pieces.filter((piece) => piece.clause === clause && !piece.used)
    const wish = own.find((piece) => playsRole(piece, 'wish'))
    const past = own.filter((piece) => playsRole(piece, 'past'))
    const fresh = own.filter((piece) => playsRole(piece, 'new'))
    // "cap new last year" was changed then.
    const replaced = own.find((piece) => playsRole(piece, 'replaced')) ?? (past.length > 0 ? fresh[0] : undefined)
    // What is needed has not been done.
    if (!wish && own.some((piece) => playsRole(piece, 'intent'))) continue
    const denied = own.some((piece) => playsRole(piece, 'deny') && piece.text !== 'no')
    const verb = wish ?? replaced
    if (!verb || denied) continue
    // "relief valve not fitted", "30 amp breaker fitted" are no news of a new part.
    if (!wish && FITTED_WORDS.has(verb.text) && fresh.length === 0 && past.length === 0) continue
    const printed = pieces.some((piece) => piece.clause === clause && piece.text === '/')
    if (!wish && !printed && own.some(({ kind }) => kind === 'number')) continue
    const parts = own.flatMap((piece) => partOf(piece, scene).map((part) => ({ piece, part })))
    const used = [verb, ...past, ...fresh, ...parts.map(({ piece }) => piece)]
    if (wish) wished(own, parts, scene, used, heard)
    else if (parts.length > 0) tellReplaced(parts, used, heard)
  }
}

/** `done: gaskets imp seal`: what was renewed before, as a list. */
const LISTED = /^\s*(?:done|already done|already new|renewed|new already)(?: already| before| so far)?\s*:/i

function listedIn(pieces: readonly Piece[], scene: Scene, heard: Heard): void {
  for (const clause of new Set(pieces.map((piece) => piece.clause))) {
    const own = pieces.filter((piece) => piece.clause === clause && !piece.used)
    if (own.some((piece) => playsRole(piece, 'deny') || piece.text.startsWith('not ') || piece.kind === 'number')) {
      // A word of what it is not: heard, and no reading.
      add(heard, { pieces: own })
      continue
    }
    const parts = own.flatMap((piece) =>
      (/^gaskets?$/.test(piece.text) ? (['housing-o-ring'] as const) : partOf(piece, scene)).map((part) => ({
        piece,
        part,
      })),
    )
    tellReplaced(parts, [], heard)
  }
}

/** `motor only, wet end stays`: the part that is to be renewed, as a clause of its own beside what is to stay. */
function onlyIn(pieces: readonly Piece[], scene: Scene, heard: Heard): void {
  const stays = pieces.find(({ text, kind }) => /(?:^| )stays$/.test(text) && kind !== 'mark')
  if (!stays) return
  for (const clause of new Set(pieces.map((piece) => piece.clause))) {
    const own = pieces.filter((piece) => piece.clause === clause && piece.kind !== 'mark' && piece.kind !== 'silent')
    const said = own.map(({ text }) => text).join(' ')
    const part = own[0] && / only$/.test(said) ? partCalled(said.replace(/ only$/, '')) : undefined
    const job = part && jobOfPart(part, scene)
    if (job) add(heard, { other: { is: 'wish', job }, pieces: own })
  }
}

const partCalled = (name: string): Part | undefined =>
  (lexicon().phrases.get(name) ?? []).flatMap((sense) => (sense.is === 'part' ? [sense.part as Part] : []))[0]

function partOf(piece: Piece, scene: Scene): Part[] {
  // "new motor" is one phrase, for its age: the part is in it all the same.
  const plain = piece.text.replace(/^(?:brand )?new /, '')
  const senses = plain === piece.text ? piece.senses : (lexicon().phrases.get(plain) ?? [])
  const sense = senses.find(({ is }) => is === 'part')
  if (sense?.is === 'part') return [sense.part as Part]
  return /^(?:cap|capacitor|can|condenser)$/.test(piece.text) ? capacitorsHere(scene) : []
}

function tellReplaced(parts: readonly { piece: Piece; part: Part }[], used: Piece[], heard: Heard): void {
  const pieces = new Map<Piece, Part[]>()
  for (const { piece, part } of parts) pieces.set(piece, [...(pieces.get(piece) ?? []), part])
  for (const [piece, choices] of pieces) {
    const answers = choices.map((part) => ({
      label: part.replaceAll('-', ' '),
      other: [{ is: 'replaced', part } as Other],
    }))
    if (answers.length > 1) doubt(heard, { question: 'Which one was replaced?', answers, pieces: used })
    else
      add(heard, {
        other: answers[0]?.other[0] as Other,
        pieces: [...used.filter((other) => !pieces.has(other)), piece],
      })
  }
}

const ACTIONS = [...ACTIONS_SURFACE, ...ACTIONS_SUPPLY, ...ACTIONS_HOUSE_WATER, ...ACTIONS_PIT]

/** The job that renews a part on this kind of machine: the one that does least besides. */
function jobOfPart(part: Part, { kind }: Pick<Scene, 'kind'>): string | undefined {
  const fitting = ACTIONS.filter((action) => (action.kinds?.includes(kind) ?? true) && action.parts.includes(part))
  const whole = fitting.find((action) => action.parts[0] === part)
  return (
    (whole ?? [...fitting].sort((a, b) => a.parts.length - b.parts.length)[0])?.id ??
    JOBS.find((job) => job.kinds.includes(kind) && job.parts.includes(part))?.id
  )
}

function wished(
  own: readonly Piece[],
  parts: readonly { piece: Piece; part: Part }[],
  scene: Scene,
  used: Piece[],
  heard: Heard,
): void {
  const named = JOBS.find(
    (job) =>
      job.kinds.includes(scene.kind) &&
      own.some((piece) => piece.text.includes('variable speed')) &&
      job.id === 'variable-speed-motor',
  )
  // "wants both new": of a well set, motor and pump end.
  if (parts.length === 0 && WELLS.includes(scene.kind) && own.some(({ text }) => /\bboth\b/.test(text))) {
    for (const part of ['motor', 'pump-end'] as const) {
      const half = jobOfPart(part, scene)
      if (half) add(heard, { other: { is: 'wish', job: half }, pieces: used })
    }
    return
  }
  const job = named?.id ?? parts.map(({ part }) => jobOfPart(part, scene)).find((id) => id !== undefined)
  if (job) add(heard, { other: { is: 'wish', job }, pieces: used })
}
