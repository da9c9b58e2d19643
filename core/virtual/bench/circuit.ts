import { Complex } from 'complex.js'
import { CORDED, type Kind } from '../../knowledge/vocabulary'
import { MOTOR_HAS } from '../../motor/nameplate'
import { windingMegohms } from '../answer'
import { controlCloses, type ElectricState } from '../electrics'
import { houseWater, type VirtualMachine } from '../machine'
import type { Hands } from './hands'
import { GROUND, type Branch, type Injection } from './network'

/** A piece of wire, a coil, a can or a leak between two terminals. */
export interface Element {
  from: string
  to: string
  /** To direct current; nothing passes where it is absent. */
  ohms?: number
  /** At mains frequency, Ω. */
  reactance?: number
  microfarads?: number
  /** It leaks: so many times more is seen by a meter that tests with a few volts. */
  lowVoltFactor?: number
}

const HERTZ = 60
const CONTACT = 0.001
const MEGA = 1e6

const wire = (from: string, to: string, ohms = CONTACT): Element => ({ from, to, ohms })
const leak = (from: string, megohms: number, lowVoltFactor: number): Element => ({
  from,
  to: GROUND,
  ohms: megohms * MEGA,
  lowVoltFactor,
})

/** Does a cord with a plug bring the power, and no breaker of its own? */
export const isCorded = (kind: Kind): boolean => CORDED.includes(kind)

/** The wiring before the motor: from the supply to where its leads begin. */
function upstream(machine: VirtualMachine, hands: Hands): Element[] {
  const { kind, supply, insulation, house, pit } = machine
  const elements: Element[] = []
  const [line, neutral] = isCorded(kind) ? ['o1', 'o2'] : ['b1', 'b2']
  const joint = Number.isFinite(supply.jointOhms) ? supply.jointOhms + CONTACT : undefined
  const before = supply.jointBefore ? joint : CONTACT
  const after = supply.jointBefore ? CONTACT : joint
  // A plug that is out, a breaker that is open: what lies beyond is on nothing.
  if (hands.power && !hands.tripped) {
    if (!isCorded(kind) && !supply.breakerDead) elements.push(wire('panel-1', 'b1'), wire('panel-2', 'b2'))
    if (before !== undefined) elements.push(wire(line, 'c1', before))
    elements.push(wire(neutral, 'c2'))
  }
  elements.push(leak('c1', insulation.conduitMegohms, insulation.lowVoltFactor))
  // Whoever works with the power off has opened the disconnect in sight as well: the motor hangs on no wiring.
  if (!hands.power) return elements
  const isAskedFor = isAsked(machine, hands)
  if (houseWater(kind)) {
    if (isAskedFor && (controlCloses(machine) || house.contacts === 'welded'))
      elements.push(wire('c1', 't1'), wire('c2', 't2'))
  } else {
    const isClosed =
      kind === 'sump' ? pit.float === 'closed' || (isAskedFor && pit.float !== 'dead') : !supply.timerOpen
    if (isClosed) elements.push(wire('c1', 't1'))
    elements.push(wire('c2', 't2'))
  }
  if (houseWater(kind) || kind === 'sump' || hands.asked) {
    if (after !== undefined) elements.push(wire('t1', 'h1', after))
    elements.push(wire('t2', 'h2'))
  }
  return elements
}

/** From the pump's end of the switch through cable and splice to the motor's own leads. */
function downTheWell({ kind, cable, insulation }: VirtualMachine, hands: Hands): Element[] {
  const each = cable.loopOhms / 2 + CONTACT
  const isSpliced = !hands.parted.has('splice')
  if (kind === 'well-two-wire')
    return [
      ...(cable.open === 'no' ? [wire('h1', 'x1', each)] : []),
      wire('h2', 'x2', each),
      ...(isSpliced ? [wire('x1', 'm1'), wire('x2', 'm2')] : []),
      leak('x2', insulation.cableMegohms, insulation.lowVoltFactor),
      leak('m2', insulation.connectorMegohms, insulation.lowVoltFactor),
    ]
  const ends = { y: 'ym', k: 'km', r: 'rm' }
  if (cable.swapped === 'common-start') [ends.y, ends.r] = [ends.r, ends.y]
  if (cable.swapped === 'run-start') [ends.k, ends.r] = [ends.r, ends.k]
  if (cable.swapped === 'common-run') [ends.y, ends.k] = [ends.k, ends.y]
  const open = { no: undefined, common: 'y', run: 'k', start: 'r' }[cable.open]
  return [
    ...(['y', 'k', 'r'] as const).flatMap((colour) => [
      ...(colour === open ? [] : [wire(`${colour}2`, `${colour}x`, each)]),
      ...(isSpliced ? [wire(`${colour}x`, ends[colour])] : []),
    ]),
    // The box is what hands the power on: with it off, its terminals and the cable's ends lie apart.
    ...(hands.electronicsOff
      ? []
      : [wire('h1', 'y'), wire('h2', 'k'), wire('y', 'y2'), wire('k', 'k2'), wire('r', 'r2')]),
    leak('kx', insulation.cableMegohms, insulation.lowVoltFactor),
    leak('km', insulation.connectorMegohms, insulation.lowVoltFactor),
  ]
}

/** Windings, protector and cans, between the motor's leads. */
function motorOf(machine: VirtualMachine, hands: Hands): Element[] {
  const { kind, motor, motorType, insulation } = machine
  const inWell = kind === 'well-three-wire'
  const isElectronic = motorType === 'electronic'
  const [common, run, start] = inWell ? ['ym', 'km', 'rm'] : ['m1', 'm2', 's']
  const main = { ohms: motor.circuit.r1Ohms * (1 - motor.shortedTurns), reactance: motor.circuit.x1Ohms }
  const elements: Element[] = []
  if (!motor.protectorOpen) elements.push(wire(common, 'p', 0))
  if (!motor.runOpen) elements.push({ from: 'p', to: run, ...main })
  if (!motor.startOpen && MOTOR_HAS.startWinding(motorType))
    elements.push({ from: 'p', to: start, ohms: motor.auxOhms, reactance: motor.auxReactanceOhms })
  // The switch of a two-wire motor closes as it comes to rest; elsewhere its wire is off while windings are read.
  if (kind === 'well-two-wire' && motorType === 'split-phase' && motor.startSwitch !== 'stuck-open')
    elements.push(wire('s', 'm2'))
  const celsius = windingCelsius(machine, hands)
  elements.push(leak('p', windingMegohms(machine, celsius), insulation.lowVoltFactor))
  const [fromCan, toCan] = inWell ? ['k', 'r'] : ['m2', 's']
  if (MOTOR_HAS.runCapacitor(motorType)) elements.push(...can('rc', motor.runMicrofarads, hands.parted.has('run-can')))
  if (MOTOR_HAS.startCapacitor(motorType))
    elements.push(...can('sc', motor.startMicrofarads, hands.parted.has('start-can')))
  if (!isElectronic && !inWell && !kind.startsWith('well') && kind !== 'sump')
    elements.push(...[wire('h1', 'm1'), wire('h2', 'm2')])
  if (kind === 'sump')
    elements.push(wire('h1', 'm1'), wire('h2', 'm2'), leak('m1', insulation.connectorMegohms, insulation.lowVoltFactor))
  // A drive stands between its terminals and the winding: no direct current passes.
  if (isElectronic && hands.electronicsOff) elements.push(wire('h1', 'm1'), wire('h2', 'm2'))
  return elements

  function can(name: 'rc' | 'sc', microfarads: number, isParted: boolean): Element[] {
    return [
      { from: `${name}1`, to: `${name}2`, microfarads },
      wire(`${name}1`, toCan),
      ...(isParted ? [] : [wire(`${name}2`, fromCan)]),
    ]
  }
}

/** A motor in its well is as cold as the water; everywhere else it has the air's temperature, °C. */
export function windingCelsius({ kind, ambientCelsius }: VirtualMachine, { pulled, parted }: Hands): number {
  return kind.startsWith('well') && !(pulled && parted.has('splice')) ? 12 : Math.round(ambientCelsius)
}

/** Everything between the supply and the winding's end, as it stands under these hands. */
export function circuitOf(machine: VirtualMachine, hands: Hands): Element[] {
  return [
    ...upstream(machine, hands),
    ...(machine.kind.startsWith('well') ? downTheWell(machine, hands) : []),
    ...motorOf(machine, hands),
  ]
}

/** What a meter with a test current or test volts of its own meets: direct current, nothing live. */
export function directCurrent(elements: readonly Element[], lowVolts: boolean): Branch[] {
  return elements.flatMap(({ from, to, ohms, lowVoltFactor = 1 }) =>
    ohms === undefined
      ? []
      : [{ from, to, siemens: new Complex(1 / Math.max(ohms * (lowVolts ? lowVoltFactor : 1), 1e-4)) }],
  )
}

/** What a meter meets that tests with alternating current at mains frequency. */
export function alternating(elements: readonly Element[]): Branch[] {
  return elements.map(({ from, to, ohms = 0, reactance = 0, microfarads }) => {
    const impedance =
      microfarads === undefined
        ? new Complex(Math.max(ohms, 1e-4), reactance)
        : new Complex(0.05, -1e6 / (2 * Math.PI * HERTZ * Math.max(microfarads, 1e-3)))
    return { from, to, siemens: impedance.inverse() }
  })
}

/** What the motor draws, seen from the line: a coil of its amps, at the power factor of a loaded motor. */
const POWER_FACTOR = 0.85

/** The network with the supply on it, and the motor drawing what it draws. */
export function live(
  machine: VirtualMachine,
  hands: Hands,
  state: ElectricState,
): { branches: Branch[]; injections: Injection[] } {
  const { supply, kind, nameplate } = machine
  const draws = hands.power && !hands.tripped && isAsked(machine, hands) && state.energised && state.amps > 0
  const elements = circuitOf(machine, hands).filter(({ from, to }) => !draws || !isCoil(from, to))
  const branches = alternating(elements)
  const [common, run] = kind === 'well-three-wire' ? ['ym', 'km'] : ['m1', 'm2']
  if (draws) {
    const ohms = state.loadedVolts / state.amps
    const angle = Math.acos(POWER_FACTOR)
    branches.push({
      from: machine.motorType === 'electronic' ? 'h1' : common,
      to: machine.motorType === 'electronic' ? 'h2' : run,
      siemens: new Complex(ohms * Math.cos(angle), ohms * Math.sin(angle)).inverse(),
    })
  }
  const isOutletDead = supply.breakerDead || supply.outletDead || hands.tripped
  const volts = isCorded(kind) && isOutletDead ? 0 : supply.panelVolts
  const each = supply.lineOhms / 2 + 1e-3
  const [line, neutral] = isCorded(kind) ? ['o1', 'o2'] : ['panel-1', 'panel-2']
  const twoHots = nameplate.volts > 150
  const injections: Injection[] = []
  const source = (node: string, share: number) => {
    branches.push({ from: node, to: GROUND, siemens: new Complex(1 / each) })
    injections.push({ into: node, outOf: GROUND, amps: (volts * share) / each })
  }
  source(line, twoHots ? 0.5 : 1)
  source(neutral, twoHots ? -0.5 : 0)
  return { branches, injections }

  // The machine that turns is more than its coils: what it draws stands in their place.
  function isCoil(from: string, to: string): boolean {
    return from === 'p' || to === 'p' || from.startsWith('rc') || from.startsWith('sc')
  }
}

/** Is the pump asked to run, by hand or by a control that is stuck? */
export function isAsked({ kind, house, pit }: VirtualMachine, { asked }: Hands): boolean {
  if (houseWater(kind)) return asked || house.contacts === 'welded'
  return asked || (kind === 'sump' && pit.float === 'closed')
}
