import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator'
import { runningCost } from '../energy/running-cost'
import type { Basis } from '../judgement/judgement'
import { BEARING_BASIS, BEARING_LIFE_BASIS, BEARING_TONES_BASIS } from '../knowledge/mechanical/bearings'
import { PIPE_BASIS, PIPE_MATERIALS, type PipeMaterial } from '../knowledge/water/drop-pipes'
import { bearingLife, bearingSize, bearingTones } from '../mechanics/bearing'
import { stringWeight } from '../mechanics/string-weight'
import { HAND_LIFT } from '../knowledge/water/sizing'
import { formatNumber as n } from '../quantity/format'
import { MayBeAbsent, OptionalQuantity, Quantity } from '../validation/rules'
import { cautioned, defineWorking } from './define-working'

class StringPipe {
  @IsIn(Object.keys(PIPE_MATERIALS)) material!: PipeMaterial
  @OptionalQuantity({ above: 0, max: 12 }) nominalInches?: number
  @OptionalQuantity({ above: 0, max: 500 }) insideMillimetres?: number
  @OptionalQuantity({ above: 0, max: 500 }) outsideMillimetres?: number
  @Quantity({ min: 0, max: 2000 }) lengthMetres!: number
  @MayBeAbsent() @IsBoolean() full?: boolean
}
class StringWeightInput {
  @IsObject() @ValidateNested() @Type(() => StringPipe) pipe!: StringPipe
  @OptionalQuantity({ min: 0, max: 20 }) cableKgPerMetre?: number
  @OptionalQuantity({ min: 0, max: 2000 }) pumpKg?: number
  @OptionalQuantity({ min: 0, max: 2000 }) waterLevelMetres?: number
}

export const stringWeightWorking = defineWorking({
  name: 'string-weight',
  title: 'How heavy is the string I am about to pull?',
  input: StringWeightInput,
  basis: PIPE_BASIS,
  run: (input) => {
    const found = stringWeight(input)
    const { kilograms, pipeKg, waterKg, cableKg, buoyancyKg } = found
    return {
      kilograms,
      basis: PIPE_BASIS,
      cautions: [
        kilograms > HAND_LIFT.twoKilograms
          ? `${n(kilograms, 3)} kg: two people or a hoist, a clamp at every joint, never a hand below it.`
          : 'A clamp at every joint, never a hand below it.',
      ],
      steps: [
        `pipe ${n(pipeKg, 4)} kg, cable ${n(cableKg, 3)} kg, pump ${n(input.pumpKg ?? 0)} kg`,
        `water hanging in the pipe ${n(waterKg, 4)} kg, carried by the well ${n(buoyancyKg, 3)} kg`,
        `${n(kilograms, 4)} kg`,
      ],
    }
  },
})

class BearingSizeInput {
  @IsString() @MaxLength(20) designation!: string
}

export const bearingSizeWorking = defineWorking({
  name: 'bearing-size',
  title: 'How large is this bearing?',
  input: BearingSizeInput,
  basis: BEARING_BASIS,
  run: ({ designation }) => {
    const found = bearingSize(designation)
    return {
      ...found,
      basis: BEARING_BASIS,
      steps: [
        `${designation.trim()}: ${n(found.boreMillimetres)} × ${n(found.outsideMillimetres)} × ` +
          `${n(found.widthMillimetres)} mm`,
      ],
    }
  },
})

class BearingTonesInput {
  @IsInt() @Min(3) @Max(60) balls!: number
  @Quantity({ above: 0, max: 200 }) ballMillimetres!: number
  @Quantity({ above: 0, max: 1000 }) pitchMillimetres!: number
  @OptionalQuantity({ min: 0, max: 60 }) contactDegrees?: number
  @Quantity({ above: 0, max: 1e5 }) rpm!: number
}

export const bearingTonesWorking = defineWorking({
  name: 'bearing-tones',
  title: 'At which tones would this bearing complain?',
  input: BearingTonesInput,
  basis: BEARING_TONES_BASIS,
  run: (input) => {
    const found = bearingTones(input)
    return {
      ...found,
      basis: BEARING_TONES_BASIS,
      steps: [
        `shaft: ${n(input.rpm)} / 60 = ${n(input.rpm / 60, 4)} Hz`,
        `outer race ${n(found.outerHz, 5)} Hz, inner race ${n(found.innerHz, 5)} Hz`,
        `cage ${n(found.cageHz, 4)} Hz, ball spin ${n(found.ballSpinHz, 5)} Hz: a damaged ball strikes twice a ` +
          `turn, ${n(found.ballHz, 5)} Hz`,
      ],
    }
  },
})

class BearingLifeInput {
  @Quantity({ above: 0, max: 1e7 }) dynamicNewtons!: number
  @Quantity({ above: 0, max: 1e7 }) loadNewtons!: number
  @Quantity({ above: 0, max: 1e5 }) rpm!: number
  @OptionalQuantity({ min: 1, max: 5 }) exponent?: number
}

export const bearingLifeWorking = defineWorking({
  name: 'bearing-life',
  title: 'How long should this bearing last?',
  input: BearingLifeInput,
  basis: BEARING_LIFE_BASIS,
  run: (input) => {
    const found = bearingLife(input)
    const cautions =
      input.loadNewtons > input.dynamicNewtons / 2
        ? ['Under more than half its rating the law gives a hint, not a life.']
        : []
    return {
      ...found,
      basis: BEARING_LIFE_BASIS,
      ...cautioned(cautions),
      steps: [
        `(${n(input.dynamicNewtons)} / ${n(input.loadNewtons)})^${n(input.exponent ?? 3)} = ` +
          `${n(found.millionRevolutions, 5)} million turns`,
        `at ${n(input.rpm)} rpm: ${n(found.hours, 5)} h, which nine of ten outlive`,
      ],
    }
  },
})

class LoadInput {
  @Quantity({ min: 0, max: 1e6 }) watts!: number
  @Quantity({ min: 0, max: 24 }) hoursPerDay!: number
}
class EnergyCostInput {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(50)
  @ValidateNested({ each: true })
  @Type(() => LoadInput)
  items!: LoadInput[]
  @Quantity({ min: 0, max: 100 }) pricePerKwh!: number
  @OptionalQuantity({ above: 0, max: 366 }) daysPerYear?: number
}
const ARITHMETIC: Basis = { kind: 'common-practice', name: 'measured watts times hours' }
const VOLUME: Basis = { kind: 'common-practice', name: 'volume over flow' }
const DAYS = 365

export const energyCost = defineWorking({
  name: 'energy-cost',
  title: 'What does it cost to run?',
  input: EnergyCostInput,
  basis: ARITHMETIC,
  run: ({ items, pricePerKwh, daysPerYear = DAYS }) => {
    const found = runningCost(items, pricePerKwh, daysPerYear)
    const hours = items.reduce((sum, { hoursPerDay }) => sum + hoursPerDay, 0)
    return {
      ...found,
      basis: ARITHMETIC,
      steps: [
        ...items.map(
          ({ watts, hoursPerDay }) =>
            `${n(watts)} W × ${n(hoursPerDay)} h × ${n(daysPerYear)} days = ` +
            `${n((watts * hoursPerDay * daysPerYear) / 1000, 5)} kWh`,
        ),
        `${n(found.kwhPerYear, 5)} kWh × ${n(pricePerKwh)} = ${n(found.costPerYear, 5)} a year`,
        ...(hours > 24 ? ['the items together run more than a day: they are taken as different machines'] : []),
      ],
    }
  },
})

class TurnoverInput {
  @Quantity({ above: 0, max: 1e9 }) poolLitres!: number
  @Quantity({ above: 0, max: 1e5 }) flowLitresPerSecond!: number
}

export const turnover = defineWorking({
  name: 'turnover',
  title: 'How long until the pool has gone round once?',
  input: TurnoverInput,
  basis: VOLUME,
  run: ({ poolLitres, flowLitresPerSecond }) => {
    const hours = poolLitres / flowLitresPerSecond / 3600
    return { hours, basis: VOLUME, steps: [`${n(poolLitres, 5)} L / ${n(flowLitresPerSecond)} L/s = ${n(hours, 4)} h`] }
  },
})
