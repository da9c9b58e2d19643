import { quadratureCapacitor, runMotor, slipTorque, startCurrents, startTorque } from '../electrical/motor-circuit'
import type { Basis } from '../judgement/judgement'
import { formatNumber as n } from '../quantity/format'
import { badField } from '../validation/input-error'
import { OptionalQuantity, Quantity } from '../validation/rules'
import { defineWorking } from './define-working'

const FIELDS: Basis = {
  kind: 'handbook',
  name: 'double revolving field; each field takes half of rotor and magnetising values',
}
const STANDSTILL: Basis = {
  kind: 'handbook',
  name: 'at standstill the windings do not see each other; torque = k · Im · Ia · sin(angle)',
}
const OHMS = { above: 0, max: 1e5 }

class MotorCircuitInput {
  @Quantity(OHMS) r1Ohms!: number
  @Quantity({ min: 0, max: 1e5 }) x1Ohms!: number
  @Quantity(OHMS) r2Ohms!: number
  @Quantity({ min: 0, max: 1e5 }) x2Ohms!: number
  @Quantity(OHMS) xmOhms!: number
  @Quantity({ above: 0, max: 1000 }) volts!: number
  @Quantity({ above: 0, max: 1000 }) hertz!: number
  @Quantity({ min: 2, max: 24 }) poles!: number
  @Quantity({ min: 0, max: 2 }) slip!: number
  @OptionalQuantity({ min: 0, max: 1e5 }) coreLossWatts?: number
  @OptionalQuantity({ min: 0, max: 1e5 }) frictionWatts?: number
  @OptionalQuantity(OHMS) auxOhms?: number
  @OptionalQuantity({ min: 0, max: 1e5 }) auxReactanceOhms?: number
  @OptionalQuantity({ above: 0, max: 20 }) turnsRatio?: number
  @OptionalQuantity({ above: 0, max: 1e5 }) runMicrofarads?: number
}

export const motorCircuit = defineWorking({
  name: 'motor-circuit',
  title: 'What should this motor draw and turn?',
  input: MotorCircuitInput,
  basis: FIELDS,
  run: ({ auxOhms, auxReactanceOhms, turnsRatio, runMicrofarads, ...rest }) => {
    const given = { auxOhms, auxReactanceOhms, turnsRatio, runMicrofarads }
    const missing = Object.entries(given).find(([, value]) => value === undefined)
    const some = Object.values(given).some((value) => value !== undefined)
    if (some && missing)
      throw badField(
        missing[0],
        undefined,
        'auxOhms, auxReactanceOhms, turnsRatio and runMicrofarads together, or none of them',
      )
    const point = runMotor(
      rest,
      rest,
      some
        ? (given as Required<typeof given> & { auxOhms: number; auxReactanceOhms: number; turnsRatio: number })
        : undefined,
    )
    const synchronous = (120 * rest.hertz) / rest.poles
    return {
      ...point,
      basis: FIELDS,
      steps: [
        `synchronous ${n(synchronous)} rpm, slip ${n(rest.slip)}: ${n(point.speedRpm)} rpm`,
        `input ${n(point.inputAmps, 4)} A at power factor ${n(point.powerFactor)}: ${n(point.inputWatts, 4)} W`,
        `air gap: forward ${n(point.airGapForwardWatts, 4)} W, backward ${n(point.airGapBackwardWatts, 4)} W`,
        `torque = difference / synchronous speed = ${n(point.developedTorqueNewtonMetres)} N·m`,
        `shaft ${n(point.shaftWatts, 4)} W, efficiency ${n(100 * point.efficiency)} %`,
      ],
      ...(point.shaftWatts < 0 && rest.slip < 1
        ? { cautions: ['At this slip losses exceed what crosses the air gap: the motor would slow down.'] }
        : {}),
    }
  },
})

class StartInput {
  @Quantity({ above: 0, max: 1000 }) volts!: number
  @Quantity(OHMS) mainOhms!: number
  @Quantity(OHMS) mainReactanceOhms!: number
  @Quantity(OHMS) auxOhms!: number
  @Quantity({ min: 0, max: 1e5 }) auxReactanceOhms!: number
  @Quantity({ above: 0, max: 1e5 }) ratedMicrofarads!: number
  @Quantity({ above: 0, max: 1e5 }) measuredMicrofarads!: number
  @Quantity({ above: 0, max: 1000 }) hertz!: number
}

export const motorStart = defineWorking({
  name: 'motor-start',
  title: 'Does this capacitor explain the hum?',
  input: StartInput,
  basis: STANDSTILL,
  run: ({ ratedMicrofarads, measuredMicrofarads, ...windings }) => {
    const [rated, measured] = [startCurrents(windings, ratedMicrofarads), startCurrents(windings, measuredMicrofarads)]
    const torqueRatio = startTorque(measured) / startTorque(rated)
    const line = (name: string, microfarads: number, at: typeof rated) =>
      `${name} ${n(microfarads)} μF: main ${n(at.mainAmps)} A, start ${n(at.auxAmps)} A, ${n(at.angleDegrees)}° ` +
      `apart, ${n(at.capacitorVolts)} V across the capacitor`
    return {
      rated,
      measured,
      torqueRatio,
      basis: STANDSTILL,
      steps: [
        line('rated', ratedMicrofarads, rated),
        line('measured', measuredMicrofarads, measured),
        `start torque = ${n(100 * torqueRatio)} % of that with the rated capacitor`,
      ],
    }
  },
})

class SlipTorqueInput {
  @Quantity({ above: 0, max: 1000 }) hertz!: number
  @Quantity({ min: 2, max: 24 }) poles!: number
  @Quantity({ above: 0, max: 60000 }) rpm!: number
  @Quantity({ min: 0, max: 1e6 }) shaftWatts!: number
}

export const slipTorqueWorking = defineWorking({
  name: 'slip-torque',
  title: 'What torque is at the shaft?',
  input: SlipTorqueInput,
  basis: { kind: 'handbook', name: 'ns = 120 f / p; T = P / ω' },
  run: (input) => {
    const found = slipTorque(input)
    return {
      ...found,
      basis: slipTorqueWorking.basis,
      steps: [
        `ns = 120 × ${n(input.hertz)} / ${n(input.poles)} = ${n(found.synchronousRpm)} rpm`,
        `slip = (${n(found.synchronousRpm)} − ${n(input.rpm)}) / ${n(found.synchronousRpm)} = ${n(found.slip)}`,
        `T = ${n(input.shaftWatts)} W / (2π × ${n(input.rpm)} / 60) = ${n(found.torqueNewtonMetres, 4)} N·m`,
      ],
    }
  },
}) as ReturnType<typeof defineWorking<SlipTorqueInput, object>>

class StartCapacitorInput {
  @Quantity(OHMS) mainOhms!: number
  @Quantity(OHMS) mainReactanceOhms!: number
  @Quantity(OHMS) auxOhms!: number
  @Quantity({ min: 0, max: 1e5 }) auxReactanceOhms!: number
  @Quantity({ above: 0, max: 1000 }) hertz!: number
}

export const startCapacitor = defineWorking({
  name: 'start-capacitor',
  title: 'Which start capacitor would be right?',
  input: StartCapacitorInput,
  basis: STANDSTILL,
  run: (input) => {
    const { microfarads, reactanceOhms } = quadratureCapacitor(input)
    return {
      microfarads,
      capacitiveReactanceOhms: reactanceOhms,
      basis: STANDSTILL,
      steps: [
        `currents in quadrature: Xc = Xa + Ra·Rm/Xm = ${n(reactanceOhms, 4)} Ω`,
        `C = 10⁶ / (2π × ${n(input.hertz)} Hz × ${n(reactanceOhms, 4)} Ω) = ${n(microfarads, 4)} μF`,
      ],
    }
  },
})
