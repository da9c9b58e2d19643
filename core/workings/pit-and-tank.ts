import { Type } from 'class-transformer'
import { ArrayMaxSize, IsArray, ValidateNested } from 'class-validator'
import { drainBackLitres, pitDraw, sumpCycle } from '../hydraulics/pit'
import { cycleOf, judgePrecharge, tankDrawdown, tankSize, wantedPrecharge } from '../hydraulics/tank'
import type { Verdict } from '../judgement/judgement'
import { PRESSURES } from '../knowledge/water/pressures'
import { SUMP_LIMITS } from '../knowledge/water/sizing'
import { ATMOSPHERE, BOYLE_BASIS, COOLING_FLOW, MASS_BALANCE } from '../knowledge/water/water'
import { KPA_PER_PSI } from '../quantity/conversions'
import { formatNumber as n } from '../quantity/format'
import { q, say } from '../quantity/sentence'
import { badField } from '../validation/input-error'
import { OptionalQuantity, Quantity } from '../validation/rules'
import { cautioned, defineWorking } from './define-working'

class TankFields {
  @Quantity({ min: 0, max: 3000 }) cutInKpa!: number
  @Quantity({ above: 0, max: 3000 }) cutOutKpa!: number
  @OptionalQuantity({ min: 20, max: 120 }) atmosphereKpa?: number
}
class TankDrawdownInput extends TankFields {
  @Quantity({ above: 0, max: 1e6 }) tankLitres!: number
  @Quantity({ min: 0, max: 3000 }) prechargeKpa!: number
}

export const tankDrawdownWorking = defineWorking({
  name: 'tank-drawdown',
  title: 'Is the tank right, and what should its charge be?',
  input: TankDrawdownInput,
  basis: BOYLE_BASIS,
  run: (input) => {
    const { tankLitres, prechargeKpa, cutInKpa, atmosphereKpa = ATMOSPHERE.seaLevelKpa } = input
    const found = tankDrawdown(input)
    const { belowCutInPsi } = PRESSURES.precharge
    const { verdict, offKpa } = judgePrecharge(prechargeKpa, cutInKpa)
    const off = offKpa / KPA_PER_PSI
    const cautions = found.emptyBeforeCutIn
      ? ['The precharge stands above cut-in: the taps run dry before the pump starts.']
      : []
    return {
      drawdownLitres: found.drawdownLitres,
      waterAtCutInLitres: found.waterAtCutInLitres,
      verdict,
      basis: BOYLE_BASIS,
      ...cautioned(cautions),
      steps: [
        `air at precharge: ${n(tankLitres)} L × (${n(prechargeKpa)} + ${n(atmosphereKpa)}) kPa`,
        `water at cut-in ${n(found.waterAtCutInLitres, 4)} L, at cut-out ` +
          `${n(found.waterAtCutInLitres + found.drawdownLitres, 4)} L`,
        `drawdown = ${n(found.drawdownLitres, 4)} L`,
        `precharge wanted: cut-in less ${belowCutInPsi} psi; it stands ${n(Math.abs(off), 2)} psi ` +
          `${off < 0 ? 'below' : 'above'} that`,
      ],
    }
  },
})

class TankSizeInput extends TankFields {
  @Quantity({ above: 0, max: 1e4 }) flowLitresPerSecond!: number
  @Quantity({ above: 0, max: 86400 }) minimumRunSeconds!: number
  @OptionalQuantity({ min: 0, max: 3000 }) prechargeKpa?: number
}

export const tankSizeWorking = defineWorking({
  name: 'tank-size',
  title: 'How large a tank does this pump want?',
  input: TankSizeInput,
  basis: BOYLE_BASIS,
  run: (input) => {
    const precharge = input.prechargeKpa ?? wantedPrecharge(input.cutInKpa)
    const { tankLitres, drawdownLitres, share } = tankSize({ ...input, prechargeKpa: precharge })
    return {
      tankLitres,
      drawdownLitres,
      prechargeKpa: precharge,
      basis: BOYLE_BASIS,
      steps: [
        `precharge: ${n(precharge)} kPa`,
        `drawdown = ${n(input.flowLitresPerSecond)} L/s × ${n(input.minimumRunSeconds)} s = ${n(drawdownLitres, 4)} L`,
        `each litre of tank gives ${n(share, 4)} L between cut-in and cut-out`,
        `tank = ${n(tankLitres, 4)} L`,
      ],
    }
  },
})

class CycleInput {
  @Quantity({ above: 0, max: 1e4 }) drawLitresPerSecond!: number
  @Quantity({ above: 0, max: 1e4 }) pumpLitresPerSecond!: number
  @Quantity({ above: 0, max: 1e7 }) storedLitres!: number
}

export const cycle = defineWorking({
  name: 'cycle',
  title: 'How often will it start?',
  input: CycleInput,
  basis: MASS_BALANCE,
  run: (input) => {
    const found = cycleOf(input)
    return {
      ...found,
      basis: MASS_BALANCE,
      steps: [
        `on: ${n(input.storedLitres)} L / (${n(input.pumpLitresPerSecond)} − ${n(input.drawLitresPerSecond)}) ` +
          `L/s = ${n(found.onSeconds, 4)} s`,
        `off: ${n(input.storedLitres)} L / ${n(input.drawLitresPerSecond)} L/s = ${n(found.offSeconds, 4)} s`,
        `${n(found.startsPerHour, 3)} starts an hour`,
      ],
    }
  },
})

class PitFields {
  @OptionalQuantity({ above: 0, max: 20 }) diameterMetres?: number
  @OptionalQuantity({ above: 0, max: 400 }) areaSquareMetres?: number
}
class SumpCycleInput extends PitFields {
  @Quantity({ min: 0, max: 50 }) onLevelMetres!: number
  @Quantity({ min: 0, max: 50 }) offLevelMetres!: number
  @Quantity({ min: 0, max: 1e4 }) inflowLitresPerSecond!: number
  @Quantity({ above: 0, max: 1e4 }) pumpLitresPerSecond!: number
  @OptionalQuantity({ min: 0, max: 1e6 }) drainBackLitres?: number
}

export const sumpCycleWorking = defineWorking({
  name: 'sump-cycle',
  title: 'Which sump pump, and how often will it start?',
  input: SumpCycleInput,
  basis: MASS_BALANCE,
  run: (input) => {
    const found = sumpCycle(input, input)
    const { storedLitres, keepsUp, onSeconds, offSeconds, startsPerHour } = found
    const cautions = [
      ...(!keepsUp ? ['The pump does not keep up: the pit fills until the backup or the floor is reached.'] : []),
      ...(onSeconds !== undefined && onSeconds < SUMP_LIMITS.shortRunSeconds
        ? [`It runs only ${n(onSeconds, 2)} s: longer is kinder. Raise the on-level or widen the pit.`]
        : []),
    ]
    return {
      ...found,
      basis: MASS_BALANCE,
      ...cautioned(cautions),
      steps: [
        `stored between the levels: ${n(storedLitres, 4)} L`,
        ...(onSeconds === undefined
          ? [`inflow ${n(input.inflowLitresPerSecond)} L/s is not less than ${n(input.pumpLitresPerSecond)} L/s`]
          : [
              `on: ${n(storedLitres, 4)} / (${n(input.pumpLitresPerSecond)} − ${n(input.inflowLitresPerSecond)}) ` +
                `= ${n(onSeconds, 4)} s`,
            ]),
        ...(offSeconds === undefined
          ? []
          : [
              `off: (${n(storedLitres, 4)} − ${n(input.drainBackLitres ?? 0)}) / ` +
                `${n(input.inflowLitresPerSecond)} = ${n(offSeconds, 4)} s`,
              `${n(startsPerHour as number, 3)} starts an hour`,
            ]),
      ],
    }
  },
})

class PitDrawInput extends PitFields {
  @Quantity({ above: 0, max: 20 }) riseMetres!: number
  @Quantity({ above: 0, max: 86400 }) riseSeconds!: number
  @Quantity({ above: 0, max: 20 }) fallMetres!: number
  @Quantity({ above: 0, max: 86400 }) fallSeconds!: number
}

export const pitDrawWorking = defineWorking({
  name: 'pit-draw',
  title: 'How much comes in, and how much goes out?',
  input: PitDrawInput,
  basis: MASS_BALANCE,
  run: (input) => {
    const found = pitDraw(input, input)
    return {
      ...found,
      basis: MASS_BALANCE,
      steps: [
        `pump off: ${n(input.riseMetres)} m in ${n(input.riseSeconds)} s is ${n(found.inflowLitresPerSecond, 4)} ` +
          'L/s coming in',
        `pump on: ${n(input.fallMetres)} m in ${n(input.fallSeconds)} s, and the inflow with it: ` +
          `${n(found.pumpLitresPerSecond, 4)} L/s`,
      ],
    }
  },
})

class DrainPipe {
  @Quantity({ above: 0, max: 5000 }) insideMillimetres!: number
  @Quantity({ min: 0, max: 1e5 }) lengthMetres!: number
  @OptionalQuantity({ min: 0, max: 1 }) fullFraction?: number
}
class DrainBackInput {
  @IsArray() @ArrayMaxSize(100) @ValidateNested({ each: true }) @Type(() => DrainPipe) pipes!: DrainPipe[]
  @OptionalQuantity({ min: 0, max: 1e7 }) siphonLitres?: number
  @OptionalQuantity({ min: 0, max: 1e7 }) freeLitres?: number
}

export const drainBack = defineWorking({
  name: 'drain-back',
  title: 'Where does the water go when it stops?',
  input: DrainBackInput,
  basis: MASS_BALANCE,
  run: ({ pipes, siphonLitres = 0, freeLitres }) => {
    const litres = drainBackLitres(pipes, siphonLitres)
    const fits = freeLitres === undefined ? undefined : litres <= freeLitres
    return {
      litres,
      ...(fits === undefined ? {} : { fits }),
      basis: MASS_BALANCE,
      ...(fits === false
        ? { cautions: [`${n(litres - (freeLitres as number), 3)} L more than there is room for: they run over.`] }
        : {}),
      steps: [
        `pipes hold ${n(litres - siphonLitres, 4)} L, the siphon brings ${n(siphonLitres)} L: ${n(litres, 4)} L`,
        ...(freeLitres === undefined ? [] : [`room for ${n(freeLitres)} L`]),
      ],
    }
  },
})

class CoolingFlowInput {
  @Quantity({ min: 0, max: 1e4 }) flowLitresPerSecond!: number
  @Quantity({ above: 0, max: 2000 }) casingMillimetres!: number
  @Quantity({ above: 0, max: 2000 }) motorMillimetres!: number
}

export const coolingFlow = defineWorking({
  name: 'cooling-flow',
  title: 'Is enough water moving past the motor?',
  input: CoolingFlowInput,
  basis: COOLING_FLOW.basis,
  run: ({ flowLitresPerSecond, casingMillimetres, motorMillimetres }) => {
    if (motorMillimetres >= casingMillimetres)
      throw badField('motorMillimetres', motorMillimetres, say`less than the casing, ${q(casingMillimetres, 'bore')}`)
    const area = (Math.PI / 4) * ((casingMillimetres / 1000) ** 2 - (motorMillimetres / 1000) ** 2)
    const velocityMetresPerSecond = flowLitresPerSecond / 1000 / area
    const { metresPerSecond: least, basis } = COOLING_FLOW
    const verdict: Verdict =
      velocityMetresPerSecond < least ? 'failed' : velocityMetresPerSecond < least * 1.2 ? 'tired' : 'sound'
    return {
      velocityMetresPerSecond,
      verdict,
      basis,
      ...(verdict === 'failed' ? { cautions: ['Fit a flow sleeve: the motor is not cooled.'] } : {}),
      steps: [
        `ring between casing and motor: ${n(area * 1e4, 4)} cm²`,
        `v = ${n(flowLitresPerSecond)} L/s through it = ${n(velocityMetresPerSecond, 3)} m/s, wanted ${n(least)} m/s`,
      ],
    }
  },
})
