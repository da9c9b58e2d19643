import { Complex } from 'complex.js'

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
  return new Complex(0, -1e6 / (2 * Math.PI * hertz * microfarads))
}

/** Half of the rotor as one revolving field sees it, at its own slip. */
function fieldImpedance({ r2Ohms, x2Ohms, xmOhms }: MotorCircuit, slip: number): Complex {
  // At no slip at all the rotor carries nothing.
  if (slip < 1e-9) return new Complex(0, xmOhms / 2)
  return parallel(new Complex(0, xmOhms / 2), new Complex(r2Ohms / (2 * slip), x2Ohms / 2))
}

/** Two impedances side by side. */
function parallel(a: Complex, b: Complex): Complex {
  return a.mul(b).div(a.add(b))
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
  const mainOwn = new Complex(circuit.r1Ohms, circuit.x1Ohms).add(forward).add(backward)
  let main = new Complex(volts).div(mainOwn)
  let aux = Complex.ZERO
  const turns = auxiliary?.turnsRatio ?? 0
  const series =
    auxiliary?.runMicrofarads === undefined ? Complex.ZERO : capacitorImpedance(auxiliary.runMicrofarads, hertz)
  if (auxiliary) {
    const mutual = new Complex(0, turns).mul(forward.sub(backward))
    const auxOwn = new Complex(auxiliary.auxOhms, auxiliary.auxReactanceOhms)
      .add(series)
      .add(forward.add(backward).mul(turns ** 2))
    // V = mainOwn·Im − mutual·Ia and V = mutual·Im + auxOwn·Ia.
    const determinant = mainOwn.mul(auxOwn).add(mutual.mul(mutual))
    main = auxOwn.add(mutual).mul(volts).div(determinant)
    aux = mainOwn.sub(mutual).mul(volts).div(determinant)
  }
  const turned = new Complex(0, turns).mul(aux)
  const line = main.add(aux)
  const airGapForwardWatts = forward.re * main.sub(turned).abs() ** 2
  const airGapBackwardWatts = backward.re * main.add(turned).abs() ** 2
  const synchronous = (4 * Math.PI * hertz) / poles
  const developed = airGapForwardWatts - airGapBackwardWatts
  const shaftWatts = (1 - slip) * developed - coreLossWatts - frictionWatts
  const inputWatts = volts * line.re
  const inputAmps = line.abs()
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
          mainAmps: main.abs(),
          auxAmps: aux.abs(),
          ...(auxiliary.runMicrofarads === undefined ? {} : { capacitorVolts: aux.mul(series).abs() }),
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
  const series = microfarads === undefined ? Complex.ZERO : capacitorImpedance(microfarads, hertz)
  const main = new Complex(volts).div(new Complex(mainOhms, mainReactanceOhms))
  const aux = new Complex(volts).div(new Complex(auxOhms, auxReactanceOhms).add(series))
  return {
    mainAmps: main.abs(),
    auxAmps: aux.abs(),
    lineAmps: main.add(aux).abs(),
    angleDegrees: ((aux.arg() - main.arg()) * 180) / Math.PI,
    capacitorVolts: aux.mul(series).abs(),
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
