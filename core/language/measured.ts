import { capacitanceFromCurrent } from '../electrical/capacitor'
import type { Finding } from '../diagnosis/finding'
import { checkInfo } from '../knowledge/checks/checks'
import type { NameplateField } from '../knowledge/said/plate-said'
import { UNIT_LABELS, type Unit } from '../quantity/units'
import { aligned, fittingChecks } from './align'
import { detailsNear } from './details'
import { playsRole, type Piece } from './phrases'
import { canonical, fits, quantitiesOf, written, type Quantity } from './quantities'
import { capacitorsHere, isHere, oneWinding, type Scene } from './scene'
import { topicsOf, type Topic } from './topics'
import type { Answer, Doubt, Heard, Said } from './understanding'

/** The check that a unit suggests where nothing is named. Several are asked. */
const BY_UNIT: Readonly<Partial<Record<Unit, readonly string[]>>> = {
  V: ['supply-voltage'],
  A: ['running-current'],
  uF: ['capacitance'],
  Mohm: ['insulation-resistance'],
  ohm: ['winding-resistance'],
  inHg: ['suction-vacuum'],
  gpm: ['flow'],
  psi: ['filter-pressure', 'discharge-pressure', 'shutoff-pressure', 'tank-precharge', 'cut-in', 'cut-out'],
  in: ['end-play', 'shaft-height', 'shaft-runout', 'impeller-gap'],
  ft: ['static-water-level', 'pumping-water-level'],
}
/** A narrower check takes the place of a wider one when both are named beside the figure. */
const NARROWER: Readonly<Record<string, string>> = {
  'supply-voltage-loaded': 'supply-voltage',
  'locked-current': 'running-current',
  'lead-current': 'running-current',
  'outlet-voltage': 'supply-voltage',
  'battery-voltage': 'supply-voltage',
  'filter-pressure': 'discharge-pressure',
  'pumping-water-level': 'static-water-level',
  'well-recovery': 'flow',
}
/** Voltages that a capacitor’s can is made for. Common practice. */
const CAN_VOLTS: readonly number[] = [110, 125, 165, 220, 240, 250, 330, 370, 440, 450]
/** Checks that may never come to a figure. */
const NEVER_REACHED: ReadonlySet<string> = new Set(['cut-in', 'cut-out', 'cycle-time'])
const OPEN_OF: ReadonlySet<string> = new Set([
  'winding-resistance',
  'insulation-resistance',
  'capacitance',
  ...NEVER_REACHED,
])

/** Everything the measured part of the line needs while it is taken apart. */
interface Measuring {
  pieces: readonly Piece[]
  topics: Topic[]
  quantities: Quantity[]
  given: (Topic | undefined)[]
  scene: Scene
  said: Said[]
  doubts: Doubt[]
}

/** The readings of a line: each figure with what it is the reading of, or a question. */
export function measuredIn(pieces: readonly Piece[], scene: Scene): Heard & { clearance?: Clearance } {
  const figures = quantitiesOf(pieces)
  const topics = topicsOf(pieces, figures)
  const quantities = [...figures, ...overRange(pieces, topics, figures, scene)].sort((a, b) => a.at - b.at)
  const m: Measuring = { pieces, topics, quantities, given: [], scene, said: [], doubts: [] }
  selector(m)
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

const MILLIMETRES_PER_INCH = 25.4
/** A clearance said beside a bearing: it belongs to how the bearing sits on its shaft. */
export interface Clearance {
  millimetres: number
  pieces: readonly Piece[]
}

/** `ol`, `infinite`, and `open` where a winding or a lead is before it: a reading over range. */
function overRange(
  pieces: readonly Piece[],
  topics: readonly Topic[],
  figures: readonly Quantity[],
  scene: Scene,
): Quantity[] {
  const taken = new Set(figures.flatMap((figure) => figure.pieces))
  return pieces.flatMap((piece, at): Quantity[] => {
    if (piece.kind !== 'phrase' || taken.has(piece)) return []
    const over = playsRole(piece, 'over')
    const open = piece.text === 'open' || piece.text === 'reads open'
    const never = piece.text === 'never' || piece.text === 'never reached'
    if (!over && !open && !never) return []
    const clause = piece.clause
    const lit = scene.lit?.check
    const answers =
      lit !== undefined &&
      (never ? NEVER_REACHED.has(lit) : OPEN_OF.has(lit)) &&
      topics.length === 0 &&
      pieces.every(({ kind }) => kind !== 'foreign')
    const fitting =
      answers ||
      topics.some(
        (topic) =>
          (topic.pieces[0] as Piece).clause === clause &&
          !topic.pieces.includes(piece) &&
          (topic.lead !== undefined ||
            topic.leads !== undefined ||
            topic.ground === true ||
            topic.checks.some((check) => (never ? NEVER_REACHED.has(check) : OPEN_OF.has(check)))),
      )
    const figureBeside = pieces[at + 1]?.kind === 'number' && !open && !over
    return fitting && !figureBeside
      ? [{ at, last: at, value: null, role: 'read', foreign: false, small: false, pieces: [piece] }]
      : []
  })
}

/** `voltage plug set to 230`: what the selector stands on, against the supply said beside it or the plate. */
function selector(m: Measuring): void {
  const at = m.pieces.findIndex((piece) =>
    piece.senses.some((sense) => sense.is === 'check' && sense.check === 'selector-setting'),
  )
  const name = m.pieces[at]
  if (!name) return
  const set = m.quantities.find(
    (quantity) => quantity.at > at && fits(quantity, 'V') && (m.pieces[quantity.at] as Piece).clause === name.clause,
  )
  if (!set || set.value === null) return
  m.quantities = m.quantities.filter((quantity) => quantity !== set)
  const supply = m.quantities.find((quantity) => fits(quantity, 'V') && quantity.value !== null && quantity.value > 0)
  const against = supply?.value ?? m.scene.plate.volts
  const outcome = Math.abs(set.value / against - 1) < SELECTOR_SHARE ? 'matches' : 'mismatched'
  m.said.push({ finding: { check: 'selector-setting', outcome }, pieces: [name, ...set.pieces] })
}

/** A selector at 230 stands right on a supply of 208 to 250. Common practice. */
const SELECTOR_SHARE = 0.15

/** `run cap 4.24 a 376 v`: capacitance under load, from its own amps and volts. */
function underLoad(m: Measuring): void {
  const capacitor = m.topics.find(({ checks }) => checks.includes('capacitance'))
  const read = m.quantities.filter(({ role, foreign, plate }) => role === 'read' && !foreign && !plate)
  const amps = read.filter(({ unit }) => unit !== undefined && fits({ ...(read[0] as Quantity), unit }, 'A'))
  const volts = read.filter(({ unit }) => unit !== undefined && fits({ ...(read[0] as Quantity), unit }, 'V'))
  const others = m.topics.some(
    ({ checks, thing }) =>
      !thing && checks.some((check) => check !== 'capacitance' && ['A', 'V'].includes(checkInfo(check)?.unit ?? '')),
  )
  if (!capacitor || amps.length !== 1 || volts.length !== 1 || read.length !== 2 || others) return
  const [a, v] = [amps[0] as Quantity, volts[0] as Quantity]
  const [ampsRead, voltsRead] = [canonical(a, 'A'), canonical(v, 'V')]
  if (ampsRead === null || voltsRead === null || voltsRead <= 0 || ampsRead < 0) return
  const pieces = [...capacitor.pieces, ...a.pieces, ...v.pieces]
  const finding = (part: string): Finding => ({
    check: 'capacitance',
    part,
    method: 'under-load',
    value: capacitanceFromCurrent(voltsRead, ampsRead, m.scene.plate.hertz),
    unit: 'uF',
  })
  m.quantities = m.quantities.filter((quantity) => quantity !== a && quantity !== v)
  const parts = capacitor.part ? [capacitor.part] : capacitorsHere(m.scene)
  one(
    m,
    pieces,
    'Which capacitor?',
    parts.map((part) => ({ label: part.replace('-', ' '), findings: [finding(part)] })),
  )
}

/** One answer is kept, several are asked. */
function one(m: Measuring, pieces: readonly Piece[], question: string, answers: Answer[]): void {
  const only = answers[0]
  if (answers.length === 1 && only) {
    for (const finding of only.findings ?? []) m.said.push({ finding, pieces })
    for (const other of only.other ?? []) m.said.push({ other, pieces })
    if (!only.findings && !only.other) m.said.push({ pieces })
  } else m.doubts.push({ question, answers, pieces })
}

function preferNarrower(m: Measuring): void {
  m.given.forEach((topic, index) => {
    if (!topic || topic.checks.length === 0) return
    const quantity = m.quantities[index] as Quantity
    const clause = (m.pieces[quantity.at] as Piece).clause
    const rival = m.topics.find(
      (other) =>
        other !== topic &&
        !m.given.includes(other) &&
        (other.pieces[0] as Piece).clause === clause &&
        fittingChecks(other, quantity).some((check) => topic.checks.includes(NARROWER[check] ?? '')) &&
        !m.quantities.some((figure) => figure !== quantity && between(figure.at, other.at, quantity.at)),
    )
    if (rival) {
      m.given[index] = rival
      topic.pieces.forEach((piece) => (piece.used = true))
    }
  })
}

const between = (at: number, a: number, b: number) => at > Math.min(a, b) && at < Math.max(a, b)

type Guest = 'celsius' | 'testVolts' | 'clearance' | 'time'
const INSULATION_VOLTS = { least: 50 }

/** Figures that qualify another reading: its temperature, its test voltage, a clearance, a time that only says when. */
function guestsOf(m: Measuring): Map<Quantity, Guest> {
  const guests = new Map<Quantity, Guest>()
  const names = (check: string) => m.topics.some(({ checks }) => checks.includes(check))
  const winding = names('winding-resistance') || m.topics.some(({ leads }) => leads !== undefined)
  const ohms = (quantity: Quantity) => unitOf(quantity) === 'Mohm' || (!winding && /^k/i.test(quantity.unit ?? ''))
  const insulation = names('insulation-resistance') || m.quantities.some(ohms)
  const bearing = m.pieces.some((piece) =>
    piece.senses.some((sense) => (sense.is === 'check' || sense.is === 'outcome') && sense.check === 'bearing-fit'),
  )
  m.quantities.forEach((quantity, index) => {
    const topic = m.given[index]
    const unit = unitOf(quantity)
    const others = m.quantities.filter((other) => other !== quantity && other.role === 'read')
    const warm = unit === 'celsius' || (quantity.unit?.toLowerCase() === 'f' && others.length > 0)
    const onlyUnit = topic?.pieces.every((piece) => quantity.pieces.includes(piece)) === true
    const tests = !topic || topic.thing || onlyUnit || topic.checks.includes('insulation-resistance')
    if (warm && (winding || insulation) && others.length > 0) guests.set(quantity, 'celsius')
    else if (
      unit === 'V' &&
      insulation &&
      tests &&
      (quantity.value ?? 0) >= INSULATION_VOLTS.least &&
      others.some((other) => ohms(other) || other.unit === undefined)
    )
      guests.set(quantity, 'testVolts')
    else if ((unit === 's' || quantity.foreign) && !topic && waits(m, quantity)) guests.set(quantity, 'time')
    else if (unit === 'in' && !topic && bearing) guests.set(quantity, 'clearance')
  })
  return guests
}

/** A time that only says when: `after ten minutes`, `running for half an hour`. */
function waits({ pieces }: Measuring, quantity: Quantity): boolean {
  const before = pieces.slice(Math.max(0, quantity.at - 2), quantity.at)
  return before.some((piece) => playsRole(piece, 'wait') || piece.text === 'for' || piece.text === 'in')
}

/** The canonical unit that the figure’s own unit belongs to. */
export function unitOf(quantity: Quantity): Unit | undefined {
  if (quantity.unit === undefined || quantity.value === null) return undefined
  const units: readonly Unit[] = ['V', 'A', 'uF', 'Mohm', 'ohm', 'psi', 'inHg', 'in', 'ft', 'gpm', 's', 'celsius']
  return units.find(
    (unit) =>
      fits({ ...quantity, unit: quantity.unit === 'm' ? 'ft' : quantity.unit }, unit) &&
      natural(quantity.unit as string, unit),
  )
}

/** `k` and `ohm` fit megohms too, and `kPa` a vacuum; by themselves they are what they are. */
function natural(spelling: string, unit: Unit): boolean {
  const ohms = /^(?:k|kohms?|kilohms?|ohms?|ω|kω|Ω|kΩ)$/i.test(spelling)
  if (unit === 'Mohm') return !ohms
  if (unit === 'ohm') return ohms
  if (unit === 'inHg') return /hg|vacuum/i.test(spelling)
  if (unit === 'uF') return spelling.toLowerCase() !== 'm'
  if (unit === 'in') return !/^(?:ft|feet|foot|m|metres|meters|')$/i.test(spelling)
  if (unit === 'ft') return /^(?:ft|feet|foot|m|metres|meters|')$/i.test(spelling)
  return true
}

function readOne(m: Measuring, quantity: Quantity, topic: Topic | undefined, guests: Map<Quantity, Guest>): void {
  const pieces = [...(topic?.pieces ?? []), ...quantity.pieces]
  if (quantity.plate && (!topic || topic.plate === quantity.plate)) {
    plate(m, quantity.plate, quantity, pieces)
    return
  }
  if (topic?.plate) {
    plate(m, topic.plate === 'amps' ? amperesOrVolts(quantity, m) : topic.plate, quantity, pieces)
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
  const hedge = quantity.hedge
  const kept = answers.map((answer) => ({
    ...answer,
    findings: answer.findings?.map((finding) => (hedge ? { ...finding, hedge } : finding)),
  }))
  one(m, all, `${written(quantity)} of what?`, kept)
}

function denied({ pieces }: Measuring, quantity: Quantity): boolean {
  const before = pieces[quantity.at - 1]
  return before !== undefined && quantity.value !== null && playsRole(before, 'deny') && before.text === 'not'
}

function note(pieces: readonly Piece[]): Answer {
  const words = pieces.flatMap((piece) => piece.words)
  return { label: 'only a note', note: words.map(({ raw }) => raw).join(' ') }
}

function amperesOrVolts(quantity: Quantity, m: Measuring): NameplateField | 'ask' {
  if (quantity.unit === undefined) {
    const like = m.quantities.find((other) => other !== quantity && other.unit !== undefined)
    const unit = like ? unitOf(like) : undefined
    return unit === 'A' ? 'fullLoadAmps' : unit === 'V' ? 'volts' : 'ask'
  }
  const unit = unitOf(quantity)
  return unit === 'A' ? 'fullLoadAmps' : unit === 'V' ? 'volts' : 'ask'
}

function plate(m: Measuring, field: NameplateField | 'ask', quantity: Quantity, pieces: Piece[]): void {
  if (field === 'ask') {
    const value = quantity.value as number
    one(m, pieces, `${written(quantity)} on the plate: what is it?`, [
      { label: `full load ${value} A`, other: [{ is: 'plate', field: 'fullLoadAmps', value }] },
      { label: `${value} V`, other: [{ is: 'plate', field: 'volts', value }] },
    ])
    return
  }
  if (field === 'frame' || field === 'codeLetter') {
    const end = m.pieces[quantity.last + 1]
    const glued = end?.words[0]?.glued ? end.words[0].raw : ''
    if (glued && end) pieces.push(end)
    m.said.push({
      other: { is: 'plate', field, value: `${(m.pieces[quantity.at] as Piece).words[0]?.raw}${glued.toUpperCase()}` },
      pieces,
    })
    return
  }
  m.said.push({ other: { is: 'plate', field, value: quantity.value as number }, pieces })
}

/** What is printed on a can, or wanted: a plate’s value, never a reading. */
function printed(m: Measuring, quantity: Quantity, topic: Topic | undefined, pieces: Piece[]): void {
  const clause = (m.pieces[quantity.at] as Piece).clause
  const capacitor =
    topic?.checks.includes('capacitance') === true
      ? topic
      : m.topics.find(
          (other) => other.checks.includes('capacitance') && Math.abs((other.pieces[0] as Piece).clause - clause) <= 1,
        )
  const unit = unitOf(quantity)
  if (quantity.role === 'rated' && (capacitor || unit === 'uF') && (unit === 'uF' || unit === undefined)) {
    const part = capacitor?.part ?? (capacitorsHere(m.scene).length === 1 ? capacitorsHere(m.scene)[0] : undefined)
    const value: number | [number, number] =
      quantity.to === undefined ? (quantity.value as number) : [quantity.value as number, quantity.to]
    if (part)
      m.said.push({
        other: {
          is: 'plate',
          field: part === 'start-capacitor' ? 'startCapacitorMicrofarads' : 'runCapacitorMicrofarads',
          value,
        },
        pieces: quantity.pieces,
      })
    return
  }
  if (quantity.role === 'rated' && unit === 'A' && !capacitor) {
    m.said.push({ other: { is: 'plate', field: 'fullLoadAmps', value: quantity.value as number }, pieces })
    return
  }
  m.said.push({ pieces: quantity.pieces })
}

function guestsNear(
  m: Measuring,
  quantity: Quantity,
  guests: Map<Quantity, string>,
): { celsius?: number; testVolts?: number; pieces: Piece[] } {
  const readings = m.quantities.filter((other) => !guests.has(other))
  const nearest = (guest: Quantity) =>
    readings.reduce<Quantity | undefined>(
      (best, reading) => (!best || Math.abs(reading.at - guest.at) < Math.abs(best.at - guest.at) ? reading : best),
      undefined,
    )
  const found: { celsius?: number; testVolts?: number; pieces: Piece[] } = { pieces: [] }
  for (const [guest, kind] of guests) {
    const shared = guest.at > (readings.at(-1)?.at ?? 0) || guest.at < (readings[0]?.at ?? 0)
    if (nearest(guest) !== quantity && !shared) continue
    if (kind === 'celsius') found.celsius = canonical(guest, 'celsius') ?? undefined
    if (kind === 'testVolts') found.testVolts = canonical(guest, 'V') ?? undefined
    if (kind !== 'clearance') found.pieces.push(...guest.pieces)
  }
  return found
}

/** What the figure can be a reading of. Empty where nothing fits; undefined where it was no reading and is used. */
function answersFor(
  m: Measuring,
  quantity: Quantity,
  topic: Topic | undefined,
  fields: Partial<Finding>,
): Answer[] | undefined {
  const { scene } = m
  const make = (check: string, more: Partial<Finding> = {}): Answer => {
    const unit = checkInfo(check)?.unit as Unit
    const allowed = allowedDetails(check, fields)
    return {
      label: checkInfo(check)?.label ?? check,
      findings: [{ check, value: canonical(quantity, unit), unit, ...allowed, ...more }],
    }
  }
  const own = unitOf(quantity)
  if (quantity.foreign) {
    if (!besideForeign(m, quantity) && m.topics.some(({ thing, checks }) => !thing && checks.length > 0))
      m.doubts.push(aside(m, quantity, topic))
    return undefined
  }
  if (topic && (topic.lead !== undefined || topic.leads !== undefined || topic.ground)) {
    const byLead = leadAnswers(m, quantity, topic, make)
    if (byLead) return byLead
  }
  if (topic) {
    const checks = fittingChecks(topic, quantity)
    const here = checks.filter((check) => isHere(check, scene))
    return expanded(m, likeNeighbours(m, quantity, here.length > 0 ? here : checks), quantity, topic, make)
  }
  if (own === undefined) {
    const lit = scene.lit ? checkInfo(scene.lit.check) : undefined
    if (lit?.unit !== undefined && scene.lit && bareFits(m, quantity)) {
      const { part, leads, setup, half, lead } = scene.lit
      return [
        make(scene.lit.check, {
          ...(part ? { part } : {}),
          ...(leads ? { leads } : {}),
          ...(setup ? { setup } : {}),
          ...(half ? { half } : {}),
          ...(lead ? { lead } : {}),
        }),
      ]
    }
    return []
  }
  const misfit = besideOther(m, quantity, own)
  if (misfit) {
    ofOtherUnit(m, quantity, misfit)
    return undefined
  }
  const litUnit = scene.lit ? checkInfo(scene.lit.check)?.unit : undefined
  if (
    litUnit !== undefined &&
    scene.lit &&
    fits(quantity, litUnit) &&
    (own === litUnit || litUnit === 'Mohm' || litUnit === 'inHg' || litUnit === 'in')
  ) {
    const { part, leads, setup, half } = scene.lit
    return [
      make(scene.lit.check, {
        ...(part ? { part } : {}),
        ...(leads ? { leads } : {}),
        ...(setup ? { setup } : {}),
        ...(half ? { half } : {}),
      }),
    ]
  }
  // Thousands of ohms are no winding of a pump: an insulation that is nearly gone.
  const checks = own === 'ohm' && /^k/i.test(quantity.unit as string) ? ['insulation-resistance'] : (BY_UNIT[own] ?? [])
  const breaker = m.pieces.some(
    (piece) => piece.clause === (m.pieces[quantity.at] as Piece).clause && /breaker|fuse/.test(piece.text),
  )
  if (own === 'A' && breaker) return [{ ...make('running-current'), label: 'the current drawn' }, note(quantity.pieces)]
  const guessed = expanded(
    m,
    checks.filter((check) => isHere(check, scene)),
    quantity,
    undefined,
    make,
  )
  if (!TELLING_UNITS.has(own) && m.pieces.some(({ kind }) => kind === 'foreign')) return undefined
  if (!besideForeign(m, quantity)) return guessed
  // A figure among words that nobody knows: its unit may tell, and is asked; a length or a weight is the visitor’s.
  return [...guessed, note(quantity.pieces)]
}

/** Units that hardly anything but a pump is measured in. */
const TELLING_UNITS: ReadonlySet<Unit> = new Set<Unit>(['V', 'A', 'uF', 'ohm', 'Mohm', 'inHg', 'gpm'])

/** Something that is measured is named in the figure’s clause. */
function besideNamed(m: Measuring, quantity: Quantity): boolean {
  const { clause } = m.pieces[quantity.at] as Piece
  return m.topics.some(({ thing, checks, pieces }) => !thing && checks.length > 0 && pieces[0]?.clause === clause)
}

function besideForeign(m: Measuring, quantity: Quantity): boolean {
  const { clause } = m.pieces[quantity.at] as Piece
  return m.pieces.some((piece) => piece.clause === clause && piece.kind === 'foreign')
}

/** A thing named right beside the figure that is measured in another unit. */
function besideOther(m: Measuring, quantity: Quantity, own: Unit): Topic | undefined {
  const { clause } = m.pieces[quantity.at] as Piece
  return m.topics.find(
    (topic) =>
      !topic.thing &&
      topic.checks.length > 0 &&
      (!m.given.includes(topic) || topic.at === quantity.last + 1) &&
      (topic.pieces[0] as Piece).clause === clause &&
      Math.abs(topic.at - quantity.at) <= 3 &&
      !topic.checks.some((check) => checkInfo(check)?.unit === own),
  )
}

/** `370 v can` is what the can is made for; `run cap 41 V` is asked. */
function ofOtherUnit(m: Measuring, quantity: Quantity, topic: Topic): void {
  const pieces = [...topic.pieces, ...quantity.pieces]
  const check = topic.checks[0] as string
  const capacitor = topic.checks.includes('capacitance')
  if (capacitor && unitOf(quantity) === 'V' && CAN_VOLTS.includes(quantity.value as number)) {
    const start = topic.part === 'start-capacitor' || capacitorsHere(m.scene)[0] === 'start-capacitor'
    m.said.push({
      other: {
        is: 'plate',
        field: start ? 'startCapacitorVolts' : 'runCapacitorVolts',
        value: quantity.value as number,
      },
      pieces: quantity.pieces,
    })
    return
  }
  const unit = checkInfo(check)?.unit as Unit
  const part = topic.part ? { part: topic.part } : {}
  m.doubts.push({
    question: `${checkInfo(check)?.label} is measured in ${UNIT_LABELS[unit]}, and ${written(quantity)} is not. What was meant?`,
    answers: [
      ...(quantity.value === null
        ? []
        : [
            {
              label: `${quantity.value} ${UNIT_LABELS[unit]}`,
              findings: [{ check, value: quantity.value, unit, ...part }],
            },
          ]),
      note(pieces),
    ],
    pieces,
  })
}

/** A figure without a unit is of the unit that the others of its line have, where its thing allows several. */
function likeNeighbours(m: Measuring, quantity: Quantity, checks: readonly string[]): readonly string[] {
  if (quantity.unit !== undefined || checks.length < 2) return checks
  const units = new Set(m.quantities.filter((other) => other !== quantity).map(unitOf))
  const like = checks.filter((check) => units.has(checkInfo(check)?.unit))
  return like.length > 0 ? like : checks
}

/** A bare number answers what is lit when nothing else stands in its clause. */
function bareFits(m: Measuring, quantity: Quantity): boolean {
  const clause = (m.pieces[quantity.at] as Piece).clause
  return m.pieces.every((piece) => piece.clause !== clause || piece.kind !== 'foreign')
}

type Make = (check: string, more?: Partial<Finding>) => Answer

/** Each check with what it needs besides: which capacitor, which winding. */
function expanded(
  m: Measuring,
  checks: readonly string[],
  quantity: Quantity,
  topic: Topic | undefined,
  make: Make,
): Answer[] {
  const { scene } = m
  return checks.flatMap((check): Answer[] => {
    if (check === 'capacitance') {
      const parts = topic?.part ? [topic.part] : capacitorsHere(scene)
      return parts.map((part) => ({ ...make(check, { part, method: 'off-circuit' }), label: part.replace('-', ' ') }))
    }
    if (check === 'winding-resistance') {
      if (topic?.part) return [make(check, { leads: topic.part === 'start-winding' ? 'start-common' : 'run-common' })]
      if (scene.lit?.check === check && scene.lit.leads) return [make(check, { leads: scene.lit.leads })]
      if (oneWinding(scene)) return [make(check, { leads: 'run-common' })]
      return ['run-common', 'start-common'].map((leads) => ({
        ...make(check, { leads }),
        label: `${leads.split('-')[0]} winding`,
      }))
    }
    return [make(check)]
  })
}

/** Readings on leads and legs, to each other or to ground. */
function leadAnswers(m: Measuring, quantity: Quantity, topic: Topic, make: Make): Answer[] | undefined {
  const { scene } = m
  const own = unitOf(quantity)
  const head = headBefore(m, topic)
  const { lead, leads } = topic
  if (topic.legs) {
    if (own === undefined || own === 'V')
      return [
        {
          label: 'each leg to ground',
          findings: ['l1', 'l2'].flatMap((leg) => make('supply-voltage', { lead: leg }).findings ?? []),
        },
      ]
    return undefined
  }
  if (leads) {
    const [a, b] = leads.split('-') as [string, string]
    if (a.startsWith('l') && b.startsWith('l') && a !== b)
      return own === undefined || own === 'V' ? [make(head === 'supply-voltage-loaded' ? head : 'supply-voltage')] : []
    if (a === b) {
      if (scene.kind !== 'well-two-wire') return []
      return own === 'V' ? [make('supply-voltage')] : [make('winding-resistance', { leads: 'run-common' })]
    }
    if (own === 'V' || own === 'A' || own === 'Mohm')
      return own === 'V' ? [make('supply-voltage'), note(topic.pieces)] : []
    const volts = scene.plate.volts
    if (own === undefined && quantity.value !== null && Math.abs(quantity.value - volts) < 0.15 * volts)
      return [make('supply-voltage'), make('winding-resistance', { leads })]
    return [make('winding-resistance', { leads })]
  }
  const at = lead ? { lead } : {}
  if (topic.ground) {
    if (own === 'V') return lead && (lead === 'l1' || lead === 'l2' || own === 'V') ? [make('supply-voltage', at)] : []
    if (own === 'A') return []
    if (quantity.value === null) {
      const insulation = head === 'insulation-resistance' || scene.lit?.check === 'insulation-resistance'
      return insulation
        ? [make('insulation-resistance', at)]
        : [{ label: 'ohmmeter to ground', findings: [{ check: 'ground-ohmmeter', outcome: 'open', ...at }] }]
    }
    if (own === undefined && (lead === 'l1' || lead === 'l2')) return [make('supply-voltage', at)]
    if (own === undefined && head !== 'insulation-resistance' && scene.lit?.check !== 'insulation-resistance') {
      if (quantity.value > 60) return [make('supply-voltage', at), make('insulation-resistance', at)]
      return [{ ...make('insulation-resistance', at), label: `${quantity.value} MΩ` }, note(topic.pieces)]
    }
    return [make('insulation-resistance', at)]
  }
  if (lead === 'run' || lead === 'start') return runOrStart(m, quantity, lead, head, own, make)
  if (lead === 'l1' || lead === 'l2') {
    if (own === 'A') return [make('lead-current', at)]
    return own === undefined || own === 'V'
      ? [make(head === 'supply-voltage-loaded' ? head : 'supply-voltage', at)]
      : undefined
  }
  if (own === 'A') return [make('lead-current', at)]
  if (own === 'Mohm' || (own === 'ohm' && /^k/i.test(quantity.unit ?? ''))) return [make('insulation-resistance', at)]
  if (own === 'V') return [make('supply-voltage', at), note(topic.pieces)]
  if (own === 'ohm') return []
  if (head === 'insulation-resistance' || head === 'ground-ohmmeter') return [make('insulation-resistance', at)]
  if (head === 'running-current' || head === 'lead-current') return [make('lead-current', at)]
  const lit = scene.lit?.check
  if (lit === 'insulation-resistance' || lit === 'lead-current') return [make(lit, at)]
  return []
}

/** `run 3.2 start 8.4`: windings on a motor without a run capacitor, else what is named before. */
function runOrStart(
  m: Measuring,
  quantity: Quantity,
  lead: 'run' | 'start',
  head: string | undefined,
  own: Unit | undefined,
  make: Make,
): Answer[] {
  const capacitor = {
    ...make('capacitance', { part: `${lead}-capacitor`, method: 'off-circuit' }),
    label: `${lead} capacitor`,
  }
  const winding = { ...make('winding-resistance', { leads: `${lead}-common` }), label: `${lead} winding` }
  if (own === 'uF') return [capacitor]
  if (own === 'ohm') return [winding]
  if (own === 'A') return lead === 'run' ? [make('running-current')] : [make('locked-current')]
  if (own !== undefined) return []
  if (head === 'capacitance') return [capacitor]
  if (head === 'winding-resistance') return [winding]
  if (quantity.value === null) return [winding]
  const has = (name: 'run' | 'start') => capacitorsHere({ ...m.scene, lit: null }).includes(`${name}-capacitor`)
  const both = m.topics.filter((topic) => topic.lead === 'run' || topic.lead === 'start').length > 1
  return both && !(has('run') && has('start')) ? [winding] : [capacitor, winding]
}

/** The measured thing named before a lead, which its reading inherits: `meg y 0.2 b 0.2`. */
function headBefore(m: Measuring, topic: Topic): string | undefined {
  const heads = m.topics.filter((other) => other.checks.length > 0 && !other.legs)
  const before = heads.filter((other) => other.at < topic.at).at(-1)
  return (before ?? heads[0])?.checks.find((check) => isHere(check, m.scene))
}

/** Time by the calendar and things by weight: no reading; asked beside a thing that is measured, else said for itself. */
function aside(m: Measuring, quantity: Quantity, topic: Topic | undefined): Doubt {
  const pieces = [...(topic?.pieces ?? []), ...quantity.pieces]
  return { question: `${written(quantity)}: what is that?`, answers: [note(pieces)], pieces }
}

function orphan(m: Measuring, quantity: Quantity, topic: Topic | undefined, pieces: Piece[]): void {
  if (quantity.small || (!topic && besideForeign(m, quantity) && !besideNamed(m, quantity))) return
  m.doubts.push({
    question: `${written(quantity)} of what?`,
    answers: [note(pieces)],
    pieces: [...(topic?.pieces ?? []), ...pieces],
  })
}

const DETAILS: Readonly<Record<string, readonly (keyof Finding)[]>> = {
  'insulation-resistance': ['setup', 'celsius', 'testVolts', 'ageState'],
  'winding-resistance': ['celsius', 'half', 'throughCable', 'at'],
  'running-current': ['at'],
  capacitance: ['of'],
}

/** Only what belongs to a check is kept with it. */
function allowedDetails(check: string, fields: Partial<Finding>): Partial<Finding> {
  const allowed = DETAILS[check] ?? []
  return Object.fromEntries(Object.entries(fields).filter(([field]) => allowed.includes(field as keyof Finding)))
}
