import { runMotor, type AuxiliaryCircuit, type MotorCircuit, type MotorRun } from '../electrical/motor-circuit'
import { ratedTorque } from '../electrical/typical-motor'
import { MOTOR_HAS } from '../motor/nameplate'
import { houseWater, type VirtualMachine } from './machine'
import { waterPoint, type WaterPoint } from './water'

const POLES = 2
const HERTZ = 60
/**
 * Currents, as multiples of full load, at which a breaker lets go of a motor that stands, and at which the protector
 * opens.
 */
const BREAKER_LETS_GO = 8.2
const PROTECTOR_OPENS = 1.22
const GFCI_AMPS = 0.005

export interface ElectricState {
  /** Volts with nothing drawing: at the outlet, at the terminals. */
  outletVolts: number
  restVolts: number
  /** Volts at the terminals once it draws. */
  loadedVolts: number
  amps: number
  lockedAmps: number
  energised: boolean
  turning: boolean
  /** Speed over synchronous. */
  speed: number
  hums: boolean
  /** Amps over full load, the winding's own. */
  overload: number
  tripsBreaker: boolean
  tripsGfci: boolean
  hot: boolean
  cutsOut: boolean
  water: WaterPoint
}

/** Does the control let the power through when water is wanted? Floats and switches, not the motor. */
export function controlCloses({ kind, house, pit }: VirtualMachine): boolean {
  if (kind === 'sump') return pit.float !== 'dead'
  if (!houseWater(kind)) return true
  if (house.contacts === 'welded') return true
  if (house.contacts === 'not-closing' || house.contacts === 'burnt') return false
  return !house.nippleBlocked || house.sensedPsi < house.cutInPsi
}

/** Leakage of the wiring before the motor: it trips what feeds it, and no reading at the motor shows it. */
const wiringGrounds = ({ insulation: { conduitMegohms, conduitArcs } }: VirtualMachine, volts: number): boolean =>
  volts > 0 && (conduitMegohms < volts / (GFCI_AMPS * 1e6) || (conduitArcs && conduitMegohms < 0.45))

/** Leakage to ground of everything that hangs on the line, megohms. */
export function leakMegohms({ insulation, kind }: VirtualMachine): number {
  const parts = kind.startsWith('well')
    ? [insulation.windingMegohms, insulation.cableMegohms, insulation.connectorMegohms]
    : kind === 'sump'
      ? [insulation.windingMegohms, insulation.connectorMegohms]
      : [insulation.windingMegohms]
  return 1 / parts.reduce((sum, megohms) => sum + 1 / megohms, 0)
}

/**
 * What the motor does when the control closes: windings, capacitors, switch, line and load through the
 * double-revolving-field circuit.
 *
 * @param bypass the control is bridged: a sump pump plugged straight in
 */
export function electricState(machine: VirtualMachine, bypass = false): ElectricState {
  const { supply, motor, cable, nameplate } = machine
  const fullLoad = nameplate.fullLoadAmps as number
  const outletVolts = supply.breakerDead || supply.outletDead ? 0 : supply.panelVolts
  const cut = supply.timerOpen || (supply.jointOhms === Infinity && supply.jointBefore)
  const restVolts = cut ? 0 : outletVolts
  const leak = leakMegohms(machine)
  const path =
    outletVolts > 0 &&
    !supply.timerOpen &&
    supply.jointOhms !== Infinity &&
    cable.open !== 'common' &&
    !(cable.open !== 'no' && machine.kind === 'well-two-wire') &&
    !motor.protectorOpen &&
    !motor.driveDead &&
    (bypass || controlCloses(machine))
  const joint = supply.jointOhms === Infinity ? 0 : supply.jointOhms
  const line = supply.lineOhms + joint + cable.loopOhms
  const still = {
    outletVolts,
    restVolts,
    loadedVolts: restVolts,
    amps: 0,
    lockedAmps: 0,
    energised: false,
    turning: false,
    speed: 0,
    hums: false,
    overload: 0,
    hot: false,
    cutsOut: false,
    water: waterPoint(machine, 0),
  }
  const grounded =
    outletVolts > 0 &&
    !supply.timerOpen &&
    (leak < outletVolts / (GFCI_AMPS * 1e6) || (machine.insulation.arcs && leak < 0.45))
  const wiring = !supply.timerOpen && wiringGrounds(machine, outletVolts)
  const tripsGfci = (grounded || wiring || (supply.gfciWorn && outletVolts > 0)) && !houseWater(machine.kind)
  const groundTrips =
    outletVolts > 0 &&
    (leak < 0.0012 ||
      (wiring && (houseWater(machine.kind) || machine.insulation.conduitMegohms < 0.003)) ||
      (machine.insulation.arcs && leak < (houseWater(machine.kind) ? 0.45 : 0.02)))
  if (!path) return { ...still, tripsGfci, tripsBreaker: groundTrips && !houseWater(machine.kind) }
  if (machine.motorType === 'electronic') return driveState(machine, still, { tripsGfci, groundTrips }, line)

  const selector = supply.selectorFactor
  const standing = settle(outletVolts, line, (volts) => standstillAmps(machine, volts, selector))
  const starts = !jammed(machine) && startTorqueShare(machine, standing.volts, selector) > breakaway(machine)
  const running = starts ? runningPoint(machine, outletVolts, line, selector) : undefined
  const shortedTrips = motor.shortedTurns > 0.3
  const lockedAmps = standing.amps
  if (!running) {
    const overload = standing.amps / fullLoad
    return {
      ...still,
      loadedVolts: standing.volts,
      amps: standing.amps,
      lockedAmps,
      energised: standing.amps > 0.05 * fullLoad,
      hums: standing.amps > 0.25 * fullLoad,
      overload,
      hot: overload > 1,
      cutsOut: overload > PROTECTOR_OPENS,
      tripsGfci,
      tripsBreaker: groundTrips || overload > BREAKER_LETS_GO || (overload > 1 && shortedTrips),
    }
  }
  const switchInside = motor.startSwitch === 'stuck-closed' || motor.relay === 'stuck-closed'
  const overload = (running.amps / fullLoad) * (1 + 1.4 * motor.shortedTurns) + (switchInside ? 0.6 : 0)
  return {
    ...still,
    loadedVolts: running.volts,
    amps: running.amps * (1 + 1.4 * motor.shortedTurns) * (switchInside ? 1.5 : 1),
    lockedAmps,
    energised: true,
    turning: true,
    speed: running.speed,
    overload,
    hot: overload > 1.08 || motor.coolingBlocked,
    cutsOut: overload > PROTECTOR_OPENS || motor.coolingBlocked,
    tripsGfci,
    tripsBreaker: groundTrips || (shortedTrips && overload > 1.3) || overload > 2.6,
    water: waterPoint(machine, (running.speed / 0.96) * motor.overspeed),
  }
}

function driveState(
  machine: VirtualMachine,
  still: Omit<ElectricState, 'tripsGfci' | 'tripsBreaker'>,
  { tripsGfci, groundTrips }: { tripsGfci: boolean; groundTrips: boolean },
  line: number,
): ElectricState {
  const fullLoad = machine.nameplate.fullLoadAmps as number
  const water = waterPoint(machine, 1)
  const refuses =
    jammed(machine) ||
    machine.motor.runOpen ||
    still.outletVolts < 0.85 * machine.nameplate.volts ||
    machine.motor.shortedTurns > 0.15 ||
    tripsGfci ||
    line > 3
  if (refuses) return { ...still, tripsGfci, tripsBreaker: groundTrips, energised: true }
  const amps = fullLoad * (0.1 + 0.9 * water.load + machine.motor.friction)
  const overload = amps / fullLoad
  return {
    ...still,
    amps,
    lockedAmps: 0,
    loadedVolts: still.restVolts - amps * line,
    energised: true,
    turning: true,
    speed: 0.96,
    overload,
    hot: overload > 1.15 || machine.motor.coolingBlocked,
    cutsOut: machine.motor.coolingBlocked,
    tripsGfci,
    tripsBreaker: groundTrips,
    water,
  }
}

/** Nothing lets the shaft turn. */
export function jammed({ motor, wheel }: VirtualMachine): boolean {
  return motor.seized || wheel.boundStages || wheel.jamsRotor
}

/** Share of rated torque that it takes to break the shaft away. */
function breakaway({ motor, bearing, wheel }: VirtualMachine): number {
  return 0.18 + motor.friction + 0.02 * bearing.wear + (wheel.clog > 0.8 ? 0.03 : 0)
}

/**
 * The circuit as the selector wires it: half the turns in parallel take four times the current, all in series a
 * quarter.
 */
function wired({ motor }: VirtualMachine, selector: 1 | 0.5 | 2): { main: MotorCircuit; scale: number } {
  const scale = (1 / selector ** 2) * (1 - motor.shortedTurns) ** 1.3
  const { r1Ohms, x1Ohms, r2Ohms, x2Ohms, xmOhms } = motor.circuit
  return {
    main: {
      r1Ohms: r1Ohms * scale,
      x1Ohms: x1Ohms * scale,
      r2Ohms: r2Ohms * scale,
      x2Ohms: x2Ohms * scale,
      xmOhms: xmOhms * scale,
    },
    scale,
  }
}

/** The start winding with what hangs before it, at rest or running; undefined where it carries nothing. */
function auxiliary(machine: VirtualMachine, scale: number, starting: boolean): AuxiliaryCircuit | undefined {
  const { motor, cable, motorType } = machine
  if (motor.startOpen || cable.open === 'start') return undefined
  const switchCloses =
    motor.startSwitch !== 'stuck-open' &&
    motor.relay !== 'stuck-open' &&
    (starting || motor.startSwitch === 'stuck-closed' || motor.relay === 'stuck-closed')
  const runs = MOTOR_HAS.runCapacitor(motorType) ? motor.runMicrofarads : 0
  const base = {
    auxOhms: motor.auxOhms * scale,
    auxReactanceOhms: motor.auxReactanceOhms * scale,
    turnsRatio: motor.turnsRatio,
  }
  if (motorType === 'split-phase') return switchCloses ? base : undefined
  const microfarads =
    (runs + (MOTOR_HAS.startCapacitor(motorType) && switchCloses ? motor.startMicrofarads : 0)) / scale
  return microfarads > 0.3 ? { ...base, runMicrofarads: microfarads } : undefined
}

const torqueOfPlate = ({ nameplate }: VirtualMachine) =>
  ratedTorque({ horsepower: nameplate.horsepower as number, hertz: HERTZ, poles: POLES })

const point = (volts: number, slip: number) => ({ volts: Math.max(volts, 1), hertz: HERTZ, poles: POLES, slip })

function standstill(machine: VirtualMachine, volts: number, selector: 1 | 0.5 | 2): MotorRun | undefined {
  const { main, scale } = wired(machine, selector)
  const { motor, cable } = machine
  const aux = auxiliary(machine, scale, true)
  if (motor.runOpen || cable.open === 'run') return undefined
  if (cable.swapped !== 'no') return undefined
  return runMotor(main, point(volts, 1), aux)
}

function standstillAmps(machine: VirtualMachine, volts: number, selector: 1 | 0.5 | 2): number {
  const run = standstill(machine, volts, selector)
  if (run) return run.inputAmps
  const { motor, cable } = machine
  const { scale } = wired(machine, selector)
  if (cable.swapped !== 'no')
    return (
      volts /
      Math.hypot(
        motor.auxOhms * scale * (cable.swapped === 'common-start' ? 1.5 : 1),
        motor.auxReactanceOhms * scale + motor.circuit.x2Ohms,
      )
    )
  const aux = auxiliary(machine, scale, true)
  if (!aux) return 0
  const reactance = aux.runMicrofarads === undefined ? 0 : 1e6 / (2 * Math.PI * HERTZ * aux.runMicrofarads)
  return volts / Math.hypot(aux.auxOhms + motor.circuit.r2Ohms * scale, aux.auxReactanceOhms - reactance)
}

function startTorqueShare(machine: VirtualMachine, volts: number, selector: 1 | 0.5 | 2): number {
  const run = standstill(machine, volts, selector)
  return run ? Math.abs(run.developedTorqueNewtonMetres) / torqueOfPlate(machine) : 0
}

/** Slip at which the motor carries its load, by the load's square law; undefined where it cannot. */
function runningPoint(
  machine: VirtualMachine,
  source: number,
  line: number,
  selector: 1 | 0.5 | 2,
): { amps: number; volts: number; speed: number } | undefined {
  const { main, scale } = wired(machine, selector)
  const aux = auxiliary(machine, scale, false)
  const rated = torqueOfPlate(machine)
  const carried = (slip: number) => {
    const at = settle(source, line, (volts) => runMotor(main, point(volts, slip), aux).inputAmps)
    const { overspeed } = machine.motor
    const load =
      (waterPoint(machine, ((1 - slip) / 0.96) * overspeed).load * overspeed ** 2 + machine.motor.friction) * rated
    return {
      ...at,
      speed: 1 - slip,
      excess: runMotor(main, point(at.volts, slip), aux).developedTorqueNewtonMetres - load,
    }
  }
  let low = 0.004
  // Up the curve from synchronous speed until the torque is enough.
  for (let slip = 0.008; slip <= 0.22; slip += 0.008) {
    if (carried(slip).excess < 0) {
      low = slip
      continue
    }
    let high = slip
    for (let turn = 0; turn < 8; turn++) {
      const middle = (low + high) / 2
      if (carried(middle).excess < 0) low = middle
      else high = middle
    }
    return carried(high)
  }
  return undefined
}

/** What the sound machine draws at its plate's volts and rated load. */
export function ratedAmps(machine: VirtualMachine): number {
  if (machine.motorType === 'electronic') return machine.nameplate.fullLoadAmps as number
  return (runningPoint(machine, machine.nameplate.volts, 0, 1) ?? { amps: machine.nameplate.fullLoadAmps as number })
    .amps
}

/** Volts and amps once the line has dropped its part: a few turns are enough for these lines. */
function settle(source: number, lineOhms: number, draws: (volts: number) => number): { volts: number; amps: number } {
  let volts = source
  let amps = 0
  for (let turn = 0; turn < 6; turn++) {
    amps = draws(volts)
    volts = (volts + Math.max(0, source - amps * lineOhms * 0.85)) / 2
  }
  return { volts, amps }
}
