import { TYPICAL_MOTOR } from '../knowledge/electrical/typical-motor'
import { MOTOR_HAS, type CompletePlate } from '../motor/nameplate'
import { WATTS_PER_HORSEPOWER } from '../quantity/conversions'
import { runMotor, type AuxiliaryCircuit, type MotorCircuit } from './motor-circuit'

/** A motor's equivalent circuit and its start winding. */
export interface TypicalMotor {
  circuit: MotorCircuit
  auxiliary: Omit<AuxiliaryCircuit, 'runMicrofarads'>
  poles: number
}

/** The typical motor of this plate: winding ohms as given, the rest scaled from volts and amps. */
export function typicalMotor(
  { volts, fullLoadAmps, motorType }: Pick<CompletePlate, 'volts' | 'fullLoadAmps' | 'motorType'>,
  runOhms: number,
  startOhms: number,
): TypicalMotor {
  const { x1, r2, x2, xm, auxReactance, runCapacitorWinding } = TYPICAL_MOTOR
  const { reactanceShare, turnsRatio } = TYPICAL_MOTOR.auxiliary[motorType]
  const base = (volts / fullLoadAmps) * (MOTOR_HAS.runCapacitor(motorType) ? runCapacitorWinding : 1)
  return {
    circuit: { r1Ohms: runOhms, x1Ohms: x1 * base, r2Ohms: r2 * base, x2Ohms: x2 * base, xmOhms: xm * base },
    poles: TYPICAL_MOTOR.poles,
    auxiliary: { auxOhms: startOhms, auxReactanceOhms: auxReactance * base * reactanceShare, turnsRatio },
  }
}

/** Torque of the rated horsepower at full-load slip, newton metres. */
export function ratedTorque({
  horsepower,
  hertz,
  poles,
}: {
  horsepower: number
  hertz: number
  poles: number
}): number {
  return (horsepower * WATTS_PER_HORSEPOWER) / (((4 * Math.PI * hertz) / poles) * (1 - TYPICAL_MOTOR.fullLoadSlip))
}

export interface StartEstimate {
  /** Start torque over the torque of the rated horsepower. */
  torqueShare: number
  /** Line amps with the rotor at rest. */
  amps: number
}

/**
 * What the motor does at standstill with these capacitors at these volts.
 *
 * @param microfarads in the start winding while starting: run and start capacitor together; undefined where the
 *   winding hangs straight on the line
 */
export function estimateStart(
  { circuit, auxiliary, poles }: TypicalMotor,
  { volts, hertz, horsepower, microfarads }: { volts: number; hertz: number; horsepower: number; microfarads?: number },
): StartEstimate {
  const rated = ratedTorque({ horsepower, hertz, poles })
  const carries = microfarads === undefined || microfarads > TYPICAL_MOTOR.carriesFromMicrofarads
  const run = runMotor(
    circuit,
    { volts: Math.max(volts, 1), hertz, poles, slip: 1 },
    carries ? { ...auxiliary, ...(microfarads === undefined ? {} : { runMicrofarads: microfarads }) } : undefined,
  )
  return { torqueShare: Math.abs(run.developedTorqueNewtonMetres) / rated, amps: run.inputAmps }
}

/**
 * Line amps at the slip where the motor gives its rated torque, with this run capacitor at these volts; undefined where
 * it cannot.
 */
export function estimateRunning(
  { circuit, auxiliary, poles }: TypicalMotor,
  {
    volts,
    hertz,
    horsepower,
    runMicrofarads,
  }: { volts: number; hertz: number; horsepower: number; runMicrofarads?: number },
): number | undefined {
  const rated = ratedTorque({ horsepower, hertz, poles })
  const aux =
    runMicrofarads !== undefined && runMicrofarads > TYPICAL_MOTOR.carriesFromMicrofarads
      ? { ...auxiliary, runMicrofarads }
      : undefined
  const { from, to, step } = TYPICAL_MOTOR.runningSlip
  for (let slip = from; slip <= to; slip += step) {
    const run = runMotor(circuit, { volts: Math.max(volts, 1), hertz, poles, slip }, aux)
    if (run.developedTorqueNewtonMetres >= rated) return run.inputAmps
  }
  return undefined
}
