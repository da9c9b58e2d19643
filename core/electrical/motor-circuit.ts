import {
  add,
  argument,
  complex,
  divide,
  modulus,
  multiply,
  parallel,
  scale,
  subtract,
  type Complex,
} from '../quantity/complex'

/**
 * Equivalent circuit of a single-phase induction motor. Rotor and magnetising values as seen by the main winding, full
 * values: each revolving field takes half.
 */
export interface MotorCircuit {
  r1Ohms: number
  x1Ohms: number
  r2Ohms: number
  x2Ohms: number
  xmOhms: number
}
/** The second winding, a quarter turn away in space, with what stands in series with it. */
export interface AuxiliaryCircuit {
  auxOhms: number
  auxReactanceOhms: number
  turnsRatio: number
  runMicrofarads?: number
}
export interface RunningPoint {
  volts: number
  hertz: number
  poles: number
  slip: number
  coreLossWatts?: number
  frictionWatts?: number
}

export interface MotorRun {
  inputAmps: number
  powerFactor: number
  inputWatts: number
  airGapForwardWatts: number
  airGapBackwardWatts: number
  developedTorqueNewtonMetres: number
  shaftWatts: number
  shaftTorqueNewtonMetres: number
  speedRpm: number
  efficiency: number
  mainAmps?: number
  auxAmps?: number
  capacitorVolts?: number
}

/** Reactance of a capacitor as a complex impedance, Ω. */
export function capacitorImpedance(microfarads: number, hertz: number): Complex {
  return complex(0, -1e6 / (2 * Math.PI * hertz * microfarads))
}

/** Half of the rotor as one revolving field sees it, at its own slip. */
function fieldImpedance({ r2Ohms, x2Ohms, xmOhms }: MotorCircuit, slip: number): Complex {
  // At no slip at all the rotor carries nothing.
  if (slip < 1e-9) return complex(0, xmOhms / 2)
  return parallel(complex(0, xmOhms / 2), complex(r2Ohms / (2 * slip), x2Ohms / 2))
}

/**
 * A single-phase motor at one slip by the double-revolving-field theory, with its auxiliary winding in circuit where
 * one is given.
 *
 * Core loss and friction are taken off the mechanical power.
 *
 * @returns amps, watts, newton metres and rpm; `efficiency` 0 to 1
 * @source double revolving field after Fitzgerald, Kingsley and Umans, Electric Machinery; two unequal windings in
 *   quadrature by the same fields
 */
export function runMotor(
  circuit: MotorCircuit,
  { volts, hertz, poles, slip, coreLossWatts = 0, frictionWatts = 0 }: RunningPoint,
  auxiliary?: AuxiliaryCircuit,
): MotorRun {
  const forward = fieldImpedance(circuit, slip)
  const backward = fieldImpedance(circuit, 2 - slip)
  const supply = complex(volts)
  const mainOwn = add(complex(circuit.r1Ohms, circuit.x1Ohms), forward, backward)
  let main = divide(supply, mainOwn)
  let aux = complex(0)
  const turns = auxiliary?.turnsRatio ?? 0
  const series =
    auxiliary?.runMicrofarads === undefined ? complex(0) : capacitorImpedance(auxiliary.runMicrofarads, hertz)
  if (auxiliary) {
    const mutual = multiply(complex(0, turns), subtract(forward, backward))
    const auxOwn = add(
      complex(auxiliary.auxOhms, auxiliary.auxReactanceOhms),
      series,
      scale(add(forward, backward), turns ** 2),
    )
    // V = mainOwn·Im − mutual·Ia and V = mutual·Im + auxOwn·Ia.
    const determinant = add(multiply(mainOwn, auxOwn), multiply(mutual, mutual))
    main = divide(multiply(supply, add(auxOwn, mutual)), determinant)
    aux = divide(multiply(supply, subtract(mainOwn, mutual)), determinant)
  }
  const turned = multiply(complex(0, turns), aux)
  const line = add(main, aux)
  const airGapForwardWatts = forward.re * modulus(subtract(main, turned)) ** 2
  const airGapBackwardWatts = backward.re * modulus(add(main, turned)) ** 2
  const synchronous = (4 * Math.PI * hertz) / poles
  const developed = airGapForwardWatts - airGapBackwardWatts
  const shaftWatts = (1 - slip) * developed - coreLossWatts - frictionWatts
  const inputWatts = volts * line.re
  const inputAmps = modulus(line)
  const speed = synchronous * (1 - slip)
  return {
    inputAmps,
    powerFactor: inputWatts / (volts * inputAmps),
    inputWatts,
    airGapForwardWatts,
    airGapBackwardWatts,
    developedTorqueNewtonMetres: developed / synchronous,
    shaftWatts,
    shaftTorqueNewtonMetres: speed > 0 ? shaftWatts / speed : developed / synchronous,
    speedRpm: (120 * hertz * (1 - slip)) / poles,
    efficiency: inputWatts > 0 ? Math.max(0, shaftWatts) / inputWatts : 0,
    ...(auxiliary
      ? {
          mainAmps: modulus(main),
          auxAmps: modulus(aux),
          ...(auxiliary.runMicrofarads === undefined ? {} : { capacitorVolts: modulus(multiply(aux, series)) }),
        }
      : {}),
  }
}

export interface StartWindings {
  volts: number
  mainOhms: number
  mainReactanceOhms: number
  auxOhms: number
  auxReactanceOhms: number
  hertz: number
}
export interface StartCurrents {
  mainAmps: number
  auxAmps: number
  lineAmps: number
  angleDegrees: number
  capacitorVolts: number
}

/**
 * Currents of the two windings at standstill with a capacitor in series with the auxiliary one.
 *
 * @param microfarads of the capacitor, or undefined where the winding hangs straight on the line
 * @returns amps, the angle by which the auxiliary current leads the main one, and the volts across the capacitor
 */
export function startCurrents(
  { volts, mainOhms, mainReactanceOhms, auxOhms, auxReactanceOhms, hertz }: StartWindings,
  microfarads?: number,
): StartCurrents {
  const series = microfarads === undefined ? complex(0) : capacitorImpedance(microfarads, hertz)
  const main = divide(complex(volts), complex(mainOhms, mainReactanceOhms))
  const aux = divide(complex(volts), add(complex(auxOhms, auxReactanceOhms), series))
  return {
    mainAmps: modulus(main),
    auxAmps: modulus(aux),
    lineAmps: modulus(add(main, aux)),
    angleDegrees: ((argument(aux) - argument(main)) * 180) / Math.PI,
    capacitorVolts: modulus(multiply(aux, series)),
  }
}

/** Start torque in proportion: the two currents times the sine between them. */
export function startTorque({ mainAmps, auxAmps, angleDegrees }: StartCurrents): number {
  return mainAmps * auxAmps * Math.sin((angleDegrees * Math.PI) / 180)
}

/**
 * The capacitor that puts the two currents a quarter period apart at standstill, microfarads.
 *
 * @throws nothing: a positive resistance and reactance always have one
 */
export function quadratureCapacitor({
  mainOhms,
  mainReactanceOhms,
  auxOhms,
  auxReactanceOhms,
  hertz,
}: Omit<StartWindings, 'volts'>): { microfarads: number; reactanceOhms: number } {
  const reactanceOhms = auxReactanceOhms + (auxOhms * mainOhms) / mainReactanceOhms
  return { microfarads: 1e6 / (2 * Math.PI * hertz * reactanceOhms), reactanceOhms }
}

/** Synchronous speed, slip and shaft torque from speed and power. */
export function slipTorque({
  hertz,
  poles,
  rpm,
  shaftWatts,
}: {
  hertz: number
  poles: number
  rpm: number
  shaftWatts: number
}): { synchronousRpm: number; slip: number; torqueNewtonMetres: number } {
  const synchronousRpm = (120 * hertz) / poles
  return {
    synchronousRpm,
    slip: (synchronousRpm - rpm) / synchronousRpm,
    torqueNewtonMetres: shaftWatts / ((2 * Math.PI * rpm) / 60),
  }
}
