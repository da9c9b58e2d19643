import type { MotorCircuit } from '../electrical/motor-circuit'
import type { Kind, MotorType } from '../knowledge/vocabulary'
import { WATTS_PER_HORSEPOWER } from '../quantity/conversions'
import type { Chance } from '../quantity/random'

/**
 * A motor designed from its duty alone, with numbers of its own: the engine's tables of amps, windings and capacitors
 * are not known here.
 */
export interface MotorPlan {
  circuit: MotorCircuit
  auxiliary: { auxOhms: number; auxReactanceOhms: number; turnsRatio: number }
  /** What is printed on the can, microfarads; absent where the type has none. */
  runMicrofarads?: number
  startMicrofarads?: [number, number]
}

/**
 * A single-phase motor in shares of volts² over watts: the quarter-horse worked example of Fitzgerald, Kingsley and
 * Umans, Electric Machinery (R1 2.02, X1 2.79, R2 4.12, X2 2.12, Xm 66.8 Ω at 110 V; from memory). Larger ones draw
 * relatively less to magnetise.
 */
const EXAMPLE = { volts: 110, horsepower: 0.25, r1: 2.02, x1: 2.79, r2: 4.12, x2: 2.12, xm: 66.8 }
const MAGNETISES_LESS = 0.16
/** Two-pole pump motors are wound with less rotor resistance than the four-pole example. */
const TWO_POLE_ROTOR = 0.78

/** Ohms of the start winding over the main one's, by what stands in series with it. */
const START_OVER_MAIN: Record<MotorType, readonly [number, number]> = {
  'split-phase': [3.2, 4.6],
  'capacitor-start': [2, 3.1],
  'capacitor-start-run': [1.8, 2.7],
  'permanent-split': [1.5, 2.4],
  electronic: [1, 1],
}
const START_OVER_MAIN_OF_BOX = [3.5, 4.5] as const
const SPREAD = 0.12
const CAN_SIZES = [7.5, 10, 12.5, 15, 17.5, 20, 25, 30, 35, 40, 45, 50, 55, 60, 70, 80, 100, 120, 140]
const HERTZ = 60
const OMEGA = 2 * Math.PI * HERTZ

/** Draws a motor for its horsepower and volts. */
export function planMotor(
  { kind, motorType, horsepower, volts }: { kind: Kind; motorType: MotorType; horsepower: number; volts: number },
  chance: Chance,
): MotorPlan {
  const scale =
    volts ** 2 /
    (horsepower * WATTS_PER_HORSEPOWER) /
    (EXAMPLE.volts ** 2 / (EXAMPLE.horsepower * WATTS_PER_HORSEPOWER))
  const vary = () => Math.max(0.7, chance.normal(1, SPREAD))
  const circuit: MotorCircuit = {
    r1Ohms: EXAMPLE.r1 * scale * vary(),
    x1Ohms: EXAMPLE.x1 * scale * vary(),
    r2Ohms: EXAMPLE.r2 * TWO_POLE_ROTOR * scale * vary(),
    x2Ohms: EXAMPLE.x2 * scale * vary(),
    xmOhms: EXAMPLE.xm * scale * (horsepower / EXAMPLE.horsepower) ** MAGNETISES_LESS * vary(),
  }
  const [low, high] = kind === 'well-three-wire' ? START_OVER_MAIN_OF_BOX : START_OVER_MAIN[motorType]
  const turnsRatio = motorType === 'split-phase' ? chance.between(0.7, 0.8) : chance.between(1.15, 1.35)
  const auxiliary = {
    auxOhms: circuit.r1Ohms * chance.between(low, high),
    auxReactanceOhms: circuit.x1Ohms * turnsRatio ** 2 * (motorType === 'split-phase' ? 0.55 : 0.85),
    turnsRatio,
  }
  const run = motorType === 'permanent-split' || motorType === 'capacitor-start-run'
  const start = motorType === 'capacitor-start' || motorType === 'capacitor-start-run'
  return {
    circuit,
    auxiliary,
    ...(run ? { runMicrofarads: nearest(runCan(horsepower, volts, turnsRatio) * chance.between(0.9, 1.15)) } : {}),
    ...(start ? { startMicrofarads: startCan(circuit, auxiliary) } : {}),
  }
}

/**
 * The run capacitor with which the start winding carries half the load a quarter turn ahead, and as much again for
 * something to start with (the usual compromise of a permanent-split motor).
 */
function runCan(horsepower: number, volts: number, turnsRatio: number): number {
  const watts = (horsepower * WATTS_PER_HORSEPOWER) / 0.68
  const amps = watts / 2 / (volts * turnsRatio)
  const acrossCan = volts * Math.hypot(1, turnsRatio)
  return (2.1e6 * amps) / (OMEGA * acrossCan)
}

/** The start capacitor that puts the two currents a quarter turn apart at rest; printed as a range of a fifth. */
function startCan(
  { r1Ohms, x1Ohms, r2Ohms, x2Ohms }: MotorCircuit,
  { auxOhms, auxReactanceOhms, turnsRatio }: MotorPlan['auxiliary'],
): [number, number] {
  const main = { r: r1Ohms + r2Ohms, x: x1Ohms + x2Ohms }
  const aux = { r: auxOhms + turnsRatio ** 2 * r2Ohms, x: auxReactanceOhms + turnsRatio ** 2 * x2Ohms }
  const reactance = aux.x + (aux.r * main.r) / main.x
  const microfarads = 1e6 / (OMEGA * reactance)
  return [Math.round(microfarads), Math.round(microfarads * 1.2)]
}

function nearest(microfarads: number): number {
  return CAN_SIZES.reduce((best, size) => (Math.abs(size - microfarads) < Math.abs(best - microfarads) ? size : best))
}
