import type { Finding } from '../diagnosis/finding'
import { capacitanceFromCurrent } from '../electrical/capacitor'
import { checkInfo } from '../knowledge/checks/checks'
import { fittingChecks } from './align'
import { between, type Measuring, one } from './measuring'
import { type Piece, playsRole } from './phrases'
import { canonical, fits, type Quantity } from './quantities'
import { CAN_VOLTS } from './reading-answers'
import { capacitorsHere } from './scene'
import type { Answer } from './understanding'

/** A narrower check takes the place of a wider one when both are named beside the figure. */
const NARROWER: Readonly<Record<string, string>> = {
  'supply-voltage-loaded': 'supply-voltage',
  'locked-current': 'running-current',
  'lead-current': 'running-current',
  'outlet-voltage': 'supply-voltage',
  'breaker-voltage': 'supply-voltage',
  'battery-voltage': 'supply-voltage',
  'filter-pressure': 'discharge-pressure',
  'pumping-water-level': 'static-water-level',
  'well-recovery': 'flow',
}

/** `voltage plug set to 230`: what the selector stands on, against the supply said beside it or the plate. */
export function selector(m: Measuring): void {
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

/** `cap new last yr 25/440`: what is printed on the can, microfarads over volts. */
export function canPrint(m: Measuring): void {
  const named = m.pieces.some((piece) => /^(?:(?:run|start) )?(?:cap|can|capacitor|condenser)$/.test(piece.text))
  const parts = capacitorsHere(m.scene)
  const [part] = parts
  if (!named || parts.length !== 1) return
  const volts = m.quantities.find(({ value, unit }) => unit === undefined && CAN_VOLTS.includes(value ?? 0))
  const farads = volts && m.quantities[m.quantities.indexOf(volts) - 1]
  if (!volts || !farads || farads.unit !== undefined || farads.value === null) return
  const between = m.pieces.slice(farads.last + 1, volts.at)
  if (between.length !== 1 || between[0]?.text !== '/') return
  const start = part === 'start-capacitor'
  m.quantities = m.quantities.filter((quantity) => quantity !== volts && quantity !== farads)
  m.said.push(
    {
      other: {
        is: 'plate',
        field: start ? 'startCapacitorMicrofarads' : 'runCapacitorMicrofarads',
        value: farads.value,
      },
      pieces: farads.pieces,
    },
    {
      other: { is: 'plate', field: start ? 'startCapacitorVolts' : 'runCapacitorVolts', value: volts.value as number },
      pieces: volts.pieces,
    },
  )
}

/** Voltages that motors are made for. NEMA MG 1 and IEC 60034-1, from memory. */
const PLATE_VOLTS: ReadonlySet<number> = new Set([115, 120, 208, 220, 230, 240, 380, 400, 415, 460])
const SUPPLY_WORDS = /supply|line|outlet|load|terminal|leg|reads|measure/

/** `1.5 hp 230`: beside horsepower a round voltage is the plate’s, unless it is said to be read. */
export function besideHorsepower(m: Measuring): void {
  const rated = m.quantities.some(({ plate }) => plate === 'horsepower')
  const onPlate = m.pieces.some((piece) => playsRole(piece, 'plate'))
  if (!rated || (!onPlate && m.pieces.some(({ text }) => SUPPLY_WORDS.test(text)))) return
  const volts = m.quantities.find(
    ({ value, unit, role, plate }) =>
      role === 'read' &&
      plate !== 'hertz' &&
      plate !== 'rpm' &&
      (unit === undefined || /^v/i.test(unit)) &&
      PLATE_VOLTS.has(value ?? 0),
  )
  if (!volts) return
  m.quantities = m.quantities.filter((quantity) => quantity !== volts)
  const value = volts.value as number
  const printed: Answer = { label: `printed ${value} V`, other: [{ is: 'plate', field: 'volts', value }] }
  const measured: Answer = { label: `measured ${value} V`, findings: [{ check: 'supply-voltage', value, unit: 'V' }] }
  one(
    m,
    volts.pieces,
    `${value} V: printed, or measured?`,
    volts.unit === undefined || onPlate ? [printed] : [printed, measured],
  )
}

/** `run cap 4.24 a 376 v`: capacitance under load, from its own amps and volts. */
export function underLoad(m: Measuring): void {
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

export function preferNarrower(m: Measuring): void {
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
