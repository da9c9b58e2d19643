import type { Finding } from '../diagnosis/finding'
import { checkInfo, outcomeLabel } from '../knowledge/checks/checks'
import { saidOf } from '../knowledge/said/said'
import { FAULTS_SAID } from '../knowledge/said/faults-said'
import { PARTS, type Part } from '../knowledge/vocabulary'
import { UNIT_LABELS, type Unit } from '../quantity/units'
import { besidesIn } from './besides'
import { withClearance } from './clearance'
import { clauseComplaints, complaintsIn, labelledComplaint } from './complaints'
import { countsIn } from './counts'
import { measuredIn } from './measured'
import { asTyped, phrasesOf, playsRole, type Piece } from './phrases'
import { weighed } from './plausible'
import { isHere, type Scene } from './scene'
import { seenIn } from './seen'
import type { Answer, Ask, Doubt, Heard, Other, ReadBack, Said, Understanding } from './understanding'
import { wordsOf } from './words'

/** Words of a complaint that says where, and of the shortest that is one beside readings. */
const PLACED_COMPLAINT_WORDS = 4
const SHORT_COMPLAINT_WORDS = 2
const NOTE = /^\s*(?:note|nb|remark)\s*[:\s]\s*/i
/** A comma before three figures: of thousands, or of decimals. */
const THOUSANDS = /(?<![\d.,])[1-9]\d{0,2},\d{3}(?![\d,])/

/**
 * What a line means on this machine, in its state: findings, other things, one question, or a plain note.
 *
 * Pure: the same line in the same scene is always understood the same way. While a question stands nothing is kept.
 *
 * @param line as typed or dictated
 * @param answers the choice made for each question of this line so far, by its key
 */
export function understand(line: string, scene: Scene, answers: Readonly<Record<string, number>> = {}): Understanding {
  const text = line.trim().replace(/\s+/g, ' ')
  const noted = NOTE.exec(text)
  if (noted) return noteOf(text.slice(noted[0].length) || text)
  const thousands = THOUSANDS.exec(text)
  if (thousands) {
    const written = thousands[0]
    const readings = [written.replace(',', '.'), written.replace(',', '')]
    const chosen = answers['comma']
    if (chosen === undefined || !readings[chosen])
      return asking(
        { key: 'comma', question: `${written}: which figure is it?`, choices: readings.map((label) => ({ label })) },
        [],
      )
    return understand(text.replace(written, readings[chosen]), scene, answers)
  }
  const pieces = countsIn(phrasesOf(wordsOf(text)))
  const heard = heardIn(text, pieces, scene)
  const understood = ofWhatIsLit(answered(text, pieces, heard, answers), pieces, scene)
  return isSuspicion(text) && !isPlainFinding(understood) ? noteOf(text) : understood
}

/**
 * Where a new part is to be read, a bare figure is the new one’s, and a named one too once the old one has been read:
 * until then it may well be the old one, on the same bench.
 */
function ofWhatIsLit(understood: Understanding, words: readonly Piece[], { lit, findings = [] }: Scene): Understanding {
  if (lit?.of !== 'new') return understood
  const isOwn = ({ check, part, of }: Finding) => check === lit.check && part === lit.part && of !== 'new'
  const isBare = !words.some((piece) => piece.senses.some(({ is }) => is === 'check' || is === 'part'))
  if (!isBare && !findings.some(isOwn)) return understood
  const isIts = ({ check, of, ageState }: Finding) => check === lit.check && of === undefined && ageState !== 'used'
  const its = (finding: Finding): Finding => (isIts(finding) ? { ...finding, of: 'new' } : finding)
  return {
    ...understood,
    findings: understood.findings.map(its),
    pieces: understood.pieces.map((piece) => (piece.finding ? { ...piece, finding: its(piece.finding) } : piece)),
  }
}

/** The program’s own name of a fault, typed as it stands: where it is no plain finding too, it is a suspicion. */
const isSuspicion = (text: string) => Object.values(FAULTS_SAID).flat().includes(text.toLowerCase())
const isPlainFinding = ({ findings, other, ask, left }: Understanding) =>
  findings.length > 0 && other.length === 0 && ask === null && left.length === 0

function noteOf(note: string): Understanding {
  return { findings: [], other: [], ask: null, note, pieces: [], left: [] }
}

function asking(ask: Ask, pieces: ReadBack[]): Understanding {
  return { findings: [], other: [], ask, note: null, pieces, left: [] }
}

const use = (pieces: readonly Piece[]) => pieces.forEach((piece) => (piece.used = true))

/** The steps in their order: what each uses is not there for the next. */
function heardIn(text: string, pieces: readonly Piece[], scene: Scene): Heard {
  const labelled = labelledComplaint(text, pieces, scene)
  if (labelled) return labelled
  const reported = complaintsIn(text, pieces, scene)
  if (reported) return reported
  // "no water at taps" names its place: no answer to what is lit.
  const told = clauseComplaints(pieces, scene, PLACED_COMPLAINT_WORDS)
  const besides = besidesIn(text, pieces, scene)
  const open = pieces.map((piece) =>
    piece.used && piece.kind !== 'mark' ? { ...piece, senses: [], kind: 'silent' as const } : piece,
  )
  const measured = measuredIn(open, scene)
  markUsed(measured)
  const seen = withClearance(seenIn(open, scene), open, measured.clearance)
  markUsed(seen)
  open.forEach((piece, at) => {
    const original = pieces[at] as Piece
    if (piece.used) original.used = true
  })
  const said: Said[] = [...told, ...besides.said]
  const doubts: Doubt[] = [...besides.doubts, ...measured.doubts, ...seen.doubts]
  for (const item of [...measured.said, ...seen.said.filter((each) => !wipedAway(open, each))]) {
    const judged = past(open, item) ?? weighed(item, scene)
    if ('question' in judged) doubts.push(judged)
    else said.push(judged)
  }
  ratedFlow(said, doubts)
  said.push(...clauseComplaints(open, scene, SHORT_COMPLAINT_WORDS))
  if (said.length === 0 && doubts.length === 0) return fallback(text, pieces, scene)
  doubts.push(...droppedDenials(open, scene))
  return { said: distinctOthers(said), doubts }
}

/** `3/4 hp, 10 gpm`: beside what a plate says, a flow may be what is printed there. */
function ratedFlow(said: Said[], doubts: Doubt[]): void {
  const rated = said.some(({ other }) => other?.is === 'plate' && other.field === 'horsepower')
  const at = rated ? said.findIndex(({ finding }) => finding?.check === 'flow') : -1
  const flow = said[at]
  if (!flow?.finding) return
  said.splice(at, 1)
  doubts.push({
    question: `${asTyped(flow.pieces)}: measured, or what it is made for?`,
    answers: [
      { label: 'measured', findings: [flow.finding] },
      { label: 'what it is made for', note: asTyped(flow.pieces) },
    ],
    pieces: flow.pieces,
  })
}

function markUsed(heard: Heard): void {
  for (const item of [...heard.said, ...heard.doubts]) use(item.pieces)
}

function distinctOthers(said: readonly Said[]): Said[] {
  const seen = new Set<string>()
  return said.filter(({ other }) => {
    if (!other) return true
    const key = JSON.stringify(other)
    if (seen.has(key)) return false
    seen.add(key)
    return true
  })
}

/** `wet was hose spill, wiped`: what was wiped away was no leak. */
function wipedAway(pieces: readonly Piece[], { finding, pieces: own }: Said): boolean {
  const wiped = pieces.find(({ words }) => words.some(({ text }) => text === 'wiped'))
  return finding?.outcome === 'dripping' && wiped !== undefined && own.every(({ clause }) => clause < wiped.clause)
}

/** What was read last year is no reading of today. */
function past(pieces: readonly Piece[], item: Said): Doubt | undefined {
  const { finding } = item
  if (!finding) return undefined
  const clauses = new Set(item.pieces.map(({ clause }) => clause))
  const then = pieces.find((piece) => clauses.has(piece.clause) && playsRole(piece, 'past'))
  if (!then) return undefined
  return {
    question: `Read now, or ${then.text}?`,
    answers: [
      { label: 'read now', findings: [finding] },
      { label: 'only a note', note: asTyped([...item.pieces, then]) },
    ],
    pieces: [...item.pieces, then],
  }
}

/** Nothing was understood as a reading: a complaint, a thing without its answer, a fault’s name, or a note. */
function fallback(text: string, pieces: readonly Piece[], scene: Scene): Heard {
  const nothing: Heard = { said: [], doubts: [] }
  const complaint = complaintsIn(text, pieces, scene, true)
  if (complaint) return complaint
  const foreign = pieces.filter(({ kind }) => kind === 'foreign')
  const counted = pieces.some(({ kind, words }) => kind === 'silent' && words[0]?.kind === 'number')
  if (foreign.length > 0 || counted) return nothing
  const lit = scene.lit ? checkInfo(scene.lit.check) : undefined
  // A yes or a no answers what is lit; beside a thing that is named it is said of that.
  const named = pieces.some(
    (piece) => isCan(piece) || piece.senses.some(({ is }) => is === 'part' || is === 'place' || is === 'half'),
  )
  if (
    scene.lit &&
    lit?.outcomes &&
    !named &&
    pieces.some((piece) => playsRole(piece, 'yes') || playsRole(piece, 'deny'))
  )
    return { said: [], doubts: [whatWasSeen(scene.lit.check, pieces)] }
  // "old motor bad" says it of the motor, and nothing that can be looked at.
  const ofMotor = pieces.some(({ text }) => /^(?:old|used|new) motor$/.test(text))
  const vague = pieces.flatMap((piece) =>
    piece.senses.flatMap((sense) => (sense.is === 'vague' && !ofMotor ? [sense.check] : [])),
  )
  const namedChecks = pieces.flatMap((piece) =>
    piece.senses.flatMap((sense) =>
      sense.is === 'check' && !sense.thing ? [sense.check] : sense.is === 'part' ? checksOfPart(sense.part) : [],
    ),
  )
  const seen = pieces.flatMap((piece) =>
    piece.senses.flatMap((sense) =>
      sense.is === 'outcome' && !named && !(['plain', 'low', 'high'] as const).some((role) => playsRole(piece, role))
        ? [sense.check]
        : [],
    ),
  )
  const checks = [...new Set(vague.length + namedChecks.length > 0 ? [...vague, ...namedChecks] : seen)].filter(
    (check) => isHere(check, scene),
  )
  const [only] = checks
  if (!only) return loneThing(text, pieces)
  if (checks.length === 1) return { said: [], doubts: [whatWasSeen(only, pieces)] }
  return {
    said: [],
    doubts: [
      {
        question: `${text}: what was read?`,
        answers: [
          ...checks
            .slice(0, 8)
            .map((check) => ({ label: checkInfo(check)?.label ?? check, begins: `${saidOf(check).names[0]} ` })),
          { label: 'only a note', note: text },
        ],
        pieces: pieces.filter(({ kind }) => kind === 'phrase'),
      },
    ],
  }
}

const isCan = ({ text }: Piece) => /^(?:cap|can|capacitor|condenser)$/.test(text)

/** A part and nothing else said: what of it? */
function loneThing(text: string, pieces: readonly Piece[]): Heard {
  const telling = pieces.filter(({ kind }) => kind === 'phrase' || kind === 'number')
  const sense = telling[0]?.senses.find(({ is }) => is === 'part')
  if (telling.length !== 1 || sense?.is !== 'part') return { said: [], doubts: [] }
  const part = sense.part as Part
  return {
    said: [],
    doubts: [
      {
        question: `${PARTS[part]}: what of it?`,
        answers: [
          { label: 'replaced before', other: [{ is: 'replaced', part }] },
          { label: 'seen and left', other: [{ is: 'left', text }] },
          { label: 'only a note', note: text },
        ],
        pieces: telling,
      },
    ],
  }
}

function checksOfPart(part: string): string[] {
  return part === 'run-capacitor' || part === 'start-capacitor' ? ['capacitance', 'capacitor-look'] : []
}

function whatWasSeen(check: string, pieces: readonly Piece[]): Doubt {
  const info = checkInfo(check)
  const answers: Answer[] = Object.keys(info?.outcomes ?? {}).map((outcome) => ({
    label: outcomeLabel(outcome),
    findings: [{ check, outcome }],
  }))
  const unit = info?.unit ? UNIT_LABELS[info.unit as Unit] : undefined
  return {
    question: unit ? `${info?.label}: how many ${unit}?` : `${info?.label}: what was found?`,
    answers: [
      ...answers,
      ...(unit ? [{ label: `… ${unit}`, begins: `${saidOf(check).names[0]} ` }] : []),
      { label: 'only a note', note: asTyped(pieces) },
    ],
    pieces: pieces.filter(({ kind }) => kind === 'phrase'),
  }
}

/** Questions answered so far are applied; the first that is not stands. */
function answered(
  text: string,
  pieces: readonly Piece[],
  heard: Heard,
  answers: Readonly<Record<string, number>>,
): Understanding {
  const findings: Finding[] = heard.said.flatMap(({ finding }) => (finding ? [finding] : []))
  const other: Other[] = heard.said.flatMap((item) => (item.other ? [item.other] : []))
  const notes: string[] = []
  let ask: Ask | null = null
  for (const doubt of heard.doubts) {
    use(doubt.pieces)
    const key = keyOf(doubt)
    const chosen = answers[key] === undefined ? undefined : doubt.answers[answers[key]]
    if (!chosen) {
      ask ??= { key, question: doubt.question, choices: doubt.answers }
      continue
    }
    findings.push(...(chosen.findings ?? []))
    other.push(...(chosen.other ?? []))
    if (chosen.note) notes.push(chosen.note)
  }
  const read = readBack(text, heard, answers)
  if (ask) return { ...asking(ask, read), left: leftOver(pieces) }
  const empty = findings.length === 0 && other.length === 0
  return {
    findings,
    other,
    ask: null,
    note: notes.length > 0 ? notes.join('; ') : empty ? text : null,
    pieces: read,
    left: empty ? [] : leftOver(pieces),
  }
}

/** A question is known by the words it is about, so that an answer stays with it while the line grows. */
function keyOf(doubt: Doubt): string {
  return `${doubt.question}|${doubt.pieces.map(({ text }) => text).join(' ')}`
}

/** Words that were not used and are not plain: foreign ones, figures, states of which nothing was found. */
function leftOver(pieces: readonly Piece[]): string[] {
  const tells = (piece: Piece) =>
    !playsRole(piece, 'plain') && piece.senses.some(({ is }) => is === 'outcome' || is === 'gate' || is === 'plate')
  return pieces
    .filter((piece) => !piece.used && (piece.kind === 'foreign' || piece.kind === 'number' || tells(piece)))
    .map((piece) => piece.words.map(({ raw }) => raw).join(' '))
}

/** A denial beside a thing that can be looked at, of which nothing was understood: asked, never dropped. */
function droppedDenials(pieces: readonly Piece[], scene: Scene): Doubt[] {
  return pieces.flatMap((piece): Doubt[] => {
    if (piece.used || !(playsRole(piece, 'deny') || piece.text.startsWith('not '))) return []
    const clause = pieces.filter((other) => other.clause === piece.clause)
    if (clause.some((other) => other.kind === 'foreign' || (other.used && other.kind === 'phrase'))) return []
    const checks = clause.flatMap((other) =>
      other.senses.flatMap((sense) =>
        sense.is === 'check' && !sense.thing && isHere(sense.check, scene) ? [sense.check] : [],
      ),
    )
    const check = checks.find((id) => checkInfo(id)?.outcomes !== undefined)
    return check ? [whatWasSeen(check, clause)] : []
  })
}

function readBack(text: string, heard: Heard, answers: Readonly<Record<string, number>>): ReadBack[] {
  const span = (pieces: readonly Piece[]) => {
    const words = pieces.flatMap((piece) => piece.words)
    const start = Math.min(...words.map((word) => word.start))
    const end = Math.max(...words.map((word) => word.end))
    return { start, end, text: text.slice(start, end) }
  }
  const said = heard.said
    .filter((item) => item.pieces.length > 0 && (item.finding || item.other))
    .map((item) => ({ ...span(item.pieces), finding: item.finding, other: item.other }))
  const doubts = heard.doubts
    .filter((doubt) => doubt.pieces.length > 0)
    .flatMap((doubt): ReadBack[] => {
      const chosen = doubt.answers[answers[keyOf(doubt)] ?? -1]
      if (!chosen) return [{ ...span(doubt.pieces), doubt: true }]
      return [
        ...(chosen.findings ?? []).map((finding) => ({ ...span(doubt.pieces), finding })),
        ...(chosen.other ?? []).map((other) => ({ ...span(doubt.pieces), other })),
      ]
    })
  return [...said, ...doubts].sort((a, b) => a.start - b.start)
}
