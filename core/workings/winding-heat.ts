import { Type } from 'class-transformer'
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, ValidateNested } from 'class-validator'
import { absorption } from '../electrical/absorption'
import { fitCooling, stallHeating, windingTemperature } from '../electrical/winding-heat'
import type { Basis, Verdict } from '../judgement/judgement'
import { ABSORPTION, RISE_LIMITS, type ThermalClass } from '../knowledge/electrical/wire'
import { formatNumber as n } from '../quantity/format'
import { q, say } from '../quantity/sentence'
import { badField } from '../validation/input-error'
import { MayBeAbsent, OptionalQuantity, Quantity } from '../validation/rules'
import { defineWorking } from './define-working'

const COOLING: Basis = {
  kind: 'standard',
  name: 'IEC 60034-1 resistance method; Newton cooling fitted on the logarithm',
}
const CELSIUS = { min: -60, max: 400 }

class WindingTemperatureInput {
  @Quantity({ above: 0, max: 1e6 }) coldOhms!: number
  @Quantity(CELSIUS) coldCelsius!: number
  @Quantity({ above: 0, max: 1e6 }) hotOhms!: number
  @OptionalQuantity(CELSIUS) ambientCelsius?: number
  @OptionalQuantity({ above: 100, max: 400 }) copperConstant?: number
  @MayBeAbsent() @IsIn(Object.keys(RISE_LIMITS.kelvin)) thermalClass?: ThermalClass
}

export const windingTemperatureWorking = defineWorking({
  name: 'winding-temperature',
  title: 'How hot is the winding inside?',
  input: WindingTemperatureInput,
  basis: RISE_LIMITS.basis,
  run: ({ coldOhms, coldCelsius, hotOhms, ambientCelsius = coldCelsius, copperConstant = 235, thermalClass }) => {
    const hotCelsius = windingTemperature(coldOhms, coldCelsius, hotOhms, copperConstant)
    const riseKelvin = hotCelsius - ambientCelsius
    const limitKelvin = thermalClass && RISE_LIMITS.kelvin[thermalClass]
    const verdict: Verdict | undefined =
      limitKelvin === undefined
        ? undefined
        : riseKelvin > limitKelvin
          ? 'failed'
          : riseKelvin > limitKelvin * 0.9
            ? 'tired'
            : 'sound'
    return {
      hotCelsius,
      riseKelvin,
      ...(limitKelvin === undefined ? {} : { limitKelvin, verdict }),
      basis: RISE_LIMITS.basis,
      steps: [
        `T = ${n(hotOhms)} / ${n(coldOhms)} × (${n(copperConstant)} + ${n(coldCelsius)}) − ${n(copperConstant)} ` +
          `= ${n(hotCelsius, 4)} °C`,
        `rise over ${n(ambientCelsius)} °C: ${n(riseKelvin, 4)} ` +
          `K${limitKelvin === undefined ? '' : `, limit ${limitKelvin} K in class ${thermalClass}`}`,
      ],
    }
  },
})

class CoolingReading {
  @Quantity({ min: 0, max: 1e6 }) seconds!: number
  @OptionalQuantity(CELSIUS) celsius?: number
  @OptionalQuantity({ above: 0, max: 1e6 }) ohms?: number
  @OptionalQuantity({ above: 0, max: 1e6 }) coldOhms?: number
  @OptionalQuantity(CELSIUS) coldCelsius?: number
}

class WindingCoolingInput {
  @Quantity(CELSIUS) ambientCelsius!: number
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(500)
  @ValidateNested({ each: true })
  @Type(() => CoolingReading)
  readings!: CoolingReading[]
  @OptionalQuantity(CELSIUS) targetCelsius?: number
  @OptionalQuantity({ above: 0, max: 1e6 }) coldOhms?: number
  @OptionalQuantity(CELSIUS) coldCelsius?: number
}

export const windingCooling = defineWorking({
  name: 'winding-cooling',
  title: 'How hot was it when it stopped, and when is it cool?',
  input: WindingCoolingInput,
  basis: COOLING,
  run: ({ ambientCelsius, readings, targetCelsius, coldOhms, coldCelsius }) => {
    const points = readings.map((reading, index) => {
      if (reading.celsius !== undefined) return { seconds: reading.seconds, celsius: reading.celsius }
      const [reference, at] = [reading.coldOhms ?? coldOhms, reading.coldCelsius ?? coldCelsius]
      if (reading.ohms === undefined || reference === undefined || at === undefined)
        throw badField(`readings.${index}`, reading.ohms, 'celsius, or ohms with coldOhms and coldCelsius')
      return { seconds: reading.seconds, celsius: windingTemperature(reference, at, reading.ohms) }
    })
    const { timeConstantSeconds, celsiusAtStop } = fitCooling(ambientCelsius, points)
    if (targetCelsius !== undefined && targetCelsius <= ambientCelsius)
      throw badField(
        'targetCelsius',
        targetCelsius,
        say`above the ambient ${q(ambientCelsius, 'temperature')}, which is only ever approached`,
      )
    const secondsToTarget =
      targetCelsius === undefined
        ? undefined
        : Math.max(
            0,
            timeConstantSeconds * Math.log((celsiusAtStop - ambientCelsius) / (targetCelsius - ambientCelsius)),
          )
    return {
      timeConstantSeconds,
      celsiusAtStop,
      ...(secondsToTarget === undefined ? {} : { secondsToTarget }),
      basis: COOLING,
      steps: [
        ...points.map(({ seconds, celsius }) => `${n(seconds)} s: ${n(celsius, 4)} °C`),
        `ln(T − ${n(ambientCelsius)}) against time, straight line: time constant ${n(timeConstantSeconds, 4)} s, ` +
          `${n(celsiusAtStop, 4)} °C at the stop`,
        ...(secondsToTarget === undefined
          ? []
          : [`down to ${n(targetCelsius as number)} °C after ${n(secondsToTarget, 4)} s`]),
      ],
    }
  },
})

class StallInput {
  @Quantity({ above: 0, max: 5000 }) amps!: number
  @Quantity({ above: 0, max: 20 }) wireMillimetres!: number
  @Quantity(CELSIUS) startCelsius!: number
  @Quantity(CELSIUS) limitCelsius!: number
}

export const stallHeatingWorking = defineWorking({
  name: 'stall-heating',
  title: 'How long may it hum?',
  input: StallInput,
  basis: { kind: 'handbook', name: 'adiabatic heating of copper; all heat stays in the wire' },
  run: (input) => {
    if (input.limitCelsius <= input.startCelsius)
      throw badField('limitCelsius', input.limitCelsius, say`above the start, ${q(input.startCelsius, 'temperature')}`)
    const { kelvinPerSecond, seconds } = stallHeating(input)
    return {
      kelvinPerSecond,
      seconds,
      basis: stallHeatingWorking.basis,
      cautions: ['Nothing is let off here: a real winding has a little longer, its hottest turn a little less.'],
      steps: [
        `current density ${n(input.amps / ((Math.PI / 4) * input.wireMillimetres ** 2))} A/mm²`,
        `${n(kelvinPerSecond)} K/s at 20 °C, faster as it warms`,
        `${n(input.startCelsius)} to ${n(input.limitCelsius)} °C in ${n(seconds)} s`,
      ],
    }
  },
}) as ReturnType<typeof defineWorking<StallInput, object>>

class AbsorptionInput {
  @OptionalQuantity({ above: 0, max: 1e9 }) megohms30s?: number
  @Quantity({ above: 0, max: 1e9 }) megohms60s!: number
  @OptionalQuantity({ above: 0, max: 1e9 }) megohms600s?: number
  @MayBeAbsent() @IsIn(Object.keys(RISE_LIMITS.kelvin)) thermalClass?: ThermalClass
}

export const absorptionWorking = defineWorking({
  name: 'absorption',
  title: 'Is the insulation dry?',
  input: AbsorptionInput,
  basis: ABSORPTION.basis,
  run: (input) => {
    const found = absorption(input)
    return {
      ...found,
      basis: found.polarizationIndex === undefined && found.meaningful ? ABSORPTION.ratioBasis : ABSORPTION.basis,
      steps: [
        ...(found.absorptionRatio === undefined
          ? []
          : [
              `absorption ratio = ${n(input.megohms60s)} / ${n(input.megohms30s as number)} = ` +
                `${n(found.absorptionRatio)}`,
            ]),
        ...(found.polarizationIndex === undefined
          ? []
          : [
              `polarization index = ${n(input.megohms600s as number)} / ${n(input.megohms60s)} = ` +
                `${n(found.polarizationIndex)}, wanted ${n(found.indexMinimum)}`,
            ]),
        found.because,
      ],
    }
  },
})
