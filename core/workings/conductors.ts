import { IsBoolean, IsIn, IsString, MaxLength } from 'class-validator'
import {
  longestRun,
  motorVolts,
  ohmsPerKilometre,
  sizeByAmpacity,
  sizeCandidates,
  startingVoltage,
  type LineLoad,
} from '../electrical/conductor'
import { lockedRotorRange, tableFullLoadAmps } from '../electrical/motor-table'
import { METALS, SUPPLY } from '../knowledge/electrical/limits'
import { FULL_LOAD_BASIS } from '../knowledge/electrical/motors'
import { AMPACITY_BASIS, CODE_LETTER_BASIS, CONDUCTOR, MOTOR_BRANCH, WIRE_CELSIUS } from '../knowledge/electrical/wire'
import type { Metal } from '../electrical/winding'
import type { Verdict } from '../judgement/judgement'
import { formatNumber as n } from '../quantity/format'
import { MayBeAbsent, OptionalQuantity, Quantity } from '../validation/rules'
import { badField } from '../validation/input-error'
import { cautioned, defineWorking } from './define-working'

/** A wire by gauge, by area or by its ohms. */
class ConductorFields {
  @MayBeAbsent() @IsString() @MaxLength(4) awg?: string
  @OptionalQuantity({ above: 0, max: 2000 }) squareMillimetres?: number
  @OptionalQuantity({ above: 0, max: 1e6 }) ohmsPerKilometre?: number
  @MayBeAbsent() @IsBoolean() stranded?: boolean
}

class ResistanceInput extends ConductorFields {
  @Quantity({ above: 0, max: 1e6 }) lengthMetres!: number
  @OptionalQuantity({ min: -100, max: 250 }) celsius?: number
  @MayBeAbsent() @IsIn(Object.keys(METALS)) material?: Metal
}

export const conductorResistance = defineWorking({
  name: 'conductor-resistance',
  title: 'How many ohms has this wire?',
  input: ResistanceInput,
  basis: CONDUCTOR.basis,
  run: ({ lengthMetres, celsius = 20, material = 'copper', ...spec }) => {
    const perKilometre = ohmsPerKilometre(spec, celsius, material)
    const ohms = (perKilometre * lengthMetres) / 1000
    return {
      ohms,
      ohmsPerKilometre: perKilometre,
      basis: CONDUCTOR.basis,
      steps: [
        `${n(perKilometre, 4)} Ω/km at ${n(celsius)} °C`,
        `R = ${n(perKilometre, 4)} Ω/km × ${n(lengthMetres)} m / 1000 = ${n(ohms, 4)} Ω, one conductor`,
      ],
    }
  },
})

class LineFields extends ConductorFields {
  @Quantity({ above: 0, max: 1000 }) sourceVolts!: number
  @Quantity({ above: 0, max: 2000 }) amps!: number
  @OptionalQuantity({ min: 0, max: 10 }) reactanceOhmsPerKilometre?: number
  @OptionalQuantity({ min: -60, max: 250 }) celsius?: number
  @OptionalQuantity({ above: 0, max: 1 }) powerFactor?: number
  @MayBeAbsent() @IsIn([1, 3]) phases?: 1 | 3
}

const loadOf = ({
  sourceVolts,
  amps,
  powerFactor = 1,
  phases = 1,
}: Pick<LineFields, 'sourceVolts' | 'amps' | 'powerFactor' | 'phases'>): LineLoad => ({
  sourceVolts,
  amps,
  powerFactor,
  phases,
})
const perKilometreOf = (
  { awg, squareMillimetres, ohmsPerKilometre: given, stranded }: ConductorFields,
  celsius: number,
): number => ohmsPerKilometre({ awg, squareMillimetres, ohmsPerKilometre: given, stranded }, celsius)

class VoltageDropInput extends LineFields {
  @Quantity({ min: 0, max: 1e5 }) oneWayMetres!: number
}

export const voltageDrop = defineWorking({
  name: 'voltage-drop',
  title: 'Is the wire heavy enough?',
  input: VoltageDropInput,
  basis: SUPPLY.dropBasis,
  run: (input) => {
    const {
      oneWayMetres,
      celsius = WIRE_CELSIUS.value,
      reactanceOhmsPerKilometre = 0,
      sourceVolts,
      amps,
      powerFactor = 1,
      phases = 1,
    } = input
    const perKilometre = perKilometreOf(input, celsius)
    const [ohms, reactance] = [(perKilometre * oneWayMetres) / 1000, (reactanceOhmsPerKilometre * oneWayMetres) / 1000]
    const volts = motorVolts(loadOf(input), ohms, reactance)
    const drop = sourceVolts - volts
    const fraction = drop / sourceVolts
    const verdict: Verdict =
      fraction > SUPPLY.dropFraction ? 'failed' : fraction > SUPPLY.tiredDropFraction ? 'tired' : 'sound'
    const loop = phases === 1 ? 2 : 1
    return {
      dropVolts: drop,
      dropPercent: 100 * fraction,
      motorVolts: volts,
      verdict,
      basis: SUPPLY.dropBasis,
      steps: [
        `${phases === 1 ? 'loop, there and back' : 'one conductor'}: ${loop} × ${n(oneWayMetres)} m × ` +
          `${n(perKilometre, 4)} Ω/km = ${n(loop * ohms, 4)} Ω`,
        `|Vm + I·Z| = ${n(sourceVolts)} V with ${n(amps)} A at power factor ${n(powerFactor)}: Vm = ${n(volts, 4)} V`,
        `drop = ${n(drop)} V = ${n(100 * fraction)} %`,
      ],
    }
  },
})

class LongestRunInput extends LineFields {
  @Quantity({ above: 0, max: 50 }) dropPercent!: number
}

export const longestRunWorking = defineWorking({
  name: 'longest-run',
  title: 'How far may this wire go?',
  input: LongestRunInput,
  basis: SUPPLY.dropBasis,
  run: (input) => {
    const { dropPercent, celsius = WIRE_CELSIUS.value, reactanceOhmsPerKilometre = 0 } = input
    const perKilometre = perKilometreOf(input, celsius)
    const oneWayMetres = longestRun(
      loadOf(input),
      dropPercent / 100,
      perKilometre / 1000,
      reactanceOhmsPerKilometre / 1000,
    )
    return {
      oneWayMetres,
      basis: SUPPLY.dropBasis,
      steps: [
        `wire ${n(perKilometre, 4)} Ω/km at ${n(celsius)} °C`,
        `allowed drop ${n(dropPercent)} % of ${n(input.sourceVolts)} V = ` +
          `${n((dropPercent / 100) * input.sourceVolts)} V`,
        `longest one-way run = ${n(oneWayMetres, 4)} m`,
      ],
    }
  },
})

class ConductorSizeInput {
  @Quantity({ above: 0, max: 1000 }) sourceVolts!: number
  @Quantity({ above: 0, max: 2000 }) amps!: number
  @Quantity({ above: 0, max: 1e5 }) oneWayMetres!: number
  @Quantity({ above: 0, max: 50 }) dropPercent!: number
  @OptionalQuantity({ min: -60, max: 250 }) celsius?: number
  @MayBeAbsent() @IsIn([1, 3]) phases?: 1 | 3
}

export const conductorSize = defineWorking({
  name: 'conductor-size',
  title: 'Which wire for this run?',
  input: ConductorSizeInput,
  basis: SUPPLY.dropBasis,
  run: ({ oneWayMetres, dropPercent, celsius = WIRE_CELSIUS.value, ...load }) => {
    const candidates = sizeCandidates(loadOf(load), oneWayMetres, dropPercent, celsius)
    const chosen = candidates.find(({ keepsDrop }) => keepsDrop)
    if (!chosen)
      throw badField(
        'oneWayMetres',
        oneWayMetres,
        `a shorter run, fewer amps or more drop: even ${candidates.at(-1)?.awg} AWG drops ` +
          `${n(candidates.at(-1)?.dropPercent as number)} %`,
      )
    const wanted = load.amps * MOTOR_BRANCH.factor
    const byAmpacityAwg = sizeByAmpacity(wanted)
    const cautions =
      chosen.ampacity < wanted
        ? [
            `${chosen.awg} AWG keeps the drop but carries ${chosen.ampacity} A: for a motor of ${n(load.amps)} ` +
              `A, 125 % is ${n(wanted)} A and wants ${byAmpacityAwg ?? 'more than 4/0'} AWG. ` +
              `${AMPACITY_BASIS.name}.`,
          ]
        : []
    return {
      awg: chosen.awg,
      dropPercent: chosen.dropPercent,
      candidates,
      ...(byAmpacityAwg ? { byAmpacityAwg } : {}),
      basis: SUPPLY.dropBasis,
      ...cautioned(cautions),
      steps: [
        `wanted: at most ${n(dropPercent)} % of ${n(load.sourceVolts)} V over ${n(oneWayMetres)} m at ` +
          `${n(load.amps)} A, wire at ${n(celsius)} °C`,
        ...candidates
          .slice(0, candidates.indexOf(chosen) + 1)
          .map(({ awg, dropPercent: drop }) => `${awg} AWG drops ${n(drop)} %`),
      ],
    }
  },
})

class FullLoadInput {
  @Quantity({ above: 0, max: 100 }) horsepower!: number
  @Quantity({ above: 0, max: 1000 }) volts!: number
  @MayBeAbsent() @IsIn([1, 3]) phases?: 1 | 3
}

export const fullLoadCurrent = defineWorking({
  name: 'full-load-current',
  title: 'What does this motor draw, and on which wire?',
  input: FullLoadInput,
  basis: FULL_LOAD_BASIS,
  run: ({ horsepower, volts, phases = 1 }) => {
    const { amps, tabulated } = tableFullLoadAmps(horsepower, volts, phases)
    const conductorAmps = amps * MOTOR_BRANCH.factor
    const conductorAwg = sizeByAmpacity(conductorAmps)
    const cautions = [
      ...(tabulated ? [] : ['Not a row and column of the table: taken between them.']),
      'Ampacity only: no derating, no voltage drop. The plate and local code win.',
    ]
    return {
      amps,
      conductorAmps,
      ...(conductorAwg ? { conductorAwg } : {}),
      basis: FULL_LOAD_BASIS,
      cautions,
      steps: [
        `table: ${n(horsepower)} hp at ${n(volts)} V, ${phases === 1 ? 'one phase' : 'three phases'}: ${n(amps)} A`,
        `conductor: 125 % × ${n(amps)} A = ${n(conductorAmps)} ` +
          `A${conductorAwg ? `, ${conductorAwg} AWG by its 60 °C column` : ', beyond the table'}`,
      ],
    }
  },
})

class StartingVoltageInput extends ConductorFields {
  @Quantity({ above: 0, max: 1000 }) sourceVolts!: number
  @Quantity({ above: 0, max: 1000 }) ratedVolts!: number
  @Quantity({ above: 0, max: 3000 }) lockedRotorAmps!: number
  @Quantity({ above: 0, max: 1 }) lockedRotorPowerFactor!: number
  @Quantity({ min: 0, max: 1e5 }) oneWayMetres!: number
  @OptionalQuantity({ min: -60, max: 250 }) celsius?: number
}

export const startingVoltageWorking = defineWorking({
  name: 'starting-voltage',
  title: 'Will it start at the end of this wire?',
  input: StartingVoltageInput,
  basis: { kind: 'common-practice', name: 'locked rotor as a constant impedance; torque goes with volts squared' },
  run: (input) => {
    const { celsius = WIRE_CELSIUS.value, oneWayMetres, ...rest } = input
    const perKilometre = perKilometreOf(input, celsius)
    const loopOhms = (2 * perKilometre * oneWayMetres) / 1000
    const start = startingVoltage({ ...rest, loopOhms })
    return {
      ...start,
      basis: startingVoltageWorking.basis,
      steps: [
        `rotor: ${n(rest.ratedVolts)} V / ${n(rest.lockedRotorAmps)} A = ` +
          `${n(rest.ratedVolts / rest.lockedRotorAmps, 4)} Ω at power factor ${n(rest.lockedRotorPowerFactor)}`,
        `loop ${n(loopOhms, 4)} Ω in series: ${n(start.startAmps, 4)} A, ${n(start.motorVolts, 4)} V at the motor`,
        `torque = (${n(start.motorVolts, 4)} / ${n(rest.ratedVolts)})² = ${n(100 * start.torqueFraction)} % of ` +
          'that at rated volts',
      ],
    }
  },
}) as ReturnType<typeof defineWorking<StartingVoltageInput, object>>

class CodeLetterInput {
  @IsString() @MaxLength(2) codeLetter!: string
  @Quantity({ above: 0, max: 100 }) horsepower!: number
  @Quantity({ above: 0, max: 1000 }) volts!: number
  @MayBeAbsent() @IsIn([1, 3]) phases?: 1 | 3
}

export const lockedRotorCode = defineWorking({
  name: 'locked-rotor-code',
  title: 'What does the code letter promise?',
  input: CodeLetterInput,
  basis: CODE_LETTER_BASIS,
  run: ({ codeLetter, horsepower, volts, phases = 1 }) => {
    const { low, below, lowAmps, highAmps } = lockedRotorRange(codeLetter, horsepower, volts, phases)
    return {
      kvaPerHorsepowerLow: low,
      ...(below === undefined ? {} : { kvaPerHorsepowerBelow: below }),
      lowAmps,
      ...(highAmps === undefined ? {} : { highAmps }),
      basis: CODE_LETTER_BASIS,
      steps: [
        `letter ${codeLetter.toUpperCase()}: ` +
          `${n(low)}${below === undefined ? ' kVA per hp and more' : ` to below ${n(below)} kVA per hp`}`,
        `I = kVA × ${n(horsepower)} hp × 1000 / ${n(volts)} V${phases === 3 ? ' / √3' : ''} = ` +
          `${n(lowAmps, 4)}${highAmps === undefined ? ' A and more' : ` to ${n(highAmps, 4)} A`}`,
      ],
    }
  },
})
