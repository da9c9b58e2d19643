import type { Finding } from '../diagnosis/finding'
import { checkInfo } from '../knowledge/checks/checks'
import { type Unit, UNIT_LABELS } from '../quantity/units'
import { fittingChecks } from './align'
import { leadAnswers } from './lead-readings'
import { allowedDetails } from './details'
import { besideForeign, besideNamed, type Make, type Measuring, note, unitOf } from './measuring'
import type { Piece } from './phrases'
import { canonical, fits, type Quantity, written } from './quantities'
import { capacitorsHere, isHere, oneWinding } from './scene'
import type { Topic } from './topics'
import type { Answer, Doubt } from './understanding'

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

/** Voltages that a capacitor’s can is made for. Common practice. */
export const CAN_VOLTS: readonly number[] = [110, 125, 165, 220, 240, 250, 330, 370, 440, 450]

/** What the figure can be a reading of. Empty where nothing fits; undefined where it was no reading and is used. */
export function answersFor(
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
    // `cable alone 900`: insulation is what is read so, unless something else is lit.
    const read = lit?.unit === undefined || scene.lit?.check === 'insulation-resistance'
    if (fields.setup === 'cable-alone' && quantity.value !== null && read) return [make('insulation-resistance')]
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
    question:
      `${checkInfo(check)?.label} is measured in ${UNIT_LABELS[unit]}, and ${written(quantity)} is not. ` +
      'What was meant?',
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

/** Time by the calendar and things by weight are no reading; beside a thing that is measured they are asked. */
function aside(m: Measuring, quantity: Quantity, topic: Topic | undefined): Doubt {
  const pieces = [...(topic?.pieces ?? []), ...quantity.pieces]
  return { question: `${written(quantity)}: what is that?`, answers: [note(pieces)], pieces }
}

/** Among words that nobody knows, with nothing measured beside it, a bare figure is the visitor’s. */
const amongForeign = (m: Measuring, quantity: Quantity) =>
  m.pieces.some(({ kind }) => kind === 'foreign') && !besideNamed(m, quantity)

export function orphan(m: Measuring, quantity: Quantity, topic: Topic | undefined, pieces: Piece[]): void {
  if (quantity.small || (!topic && amongForeign(m, quantity))) return
  m.doubts.push({
    question: `${written(quantity)} of what?`,
    answers: [...(topic || quantity.unit ? [] : usualReadings(m, quantity)), note(pieces)],
    pieces: [...(topic?.pieces ?? []), ...pieces],
  })
}

/** What a bare figure most often is, as far as this machine has it and the figure can be one. */
const USUAL: readonly string[] = [
  'supply-voltage',
  'running-current',
  'capacitance',
  'insulation-resistance',
  'filter-pressure',
  'tank-precharge',
  'flow',
]

function usualReadings(m: Measuring, quantity: Quantity): Answer[] {
  return USUAL.filter((check) => isHere(check, m.scene)).flatMap((check): Answer[] => {
    const unit = checkInfo(check)?.unit as Unit
    const base = { check, value: quantity.value, unit }
    const label = `${checkInfo(check)?.label} ${quantity.value} ${UNIT_LABELS[unit]}`
    if (check !== 'capacitance') return [{ label, findings: [base] }]
    return capacitorsHere(m.scene).map((part) => ({
      label: `${part.replace('-', ' ')} ${quantity.value} ${UNIT_LABELS[unit]}`,
      findings: [{ ...base, part, method: 'off-circuit' }],
    }))
  })
}
