import { aligned } from './align'
import { detailsNear } from './details'
import { type Clearance, guestsNear, guestsOf, MILLIMETRES_PER_INCH } from './guests'
import { type Guest, type Measuring, note, one, unitOf } from './measuring'
import { overRange, zeroVolts } from './over-range'
import { type Piece, playsRole } from './phrases'
import { amperesOrVolts, plate, printed } from './plate-readings'
import { canonical, fits, quantitiesOf, type Quantity, written } from './quantities'
import { answersFor, orphan } from './reading-answers'
import type { Scene } from './scene'
import { besideHorsepower, canPrint, preferNarrower, selector, underLoad } from './special-readings'
import { type Topic, topicsOf } from './topics'
import type { Answer, Heard } from './understanding'

const FRAMES: ReadonlySet<number> = new Set([42, 48, 56])
const FRAME_LETTERS = /^(?:c|cz|h|j|n|y|z)$/

/** The readings of a line: each figure with what it is the reading of, or a question. */
export function measuredIn(pieces: readonly Piece[], scene: Scene): Heard & { clearance?: Clearance } {
  const figures = quantitiesOf(pieces)
  const topics = topicsOf(pieces, figures)
  const quantities = [
    ...figures,
    ...overRange(pieces, topics, figures, scene),
    ...zeroVolts(pieces, topics, figures),
  ].sort((a, b) => a.at - b.at)
  const m: Measuring = { pieces, topics, quantities, given: [], scene, said: [], doubts: [] }
  selector(m)
  canPrint(m)
  besideHorsepower(m)
  underLoad(m)
  const read = m.quantities.filter(({ role }) => role === 'read')
  const givenRead = aligned(pieces, topics, read)
  m.given = m.quantities.map((quantity) => givenRead[read.indexOf(quantity)])
  preferNarrower(m)
  const guests = guestsOf(m)
  m.quantities.forEach((quantity, index) => {
    if (guests.has(quantity)) return
    readOne(m, quantity, m.given[index], guests)
  })
  const clearance = m.quantities.find((quantity) => guests.get(quantity) === 'clearance')
  return {
    said: m.said,
    doubts: m.doubts,
    ...(clearance
      ? {
          clearance: {
            millimetres: MILLIMETRES_PER_INCH * (canonical(clearance, 'in') ?? 0),
            pieces: clearance.pieces,
          },
        }
      : {}),
  }
}

function readOne(m: Measuring, quantity: Quantity, topic: Topic | undefined, guests: Map<Quantity, Guest>): void {
  const pieces = [...(topic?.pieces ?? []), ...quantity.pieces]
  if (isFrame(m, quantity)) {
    plate(m, 'frame', quantity, pieces)
    return
  }
  if (quantity.plate && (!topic || topic.plate === quantity.plate)) {
    plate(m, quantity.plate, quantity, pieces)
    return
  }
  if (topic?.plate) {
    plate(m, topic.plate === 'amps' ? amperesOrVolts(quantity, m) : topic.plate, quantity, pieces)
    return
  }
  if (isPlateCurrent(m, quantity, topic)) {
    plate(m, 'fullLoadAmps', quantity, pieces)
    return
  }
  if (quantity.role !== 'read') {
    printed(m, quantity, topic, pieces)
    return
  }
  if (denied(m, quantity)) {
    m.doubts.push({ question: `Not ${written(quantity)}: what then?`, answers: [note(pieces)], pieces })
    return
  }
  const details = detailsNear(m.pieces, quantity, guestsNear(m, quantity, guests))
  const answers = answersFor(m, quantity, topic, details.fields)
  const all = [...pieces, ...details.pieces]
  if (answers === undefined) return
  if (answers.length === 0) {
    orphan(m, quantity, topic, all)
    return
  }
  withCurrent(m, quantity, topic, answers)
  const hedge = quantity.hedge
  const kept = answers.map((answer) => ({
    ...answer,
    findings: answer.findings?.map((finding) => (hedge ? { ...finding, hedge } : finding)),
  }))
  if (quantity.said && !m.scene.gates.has('power-off')) {
    // Dead to a lamp is not dead to a meter: only what was measured is kept.
    const measured = kept.map((answer) => ({ ...answer, label: `${answer.label} measured, 0 V` }))
    m.doubts.push({ question: `“${written(quantity)}”: measured?`, answers: [...measured, note(all)], pieces: all })
    return
  }
  one(m, all, `${written(quantity)} of what?`, kept)
}

/** `plate: 2 hp, 10.2 amps`: what follows a horsepower that is read off the plate is printed there too. */
function isPlateCurrent({ pieces, quantities }: Measuring, quantity: Quantity, topic: Topic | undefined): boolean {
  const named = topic && !topic.pieces.every((piece) => quantity.pieces.includes(piece))
  const power = quantities.find(({ plate: field }) => field === 'horsepower')
  const before = pieces.slice(0, quantity.at)
  return (
    !named &&
    quantity.role === 'read' &&
    unitOf(quantity) === 'A' &&
    power !== undefined &&
    power.at < quantity.at &&
    before.some((piece) => playsRole(piece, 'plate')) &&
    !pieces.some((piece) => playsRole(piece, 'measured'))
  )
}

/** `56Y 1.5hp`: a frame of NEMA MG 1 with its letter, beside what else a plate says. */
function isFrame({ pieces, quantities }: Measuring, quantity: Quantity): boolean {
  const letter = pieces[quantity.at + 1]?.words[0]
  return (
    FRAMES.has(quantity.value ?? 0) &&
    letter?.glued === true &&
    FRAME_LETTERS.test(letter.text) &&
    quantities.some((other) => other.plate === 'horsepower')
  )
}

/** `234 v 6.6 a`: volts that are read beside the current are those under load. */
function withCurrent(m: Measuring, quantity: Quantity, topic: Topic | undefined, answers: Answer[]): void {
  const [only] = answers
  const finding = only?.findings?.[0]
  if (topic || answers.length !== 1 || finding?.check !== 'supply-voltage' || (finding.value ?? 0) === 0) return
  const other = m.quantities.length === 2 ? m.quantities.find((each) => each !== quantity) : undefined
  const running =
    other?.role === 'read' && (other.value ?? 0) > 0 && other.unit !== undefined && !other.foreign && fits(other, 'A')
  if (running) only?.findings?.splice(0, 1, { ...finding, check: 'supply-voltage-loaded' })
}

function denied({ pieces }: Measuring, quantity: Quantity): boolean {
  const before = pieces[quantity.at - 1]
  return before !== undefined && quantity.value !== null && playsRole(before, 'deny') && before.text === 'not'
}
